package app.galdrin.core.proof;

import java.util.Map;
import java.util.TreeMap;

/** Counts: of so many tries so many came out, by measure and by what is told apart within it. */
public final class Tally {

    private final Map<Measured, Map<String, Share>> counts = new TreeMap<>();

    /**
     * Of so many tries so many.
     *
     * @param of 0 or more
     * @param came 0 to {@code of}
     */
    public record Share(long of, long came) {
        static final Share NONE = new Share(0, 0);

        Share plus(Share other) {
            return new Share(of + other.of, came + other.came);
        }

        /** 0 to 1; 0 where nothing was tried. */
        public double share() {
            return of == 0 ? 0 : (double) came / of;
        }
    }

    void count(Measured measured, String apart, boolean came) {
        add(measured, apart, new Share(1, came ? 1 : 0));
    }

    private void add(Measured measured, String apart, Share share) {
        counts.computeIfAbsent(measured, m -> new TreeMap<>()).merge(apart, share, Share::plus);
    }

    Tally plus(Tally other) {
        other.counts.forEach((measured, by) -> by.forEach((apart, share) -> add(measured, apart, share)));
        return this;
    }

    /** Of a measure, by what is told apart within it, in order. */
    public Map<String, Share> by(Measured measured) {
        return counts.getOrDefault(measured, Map.of());
    }

    /** Of a measure altogether. */
    public Share of(Measured measured) {
        return by(measured).values().stream().reduce(Share.NONE, Share::plus);
    }

    /** The figure that a measure is held to: its share altogether, or that of its worst part. */
    public double held(Measured measured) {
        return measured.worst()
                ? by(measured).values().stream().mapToDouble(Share::share).max().orElse(0)
                : of(measured).share();
    }
}
