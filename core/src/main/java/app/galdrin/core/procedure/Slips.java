package app.galdrin.core.procedure;

import java.util.Comparator;
import java.util.List;
import java.util.ServiceLoader;

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

    public static List<Slip> of(Procedure procedure) {
        return ALL.stream().filter(slip -> slip.concerns(procedure)).toList();
    }
}
