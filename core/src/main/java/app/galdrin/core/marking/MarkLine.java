package app.galdrin.core.marking;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.Tolerance;
import app.galdrin.core.task.Criterion;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * One criterion of a mark sheet.
 *
 * @param available marks there are, 0 or more
 * @param credit share of them by the evidence, 0 to 1
 * @param computed marks from the evidence, one place
 * @param override what the instructor gave instead
 */
public record MarkLine(
        Criterion.Id criterion,
        int available,
        boolean mustPass,
        double credit,
        BigDecimal computed,
        List<Evidence> evidence,
        Optional<Override> override) {

    /** An instructor's mark in place of the computed one; the reason is never empty. */
    public record Override(BigDecimal marks, String reason) {}

    /** State of a line. */
    public enum Status implements Keyed {
        FULL("full"),
        PART("part"),
        NONE("none"),
        WAITING("waiting");

        private final String key;

        Status(String key) {
            this.key = key;
        }

        @java.lang.Override
        public String key() {
            return key;
        }
    }

    /** Returns the marks that count: those by hand where there are any. */
    public BigDecimal marks() {
        return override.map(Override::marks).orElse(computed);
    }

    /** Returns whether the marks given reach what the criterion needs to count as met. */
    public boolean met() {
        double share = override.isPresent() && available > 0 ? marks().doubleValue() / available : credit;
        boolean barred = override.isEmpty() && any(Evidence::bars);
        return !barred && Tolerance.ROUNDING.atLeast(share, criterion.aspect().creditToMeet());
    }

    public boolean waiting() {
        return override.isEmpty() && any(e -> e instanceof Evidence.MissingEntry);
    }

    /** Returns whether it waits for an instructor to read the vehicle. */
    public boolean asksForAnotherReading() {
        return override.isEmpty() && any(MarkLine::asksForReading);
    }

    private static boolean asksForReading(Evidence evidence) {
        return evidence instanceof Evidence.MissingEntry m && m.what().asksForReading();
    }

    /** Returns whether it waits for that reading and for nothing else: all that is certain is as it should be. */
    public boolean inDoubtAlone() {
        return asksForAnotherReading() && !any(e -> e.credit() != 1 && !asksForReading(e));
    }

    /** Asked of every line of every sheet. */
    private boolean any(Predicate<Evidence> such) {
        for (Evidence e : evidence) {
            if (such.test(e)) {
                return true;
            }
        }
        return false;
    }

    public Status status() {
        if (waiting()) {
            return Status.WAITING;
        }
        if (available == 0) {
            return met() ? Status.FULL : Status.NONE;
        }
        if (marks().signum() == 0) {
            return Status.NONE;
        }
        return marks().compareTo(BigDecimal.valueOf(available)) >= 0 ? Status.FULL : Status.PART;
    }

    MarkLine with(List<Evidence> other) {
        return new MarkLine(criterion, available, mustPass, credit, computed, other, override);
    }

    MarkLine with(Override override) {
        return new MarkLine(criterion, available, mustPass, credit, computed, evidence, Optional.of(override));
    }
}
