package app.galdrin.core.marking;

import app.galdrin.core.measure.Asked;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Band;
import app.galdrin.core.uncertainty.Estimate;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What a mark rests on. Toes are rad unless said; {@code credit} is 0 to 1. */
public sealed interface Evidence {

    double credit();

    /** Something needed is not there: a key that names it. */
    record Missing(String what) implements Evidence {
        @Override
        public double credit() {
            return 0;
        }
    }

    /** A preparation step. */
    record Step(String step, boolean done) implements Evidence {
        @Override
        public double credit() {
            return done ? 1 : 0;
        }
    }

    /** A figure from the apprentice's own readings against the reference; slips in writing the readings down. */
    record Reading(
            Asked asked,
            Estimate own,
            Estimate reference,
            double difference,
            Band band,
            double credit,
            List<Set<Slip>> slips)
            implements Evidence {}

    /** The apprentice's own repeats of total toe. */
    record Repeats(List<Double> totals, double range, Band band, double credit) implements Evidence {}

    /**
     * A worked figure against the engine's from the same readings, both in the answer's unit.
     *
     * @param tolerance half a unit of the place it was written to
     */
    record Working(Asked asked, double engine, double written, double tolerance, double credit, List<Set<Slip>> slips)
            implements Evidence {
        public boolean right() {
            return slips.isEmpty() && credit == 1;
        }
    }

    /**
     * A verdict against the one that follows from the apprentice's own worked figure.
     *
     * @param value the worked figure with the method's uncertainty
     * @param right every verdict that counts as right
     */
    record Verdict(Asked asked, Estimate value, Zone zone, VerdictChoice said, Set<VerdictChoice> right)
            implements Evidence {
        @Override
        public double credit() {
            return right.contains(said) ? 1 : 0;
        }
    }

    /** Whether toe can be adjusted on this vehicle. */
    record Adjustable(boolean said, boolean actual) implements Evidence {
        @Override
        public double credit() {
            return said == actual ? 1 : 0;
        }
    }

    /**
     * The plan for one rod.
     *
     * @param needed what the apprentice's own figures ask for; turns
     * @param allowance how far the turns may be off
     * @param splitAssumed whether only the total is known, so that an equal split was assumed
     */
    record Rod(
            boolean left,
            RodMove planned,
            RodMove needed,
            double allowance,
            boolean splitAssumed,
            double credit,
            Optional<Slip> slip)
            implements Evidence {}

    /** The instructor's own as-left figure judged against the sheet. */
    record AsLeft(Asked asked, Estimate reference, Judgement judgement) implements Evidence {
        @Override
        public double credit() {
            return judgement.accepted() ? 1 : 0;
        }
    }
}
