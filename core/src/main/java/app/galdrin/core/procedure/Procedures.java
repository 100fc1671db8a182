package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;

/** The practices of the trade that a task can set. */
public final class Procedures {

    private static final List<Procedure> ALL =
            ServiceLoader.load(ProcedureList.class, ProcedureList.class.getClassLoader()).stream()
                    .flatMap(list -> list.get().procedures().stream())
                    .sorted(Comparator.comparing(Procedure::family))
                    .toList();

    private Procedures() {}

    /** Returns all procedures, by family. */
    public static List<Procedure> all() {
        return ALL;
    }

    /** Returns the procedure of a key. */
    public static Optional<Procedure> named(String key) {
        return ALL.stream().filter(p -> p.key().equals(key)).findFirst();
    }

    /**
     * One that a document names which was checked.
     *
     * @throws java.util.NoSuchElementException if there is none of this name
     */
    public static Procedure of(String key) {
        return named(key).orElseThrow();
    }

    /** Returns those that can tell a figure. */
    public static List<Procedure> seeing(FigureId figure) {
        return ALL.stream().filter(p -> p.sees().contains(figure)).toList();
    }
}
