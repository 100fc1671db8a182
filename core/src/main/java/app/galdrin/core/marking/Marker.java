package app.galdrin.core.marking;

import app.galdrin.core.sitting.Answers;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Criterion;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;

/**
 * Marks a sitting. Entries that are missing give a line that says so, never an exception.
 */
public final class Marker {

    private static final int DIGITS = 9;

    /** Names the rules of marking on stored mark sheets. */
    public static final String ENGINE = "13";

    /** Share of a line's marks that the minor pieces of its evidence carry together. */
    private static final double MINOR = 0.1;

    private Marker() {}

    /** The mark sheet, a line a criterion in the order of the scheme. */
    public static MarkSheet mark(Assignment assignment, Answers answers, References references) {
        return mark(new KnownReferences(assignment), answers, references);
    }

    /** The same for one of many sittings, of which some share a reference. */
    public static MarkSheet mark(KnownReferences known, Answers answers, References references) {
        var sitting = new Case(known.assignment(), answers, references, known.figures(references.asFound()));
        return new MarkSheet(known.asked().stream()
                .map(asked ->
                        line(asked.criterion(), asked.marker().evidence(sitting, asked.step(), asked.criterion())))
                .toList());
    }

    private static MarkLine line(Criterion criterion, List<Evidence> evidence) {
        double credit = credit(evidence);
        return new MarkLine(
                criterion.id(),
                criterion.marks(),
                criterion.mustPass(),
                credit,
                BigDecimal.valueOf(criterion.marks() * credit)
                        .setScale(DIGITS, RoundingMode.HALF_UP) // a tie is one, whatever a binary sum made of it
                        .setScale(1, RoundingMode.HALF_UP),
                evidence,
                Optional.empty());
    }

    /** Share of a line's marks: pieces of evidence count alike, the minor ones of it together a tenth. */
    static double credit(List<Evidence> evidence) {
        var major = new DoubleSummaryStatistics();
        var minor = new DoubleSummaryStatistics();
        for (Evidence e : evidence) {
            (e.minor() ? minor : major).accept(e.credit());
        }
        boolean both = major.getCount() > 0 && minor.getCount() > 0;
        return both
                ? (1 - MINOR) * major.getAverage() + MINOR * minor.getAverage()
                : major.getAverage() + minor.getAverage();
    }
}
