package app.galdrin.web.task.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.web.task.BenchDraft;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A figure that a step can ask about.
 *
 * @param unit key of the unit it is answered in, where it is worked and asked
 * @param chosen whether the step asks about it
 * @param adjustable whether something on the vehicle adjusts it
 */
public record FigureRow(
        FigureId figure, String name, @Nullable String unit, boolean chosen, boolean adjustable) {
    public String key() {
        return figure.key();
    }

    /** Returns the figures that a step can ask about, each as the step has it. */
    static List<FigureRow> of(List<FigureId> possible, List<FigureId> chosen, BenchDraft draft) {
        return possible.stream()
                .map(f -> new FigureRow(
                        f,
                        draft.name(f),
                        null,
                        chosen.contains(f),
                        draft.sheet().sheet().adjustable(f.adjustment()) != Adjustable.NO))
                .toList();
    }
}
