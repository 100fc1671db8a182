package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.ServiceLoader;
import java.util.Set;

/** The slips there are. */
public final class Slips {

    private static final List<Slip> ALL = ServiceLoader.load(SlipList.class, SlipList.class.getClassLoader()).stream()
            .flatMap(list -> list.get().slips().stream())
            .sorted(Comparator.comparing(Slip::key))
            .toList();

    private Slips() {}

    /** By key, so that the same sheet always names them alike. */
    public static List<Slip> all() {
        return ALL;
    }

    /** Figures with what they are made of and with the same of the other side: all that a slip in the working takes for one of them. */
    public static Set<FigureId> mixed(Collection<FigureId> figures) {
        Set<FigureId> mixed = new HashSet<>(figures);
        figures.forEach(figure -> mixed.addAll(Derivation.parts(figure)));
        List.copyOf(mixed).forEach(figure -> mixed.add(figure.otherSide()));
        return mixed;
    }

    public static List<Slip> of(Procedure procedure) {
        return ALL.stream().filter(slip -> slip.concerns(procedure)).toList();
    }
}
