package app.galdrin.core.steering;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.FlagField;
import app.galdrin.core.record.Input;
import app.galdrin.core.record.ListField;
import app.galdrin.core.record.NumberField;
import app.galdrin.core.record.Range;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.Shape;
import app.galdrin.core.record.Step;
import com.google.auto.service.AutoService;
import java.util.Arrays;
import java.util.List;

/**
 * The shim under the rack at which the bump-steer curve is flat, from trials with two or more shims (record kind
 * {@code bump.shim}): where the least-squares straight line of slope against shim crosses zero.
 *
 * <pre>
 * m = Σ (shim − mean shim)(slope − mean slope) / Σ (shim − mean shim)²   slope a mm of shim
 * shim = mean shim − mean slope / m   mm
 * </pre>
 *
 * <p>Sums about the means are the QR solution of this line. A shim outside those tried is extrapolated.
 *
 * <p>Source: [HIGHAM].
 */
@AutoService(RecordKind.class)
public final class BumpShim implements RecordKind {

    private static final NumberField SHIM = NumberField.length("shim", Range.OFFSET);
    private static final NumberField SLOPE = NumberField.number("slope", Range.NUMBER);

    /** Places on the sketch, which are the fields of the record: {@code trials.0.slope} and so on. */
    private static final ListField TRIALS = ListField.of("trials", SHIM, SLOPE);

    private static final NumberField FLAT_SHIM = NumberField.length("shim", Range.ALL);
    private static final FlagField EXTRAPOLATED = FlagField.of("extrapolated");

    private static final Contract CONTRACT =
            new Contract("bump.shim", Shape.of(TRIALS), Shape.of(FLAT_SHIM, EXTRAPOLATED));

    /** Shims nearer to one another than this are one shim, mm. */
    private static final double SAME_SHIM = 1e-9;

    /** A line flatter than this crosses nothing, slope a mm. */
    private static final double FLAT_LINE = 1e-12;

    /**
     * One trial: shim mm, slope of the bump curve in any one unit.
     *
     * @param shim mm, 0 or more
     * @param slope of the bump curve, in any one unit
     */
    public record Trial(double shim, double slope) {}

    /**
     * {@code rise} is the line's, slope a mm of shim.
     *
     * @param shim mm
     * @param rise change of the slope, in its unit a mm of shim
     */
    public record Result(double shim, boolean extrapolated, double rise) {}

    /** Works the trials; {@code insufficient} where they determine no crossing. */
    public static Outcome<Result> evaluate(List<Trial> trials) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        double shims = 0;
        double slopes = 0;
        for (Trial trial : trials) {
            least = Math.min(least, trial.shim());
            most = Math.max(most, trial.shim());
            shims += trial.shim();
            slopes += trial.slope();
        }
        if (trials.size() < 2 || most - least <= SAME_SHIM) {
            return Outcome.fault(FaultCode.INSUFFICIENT, TRIALS.name());
        }
        double meanShim = shims / trials.size();
        double meanSlope = slopes / trials.size();
        double squares = 0;
        double products = 0;
        for (Trial trial : trials) {
            double off = trial.shim() - meanShim;
            squares += off * off;
            products += off * (trial.slope() - meanSlope);
        }
        double rise = products / squares;
        if (!(Math.abs(rise) >= FLAT_LINE)) {
            return Outcome.fault(FaultCode.INSUFFICIENT, TRIALS.name());
        }
        double shim = meanShim - meanSlope / rise;
        boolean extrapolated = shim < least - SAME_SHIM || shim > most + SAME_SHIM;
        return Outcome.of(new Result(shim, extrapolated, rise));
    }

    /**
     * The forward model: trials of a rack whose curve is flat with {@code flatShim} mm and changes by {@code rise} a mm.
     *
     * @param flatShim mm
     * @param rise change of the slope, in its unit a mm of shim
     * @param shims mm, an element a trial
     */
    public static List<Trial> forward(double flatShim, double rise, double... shims) {
        return Arrays.stream(shims)
                .mapToObj(shim -> new Trial(shim, rise * (shim - flatShim)))
                .toList();
    }

    private static List<Step> working(List<Trial> trials, Result result) {
        return List.of(
                ofTrials("bump.shim.rise", trials).gives("rise", FieldUnit.NUMBER, result.rise()),
                ofTrials("bump.shim.shim", trials)
                        .with("rise", FieldUnit.NUMBER, result.rise())
                        .gives(FLAT_SHIM, result.shim()));
    }

    private static Step.Builder ofTrials(String formula, List<Trial> trials) {
        var step = Step.of(formula);
        for (int i = 0; i < trials.size(); i++) {
            String trial = TRIALS.name() + "." + i + ".";
            step.with(trial + SHIM.name(), FieldUnit.LENGTH, trials.get(i).shim())
                    .with(trial + SLOPE.name(), FieldUnit.NUMBER, trials.get(i).slope());
        }
        return step;
    }

    @Override
    public Contract contract() {
        return CONTRACT;
    }

    @Override
    public Outcome<Answer> evaluate(Input in) {
        List<Trial> trials = in.list(TRIALS).stream()
                .map(t -> new Trial(t.number(SHIM), t.number(SLOPE)))
                .toList();
        return evaluate(trials)
                .map(result -> new Answer(
                        new Figures().set(FLAT_SHIM, result.shim()).set(EXTRAPOLATED, result.extrapolated()),
                        () -> working(trials, result)));
    }
}
