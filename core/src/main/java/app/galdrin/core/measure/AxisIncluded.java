package app.galdrin.core.measure;

import app.galdrin.core.Outcome;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.Input;
import app.galdrin.core.record.NumberField;
import app.galdrin.core.record.Range;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.Shape;
import app.galdrin.core.record.Step;
import com.google.auto.service.AutoService;
import java.util.List;

/**
 * The angle between the wheel's plane and the steering axis, seen from the front (record kind {@code axis.included}): it stays
 * when the whole leg leans, and changes when the stub axle is bent.
 *
 * <pre>
 * included angle = camber + KPI   rad
 * </pre>
 *
 * <p>Source: [PLANE].
 */
@AutoService(RecordKind.class)
public final class AxisIncluded implements RecordKind {

    private static final NumberField CAMBER = NumberField.angle("camber", Range.CAMBER);
    private static final NumberField KPI = NumberField.angle("kpi", Range.AXIS);
    private static final NumberField INCLUDED_ANGLE = NumberField.angle("includedAngle", Range.ALL);

    private static final Contract CONTRACT =
            new Contract("axis.included", Shape.of(CAMBER, KPI), Shape.of(INCLUDED_ANGLE));

    /**
     * The included angle of a wheel with this camber and KPI, all rad.
     *
     * @param camber rad, top outward positive
     * @param kpi rad, leaning inward positive
     */
    public static double evaluate(double camber, double kpi) {
        return camber + kpi;
    }

    /**
     * The forward model: the camber of a wheel with this included angle on an axis of this KPI, all rad.
     *
     * @param includedAngle rad
     * @param kpi rad, leaning inward positive
     */
    public static double forward(double includedAngle, double kpi) {
        return includedAngle - kpi;
    }

    @Override
    public Contract contract() {
        return CONTRACT;
    }

    @Override
    public Outcome<Answer> evaluate(Input in) {
        double camber = in.number(CAMBER);
        double kpi = in.number(KPI);
        double included = evaluate(camber, kpi);
        return Outcome.of(new Answer(
                new Figures().set(INCLUDED_ANGLE, included),
                () -> List.of(Step.of("axis.included.angle")
                        .with(CAMBER, camber)
                        .with(KPI, kpi)
                        .gives(INCLUDED_ANGLE, included))));
    }
}
