package app.galdrin.core.measure;

import app.galdrin.core.Outcome;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.Input;
import app.galdrin.core.record.NumberField;
import app.galdrin.core.record.Range;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.Shape;
import app.galdrin.core.record.Step;
import com.google.auto.service.AutoService;
import java.util.List;
import java.util.random.RandomGenerator;

/**
 * Side slip of one wheel driven slowly over a sliding plate (record kind {@code toe.slipPlate}): a screen, never a setting,
 * because toe and thrust drag the plate together and no angle can be told from it.
 *
 * <pre>
 * side slip = displacement / (plate length / 1000)   mm per m, outward positive: toe-in pushes the plate outward
 * </pre>
 *
 * <p>Source: [PLANE].
 */
@AutoService(RecordKind.class)
public final class ToeSlipPlate implements MeasuringMethod {

    public static final String NAME = "toe.slipPlate";

    public static final NumberField DISPLACEMENT = NumberField.length("displacement", Range.OFFSET);
    public static final NumberField PLATE_LENGTH = NumberField.length("plateLength", Range.LENGTH);
    private static final NumberField SIDESLIP = NumberField.of("sideslip", FieldUnit.SIDESLIP, Range.ALL);

    private static final Contract CONTRACT =
            new Contract(NAME, Shape.of(DISPLACEMENT, PLATE_LENGTH), Shape.of(SIDESLIP));
    private static final Sight SIGHT = Sight.of(Observables.SIDESLIP).assuming(Assumption.DRIVEN_STRAIGHT);

    private static final double MILLIMETRES_IN_A_METRE = 1000;

    /**
     * Readings of the plate, both mm; {@code plateLength} is positive.
     *
     * @param displacement mm, outward positive
     * @param plateLength mm, positive
     */
    public record Readings(double displacement, double plateLength) {}

    /** The side slip, mm per m. */
    public static double evaluate(Readings r) {
        return r.displacement() / (r.plateLength() / MILLIMETRES_IN_A_METRE);
    }

    /**
     * The forward model: how far a plate is pushed by a wheel that slips so much (mm per m).
     *
     * @param sideslip mm a metre, outward positive
     * @param plateLength mm, positive
     */
    public static Readings forward(double sideslip, double plateLength, Instrument scale, RandomGenerator noise) {
        return new Readings(scale.read(sideslip * plateLength / MILLIMETRES_IN_A_METRE, noise), plateLength);
    }

    @Override
    public Contract contract() {
        return CONTRACT;
    }

    @Override
    public Sight sight() {
        return SIGHT;
    }

    @Override
    public Outcome<Answer> evaluate(Input in) {
        var readings = new Readings(in.number(DISPLACEMENT), in.number(PLATE_LENGTH));
        double sideslip = evaluate(readings);
        return Outcome.of(new Answer(
                new Figures().set(SIDESLIP, sideslip),
                () -> List.of(Step.of("toe.slipPlate.sideslip")
                        .with(DISPLACEMENT, readings.displacement())
                        .with(PLATE_LENGTH, readings.plateLength())
                        .gives(SIDESLIP, sideslip))));
    }
}
