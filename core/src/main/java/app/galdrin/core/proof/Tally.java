package app.galdrin.core.proof;

import java.util.Map;
import java.util.TreeMap;

/** Counts: of so many tries so many came out, by measure and by what is told apart within it. */
public final class Tally {

    private final Map<ProofMeasure, Map<String, Share>> counts = new TreeMap<>();

    /**
     * Number of hits among tries.
     *
     * @param tries 0 or more
     * @param came 0 to {@code tries}
     * @param possible of those that did not, 0 or more: a slip was said to be possible, and not named
     */
    public record Share(long tries, long came, long possible) {
        static final Share NONE = new Share(0, 0, 0);

        private static final double NINETEEN_OF_TWENTY = 1.96;

        Share plus(Share other) {
            return new Share(tries + other.tries, came + other.came, possible + other.possible);
        }

        /** 0 to 1; 0 where nothing was tried. */
        public double share() {
            return tries == 0 ? 0 : (double) came / tries;
        }

        /** Returns the share of those tried for which it was only possible, 0 to 1. */
        public double possibleShare() {
            return tries == 0 ? 0 : (double) possible / tries;
        }

        /** The lower end of the share's 95 % interval, 0 to 1 [Wilson]. */
        public double lower() {
            return Math.max(0, middle() - reach());
        }

        /** The upper end, 0 to 1. */
        public double upper() {
            return Math.min(1, middle() + reach());
        }

        private double middle() {
            double z = NINETEEN_OF_TWENTY;
            return tries == 0 ? 0.5 : (share() + z * z / (2 * tries)) / (1 + z * z / tries);
        }

        private double reach() {
            double z = NINETEEN_OF_TWENTY;
            return tries == 0
                    ? 0.5
                    : z
                            / (1 + z * z / tries)
                            * Math.sqrt(share() * (1 - share()) / tries + z * z / (4.0 * tries * tries));
        }
    }

    void count(ProofMeasure measured, String apart, boolean came) {
        count(measured, apart, came, false);
    }

    void count(ProofMeasure measured, String apart, boolean came, boolean possible) {
        add(measured, apart, new Share(1, came ? 1 : 0, possible ? 1 : 0));
    }

    private void add(ProofMeasure measured, String apart, Share share) {
        counts.computeIfAbsent(measured, m -> new TreeMap<>()).merge(apart, share, Share::plus);
    }

    Tally plus(Tally other) {
        other.counts.forEach((measured, shares) -> shares.forEach((apart, share) -> add(measured, apart, share)));
        return this;
    }

    /** Returns the shares of a measure by its subdivisions, in order. */
    public Map<String, Share> by(ProofMeasure measured) {
        return counts.getOrDefault(measured, Map.of());
    }

    /** Returns the share of a whole measure. */
    public Share of(ProofMeasure measured) {
        return by(measured).values().stream().reduce(Share.NONE, Share::plus);
    }
}
