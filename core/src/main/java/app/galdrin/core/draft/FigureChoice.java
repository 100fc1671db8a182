package app.galdrin.core.draft;

import app.galdrin.core.figure.FigureId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Choice among the figures that are possible. */
final class FigureChoice {

    /** A step of a document holds no more. */
    private static final int MOST = 20;

    private FigureChoice() {}

    /** Takes one that is possible in at its place, or out. */
    static List<FigureId> ticked(List<FigureId> chosen, String key, boolean wanted, List<FigureId> possible) {
        Optional<FigureId> figure = FigureId.parse(key);
        if (figure.isEmpty() || wanted == chosen.contains(figure.get())) {
            return chosen;
        }
        List<FigureId> changed = new ArrayList<>(chosen);
        if (!wanted) {
            changed.remove(figure.get());
            return changed;
        }
        return possible.contains(figure.get()) && changed.size() < MOST && changed.add(figure.get())
                ? inOrder(changed, possible)
                : chosen;
    }

    /**
     * Drops what is not possible any more and takes in what has become possible.
     *
     * @param before what was possible ahead of the edit; empty where the step is new
     */
    static List<FigureId> following(List<FigureId> chosen, List<FigureId> possible, Optional<List<FigureId>> before) {
        List<FigureId> followed = new ArrayList<>(chosen);
        followed.removeIf(f -> !possible.contains(f));
        List<FigureId> fresh = possible.stream()
                .filter(f -> !followed.contains(f) && !before.orElse(List.of()).contains(f))
                .toList();
        if (fresh.isEmpty()) {
            return followed;
        }
        followed.addAll(fresh);
        return inOrder(followed, possible).stream().limit(MOST).toList();
    }

    private static List<FigureId> inOrder(List<FigureId> figures, List<FigureId> possible) {
        return figures.stream()
                .sorted(Comparator.comparingInt(possible::indexOf))
                .toList();
    }
}
