package app.galdrin.web.task.internal;

import app.galdrin.core.simulated.TryOut;
import app.galdrin.core.simulated.TryOut.Kind;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Practical;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;

/** Says and draws what came of trying a task out. */
@Component
class TryOutWords {

    private static final int BINS = 40;

    /** Marks of readings are lost by honest hands on one sheet of twenty for each figure; a criterion of several may lose some more. */
    private static final double OFTEN = 0.15;

    /** Told apart so often, a scheme does its work. */
    private static final double TOLD_APART = 0.9;

    private final Words words;
    private final StepWords steps;

    TryOutWords(Words words, StepWords steps) {
        this.words = words;
        this.steps = steps;
    }

    /** Returns what came of a practical's try-out, so many sheets each. */
    TryOutView of(Practical practical, int sheets, Map<Kind, TryOut.PersonResult> all) {
        List<TryOutView.Row> rows = new ArrayList<>();
        all.forEach((kind, tried) -> rows.add(row(kind, tried)));
        return new TryOutView(sheets, rows, lines(practical, all));
    }

    private TryOutView.Row row(Kind kind, TryOut.PersonResult tried) {
        int[] counts = new int[BINS];
        for (double percent : tried.percents()) {
            counts[Math.min(BINS - 1, (int) (percent * BINS / 100))]++;
        }
        int most = 1;
        for (int count : counts) {
            most = Math.max(most, count);
        }
        double width = TryOutView.WIDTH / BINS;
        List<TryOutView.Bar> bars = new ArrayList<>();
        for (int i = 0; i < BINS; i++) {
            double height = TryOutView.HEIGHT * counts[i] / most;
            if (counts[i] > 0) {
                bars.add(new TryOutView.Bar(i * width, TryOutView.HEIGHT - height, width, height));
            }
        }
        return new TryOutView.Row(
                kind.key(),
                words.text("tryOut." + kind.key()),
                words.text("tryOut." + kind.key() + ".what"),
                bars,
                tried.mean() * TryOutView.WIDTH / 100,
                words.text(
                        "tryOut.row",
                        Math.round(tried.mean()),
                        Math.round(100.0 * tried.competent() / tried.percents().size())));
    }

    private List<String> lines(Practical practical, Map<Kind, TryOut.PersonResult> all) {
        TryOut.PersonResult careful = Objects.requireNonNull(all.get(Kind.CAREFUL));
        TryOut.PersonResult slipProne = Objects.requireNonNull(all.get(Kind.SLIP_PRONE));
        List<String> lines = new ArrayList<>();
        double above = TryOut.above(careful, slipProne);
        lines.add(words.text(above >= TOLD_APART ? "tryOut.apart" : "tryOut.together", Math.round(100 * above)));
        List<Criterion.Id> unfair = TryOut.unfairToCare(careful, OFTEN);
        unfair.forEach(id -> lines.add(
                words.text("tryOut.unfair", steps.criterion(practical, id), Math.round(100 * careful.losing(id)))));
        if (unfair.isEmpty()) {
            lines.add(words.text("tryOut.fair"));
        }
        return lines;
    }
}
