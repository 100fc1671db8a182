package app.galdrin.compute;

import app.galdrin.core.proof.MeanTrial;
import app.galdrin.core.proof.ReferenceProof;
import app.galdrin.core.proof.ReferenceProof.Count;
import app.galdrin.core.proof.Tally;
import java.util.Locale;
import java.util.Map;

/** Tables of {@code galdrin prove --references}: what combined references do to classes, and ways of combining readings. */
final class ProveReferences {

    private static final int IN_A_CLASS = 12;
    private static final int TRIALS = 100_000;
    private static final int MOST_RESULTS = 6;

    private ProveReferences() {}

    /** Returns the tables for so many sittings, in classes of twelve. */
    static String tables(int sittings, long seed) {
        int classes = Math.max(1, sittings / IN_A_CLASS);
        Map<Count, Tally.Share> usual = ReferenceProof.classes(classes, false, seed);
        Map<Count, Tally.Share> bent = ReferenceProof.classes(classes, true, seed);
        var text = new StringBuilder(Words.of("prove.references.head", classes)).append("\n|---|---|---|\n");
        for (Count count : Count.values()) {
            text.append("| %s | %s | %s |%n"
                    .formatted(
                            Words.PROVE.getString("count." + count.name()), share(usual, count), share(bent, count)));
        }
        text.append('\n').append(Words.of("prove.means.head", TRIALS)).append("\n|---|---|---|---|---|\n");
        for (MeanTrial.Method method : MeanTrial.Method.values()) {
            for (int results = 2; results <= MOST_RESULTS; results++) {
                MeanTrial.Outcome outcome = MeanTrial.of(method, results, TRIALS, seed);
                text.append(String.format(
                        Locale.ROOT,
                        "| %s | %d | %.2f | %.1f %% | %.1f %% |%n",
                        Words.PROVE.getString("mean." + method.name()),
                        results,
                        outcome.off(),
                        100 * outcome.covered(),
                        100 * outcome.far()));
            }
        }
        return text.toString();
    }

    private static String share(Map<Count, Tally.Share> counts, Count count) {
        Tally.Share share = counts.getOrDefault(count, new Tally.Share(0, 0, 0));
        return String.format(Locale.ROOT, "%.2f %% (%d of %d)", 100 * share.share(), share.came(), share.tries());
    }
}
