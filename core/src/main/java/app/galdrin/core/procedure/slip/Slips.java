package app.galdrin.core.procedure.slip;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.procedure.Procedure;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The slips there are. */
public final class Slips {

    private static final List<Slip> ALL = ServiceLoader.load(SlipList.class, SlipList.class.getClassLoader()).stream()
            .flatMap(list -> list.get().slips().stream())
            .sorted(Comparator.comparing(Slip::key))
            .toList();

    private Slips() {}

    /** Returns all slips in the order of their keys, so that the same sheet always names them alike. */
    public static List<Slip> all() {
        return ALL;
    }

    /**
     * All that a slip in the working can take for one of these figures, or change with it: what is told of the same measurand on the same
     * axle, and what they are made of.
     */
    public static List<FigureId> mixedUp(Procedure procedure, Collection<FigureId> figures) {
        Set<FigureId.Adjustment> adjustments = figures.stream()
                .flatMap(figure -> Stream.concat(Stream.of(figure), Derivation.parts(figure).stream()))
                .map(FigureId::adjustment)
                .collect(Collectors.toSet());
        return procedure.sees().stream()
                .filter(figure -> adjustments.contains(figure.adjustment()))
                .toList();
    }

    /** Returns the slips that can be made with a procedure. */
    public static List<Slip> of(Procedure procedure) {
        return ALL.stream().filter(slip -> slip.concerns(procedure)).toList();
    }

    /** Returns the slip of a key that can be made with a procedure. */
    public static Optional<Slip> of(Procedure procedure, String key) {
        return of(procedure).stream().filter(s -> s.key().equals(key)).findFirst();
    }
}
