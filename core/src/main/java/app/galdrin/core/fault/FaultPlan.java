package app.galdrin.core.fault;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.PartMoves;
import app.galdrin.core.uncertainty.Estimate;
import java.util.List;

/** Answer to what an instructor wants a vehicle to read: what to turn, or why it cannot be set. */
public sealed interface FaultPlan {

    /**
     * Moves by whole steps.
     *
     * @param moves of the parts that have to be moved
     * @param figures every figure that can be told afterwards, in the order of the quantities
     */
    record Moves(PartMoves moves, List<FigureAfter> figures) implements FaultPlan {
        public Moves {
            figures = List.copyOf(figures);
        }
    }

    /**
     * A figure before and after, rad or mm; its uncertainty afterwards holds that of the reading and of the moves.
     *
     * @param isWanted whether the instructor asked for it
     */
    record FigureAfter(FigureId figure, Estimate before, Estimate after, boolean isWanted) {}

    /** Refusal to set a vehicle so, with every reason. */
    record Refusal(List<Reason> reasons) implements FaultPlan {
        public Refusal {
            reasons = List.copyOf(reasons);
        }
    }

    /** Reason for which a vehicle cannot be set as wanted. */
    sealed interface Reason {
        /** Request for nothing that differs from what the vehicle reads. */
        record NothingWanted() implements Reason {}

        /** Figure whose present value is not known. */
        record NotRead(FigureId figure) implements Reason {}

        /** Figure that no part moves, or of which the sheet does not say how far. */
        record NotMoved(FigureId figure) implements Reason {}

        /**
         * Part that would have to move farther than it can.
         *
         * @param needed amount it would have to move, in its unit, positive
         */
        record BeyondRange(Adjuster part, double needed) implements Reason {}

        /**
         * Part that would hold by less thread than the maker asks.
         *
         * @param longer amount by which it would be longer than when its sheet was written, in its unit
         * @param spare amount by which it can be, in its unit, 0 or more
         */
        record LittleThread(Adjuster part, double longer, double spare) implements Reason {}

        /**
         * Figure that the parts do not reach without moving something else.
         *
         * @param nearest value that they reach, rad or mm
         */
        record NotReached(FigureId figure, double nearest) implements Reason {}

        /**
         * Figure with which the vehicle must not be driven.
         *
         * @param value that the figure would have, rad
         */
        record Unsafe(FigureId figure, double value) implements Reason {}
    }

    /** Distance beyond a limit, by which a task's own way of measuring tells a drawn fault more or less clearly. */
    enum Difficulty implements Keyed {
        /** Fault far outside the limits. */
        CLEAR("clear", 3, 5),
        /** Fault outside, as on most vehicles that come in. */
        USUAL("usual", 1.5, 3),
        /** Fault just outside what can be told. */
        CLOSE("close", 1.05, 1.5);

        private final String key;
        private final double least;
        private final double most;

        Difficulty(String key, double least, double most) {
            this.key = key;
            this.least = least;
            this.most = most;
        }

        @Override
        public String key() {
            return key;
        }

        /** Least distance beyond the limit, in expanded uncertainties of the task's own way of measuring. */
        double least() {
            return least;
        }

        /** Greatest distance, likewise. */
        double most() {
            return most;
        }
    }
}
