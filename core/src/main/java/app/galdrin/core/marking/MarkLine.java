package app.galdrin.core.marking;

import app.galdrin.core.task.Criterion;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;

/**
 * One criterion of a mark sheet.
 *
 * @param available marks there are
 * @param computed marks from the evidence, one place
 * @param override what the instructor gave instead
 */
public record MarkLine(
        Criterion criterion,
        int available,
        boolean mustPass,
        double credit,
        BigDecimal computed,
        List<Evidence> evidence,
        Optional<Override> override) {

    /** An instructor's mark in place of the computed one; the reason is never empty. */
    public record Override(BigDecimal marks, String reason) {}

    /** How a line stands. */
    public enum Status {
        FULL,
        PART,
        NONE,
        WAITING
    }

    public BigDecimal marks() {
        return override.map(Override::marks).orElse(computed);
    }

    /** Whether the marks given reach what the criterion needs to count as met. */
    public boolean met() {
        double share = override.isPresent() ? marks().doubleValue() / available : credit;
        return share >= criterion.creditToMeet() - 1e-9;
    }

    public boolean waiting() {
        return override.isEmpty() && evidence.stream().anyMatch(e -> e instanceof Evidence.Missing);
    }

    public Status status() {
        if (waiting()) {
            return Status.WAITING;
        }
        if (marks().signum() == 0) {
            return Status.NONE;
        }
        return marks().compareTo(BigDecimal.valueOf(available)) >= 0 ? Status.FULL : Status.PART;
    }

    MarkLine with(Override override) {
        return new MarkLine(criterion, available, mustPass, credit, computed, evidence, Optional.of(override));
    }
}
