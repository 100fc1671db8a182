package app.galdrin.core.proof;

import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.marking.WorkingEvidence;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** Slips that a mark sheet names. */
final class Naming {

    private Naming() {}

    static Stream<Evidence> evidence(MarkSheet marks) {
        return marks.lines().stream().flatMap(line -> line.evidence().stream());
    }

    static <T extends Evidence> List<T> evidence(MarkSheet marks, Class<T> kind) {
        return evidence(marks).filter(kind::isInstance).map(kind::cast).toList();
    }

    /** The slips that are named, alone or with what fits equally; none where they are only possible. */
    static List<Set<String>> named(Evidence evidence) {
        if (evidence instanceof WorkingEvidence e) {
            return e.possible() ? List.of() : e.slips();
        }
        return evidence instanceof ReadingEvidence e && !e.possible() ? e.slips() : List.of();
    }

    static boolean accuses(MarkSheet marks) {
        return accuses(evidence(marks).toList());
    }

    static boolean accuses(List<? extends Evidence> evidence) {
        return evidence.stream().anyMatch(e -> !named(e).isEmpty());
    }

    static boolean names(List<? extends Evidence> evidence, String slip) {
        return evidence.stream().anyMatch(e -> named(e).equals(List.of(Set.of(slip))));
    }

    static boolean namesAnother(List<? extends Evidence> evidence, String slip) {
        return evidence.stream().anyMatch(e -> named(e).stream().anyMatch(s -> !s.contains(slip)));
    }

    static boolean isPossible(List<? extends Evidence> evidence, String slip) {
        return evidence.stream()
                .anyMatch(e -> e instanceof WorkingEvidence w && w.possible() && has(w.slips(), slip)
                        || e instanceof ReadingEvidence r && r.possible() && has(r.slips(), slip));
    }

    private static boolean has(Collection<Set<String>> slips, String slip) {
        return slips.stream().anyMatch(s -> s.contains(slip));
    }
}
