package app.galdrin.compute;

import app.galdrin.core.proof.Proof;
import app.galdrin.core.proof.ProofMeasure;
import app.galdrin.core.proof.Tally;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Model.OptionSpec;
import picocli.CommandLine.ParseResult;

/** {@code galdrin prove}: what the marking does to simulated apprentices, honest and slipping. */
public final class Prove {

    private static final String SITTINGS = "--sittings";
    private static final String SEED = "--seed";
    private static final String CLUMSY = "--clumsy";
    private static final String ONLY = "--only";
    private static final String REFERENCES = "--references";
    private static final String JSON = "--json";
    private static final int USUAL_SITTINGS = 30000;
    private static final int MOST_SITTINGS = 10_000_000;

    private Prove() {}

    public static void main(String[] args) {
        Command.run(command(), Prove::run, args);
    }

    private static CommandSpec command() {
        var spec = Command.named("galdrin prove", Words.PROVE);
        spec.addOption(number(SITTINGS, "N", Integer.class, String.valueOf(USUAL_SITTINGS)));
        spec.addOption(number(SEED, "S", Long.class, "1"));
        spec.addOption(number(CLUMSY, "F", Double.class, "1"));
        spec.addOption(OptionSpec.builder(ONLY)
                .paramLabel("NAME")
                .type(List.class)
                .auxiliaryTypes(String.class)
                .splitRegex(",")
                .descriptionKey("only")
                .build());
        spec.addOption(
                OptionSpec.builder(REFERENCES).descriptionKey("references").build());
        spec.addOption(OptionSpec.builder(JSON).descriptionKey("json").build());
        return spec;
    }

    private static OptionSpec number(String name, String label, Class<?> type, String otherwise) {
        return OptionSpec.builder(name)
                .paramLabel(label)
                .type(type)
                .defaultValue(otherwise)
                .descriptionKey(name.substring(2))
                .build();
    }

    private static int run(ParseResult given) {
        int sittings = given.matchedOptionValue(SITTINGS, USUAL_SITTINGS);
        double clumsy = given.matchedOptionValue(CLUMSY, 1.0);
        if (sittings < 1 || sittings > MOST_SITTINGS || !(clumsy > 0 && clumsy <= 10)) {
            System.err.println(Words.of("proveRange", MOST_SITTINGS));
            return Command.COULD_NOT_RUN;
        }
        Set<String> only = Set.copyOf(given.matchedOptionValue(ONLY, List.of()));
        if (!Proof.names().containsAll(only)) {
            System.err.println(Words.of("proveOnly", String.join(", ", Proof.names())));
            return Command.COULD_NOT_RUN;
        }
        if (given.hasMatchedOption(REFERENCES)) {
            System.out.print(ProveReferences.tables(sittings, given.matchedOptionValue(SEED, 1L)));
            return 0;
        }
        var proof = new Proof(given.matchedOptionValue(SEED, 1L), clumsy);
        Tally tally = (only.isEmpty() ? proof : proof.only(only)).sittings(sittings);
        System.out.print(given.hasMatchedOption(JSON) ? json(tally) : table(tally));
        return 0;
    }

    /** Every share, and beside it of those tried for a slip the share for which it was said to be possible only. */
    private static String json(Tally tally) {
        return Arrays.stream(ProofMeasure.values())
                .flatMap(m -> Stream.of(
                                member(m.key(), tally.of(m).share()),
                                member(m.key() + "Possible", tally.of(m).possibleShare()))
                        .limit(tally.of(m).possible() > 0 ? 2 : 1))
                .collect(Collectors.joining(",", "{", "}\n"));
    }

    private static String member(String key, double share) {
        return String.format(Locale.ROOT, "\"%s\":%s", key, share);
    }

    /** A table for people, with what is told apart under it. */
    private static String table(Tally tally) {
        var text = new StringBuilder(Words.of("prove.head")).append('\n');
        text.append("|---|---|---|---|---|---|\n");
        for (ProofMeasure measured : ProofMeasure.values()) {
            Tally.Share all = tally.of(measured);
            text.append(String.format(
                    Locale.ROOT,
                    "| %s | %s | %s | %s | %s | %d of %d |%n",
                    words(measured),
                    percent(all.share()),
                    interval(all),
                    reach(measured),
                    all.possible() == 0 ? "" : percent(all.possibleShare()),
                    all.came(),
                    all.tries()));
        }
        for (ProofMeasure measured : ProofMeasure.values()) {
            text.append('\n').append(words(measured)).append(":\n").append(apart(tally, measured));
        }
        return text.toString();
    }

    private static String words(ProofMeasure measured) {
        return Words.PROVE.getString("measure." + measured.key());
    }

    private static String interval(Tally.Share share) {
        return Words.of("prove.between", percent(share.lower()), percent(share.upper()));
    }

    private static String reach(ProofMeasure measured) {
        return measured.least() == 0
                ? Words.of("prove.atMost", percent(measured.most()))
                : measured.most() == 1
                        ? Words.of("prove.atLeast", percent(measured.least()))
                        : Words.of("prove.between", percent(measured.least()), percent(measured.most()));
    }

    /** Returns what is told apart, the least first, each with its interval. */
    private static String apart(Tally tally, ProofMeasure measured) {
        return tally.by(measured).entrySet().stream()
                .sorted(Map.Entry.comparingByValue(Comparator.comparingDouble(Tally.Share::share)))
                .map(e -> "%s %s (%s, %d)"
                        .formatted(
                                e.getKey(),
                                percent(e.getValue().share()),
                                interval(e.getValue()),
                                e.getValue().tries()))
                .collect(Collectors.joining("; ", "", ".\n"));
    }

    private static String percent(double share) {
        return String.format(Locale.ROOT, "%.2f %%", 100 * share);
    }
}
