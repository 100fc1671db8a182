package app.galdrin.core.measure;

import app.galdrin.core.FaultCode;
import app.galdrin.core.Outcome;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.record.Answer;
import app.galdrin.core.record.Contract;
import app.galdrin.core.record.Field;
import app.galdrin.core.record.FieldUnit;
import app.galdrin.core.record.Figures;
import app.galdrin.core.record.Formula;
import app.galdrin.core.record.Formula.Operation;
import app.galdrin.core.record.GroupField;
import app.galdrin.core.record.Input;
import app.galdrin.core.record.NumberField;
import app.galdrin.core.record.Range;
import app.galdrin.core.record.RecordKind;
import app.galdrin.core.record.Shape;
import app.galdrin.core.record.Step;
import app.galdrin.core.uncertainty.Estimate;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;

/**
 * Toe of every wheel from two strings along the vehicle, set up roughly and corrected by calculation (record kind
 * {@code toe.box}). With βL, βR the skew of each string to the centreline through the middles of both axles:
 *
 * <pre>
 * tan βL + tan βR = (Sf − Sr) / stationDistance
 * tan βL − tan βR = ((h_fl − h_fr) − (h_rl − h_rr)) / wheelbase
 * toe = asin((front gap − rear gap) / baseline) − β of the wheel's side
 * </pre>
 *
 * <p>Spacings and hub gaps are square to the vehicle, rim gaps square to the string; lengths mm, angles rad, |front − rear|
 * below the baseline. The first two say that a string's offset from the centreline changes evenly along the vehicle.
 *
 * <p>Source: [ISO8855] for toe and thrust, [PLANE] for the box.
 */
@AutoService(RecordKind.class)
public final class ToeBox implements MeasuringMethod {

    private static final Formula TOTAL_FORMULA = Formula.of("toe.total", Operation.TOTAL);
    private static final Formula TOE_FORMULA = Formula.of(
                    "toe.box.toe", Operation.DIFFERENCE, Operation.OVER_LENGTH, Operation.SKEW)
            .worked(in -> Math.asin((in[0] - in[1]) / in[2]) - in[3]);

    public static final String NAME = "toe.box";

    private static final NumberField WHEELBASE = NumberField.length("wheelbase", Range.LENGTH);
    private static final GroupField HUB_GAP = GroupField.of("hubGap", eachWheel(ToeBox::hubGapField));
    private static final GroupField WHEELS = GroupField.of("wheels", eachWheel(ToeBox::wheelField));
    private static final NumberField FRONT_STATION =
            NumberField.length("frontAxleToFrontStation", Range.OFFSET).optional();
    private static final NumberField U_SPACING =
            NumberField.length("spacing", Range.UNCERTAINTY).optional();
    private static final NumberField U_HUB_GAP =
            NumberField.length("hubGap", Range.UNCERTAINTY).optional();

    private static final NumberField LEFT = NumberField.angle("left", Range.ALL);
    private static final NumberField RIGHT = NumberField.angle("right", Range.ALL);
    private static final GroupField SKEW = GroupField.of("skew", LEFT, RIGHT);
    private static final GroupField TOE = GroupField.of("toe", eachWheel(ToeBox::toeField));
    private static final NumberField FRONT =
            NumberField.angle("front", Range.ALL).optional().withDoubt();
    private static final NumberField REAR =
            NumberField.angle("rear", Range.ALL).optional().withDoubt();
    private static final GroupField TOTAL_TOE =
            GroupField.of("totalToe", FRONT, REAR).optional();
    private static final NumberField THRUST_ANGLE =
            NumberField.angle("thrustAngle", Range.ALL).optional().withDoubt();
    private static final NumberField STEER_AHEAD =
            NumberField.angle("steerAhead", Range.ALL).optional().withDoubt();
    private static final NumberField TRACK_DIFFERENCE = NumberField.length("trackDifference", Range.ALL);
    private static final NumberField FRONT_TRACK =
            NumberField.length("frontTrack", Range.ALL).optional();
    private static final NumberField REAR_TRACK =
            NumberField.length("rearTrack", Range.ALL).optional();

    private static final Contract CONTRACT = new Contract(
            NAME,
            Shape.of(
                            BoxPlaces.SPACING_FRONT,
                            BoxPlaces.SPACING_REAR,
                            BoxPlaces.STATION_DISTANCE,
                            WHEELBASE,
                            HUB_GAP,
                            WHEELS,
                            FRONT_STATION)
                    .withU(U_SPACING, U_HUB_GAP, ToeLine.U_GAP),
            Shape.of(SKEW, TOE, TOTAL_TOE, THRUST_ANGLE, STEER_AHEAD, TRACK_DIFFERENCE, FRONT_TRACK, REAR_TRACK));
    private static final Sight SIGHT = Sight.of(
            Observables.TOTAL_TOE, Observables.EACH_TOE, Observables.THRUST_ANGLE, Observables.TRACK_DIFFERENCE);

    private static Field[] eachWheel(Function<Wheel, Field> field) {
        return Arrays.stream(Wheel.values()).map(field).toArray(Field[]::new);
    }

    private static NumberField hubGapField(Wheel wheel) {
        return NumberField.length(wheel.key(), Range.GAP);
    }

    private static GroupField wheelField(Wheel wheel) {
        return GroupField.of(wheel.key(), ToeLine.FRONT_GAP, ToeLine.REAR_GAP, ToeLine.BASELINE)
                .optional();
    }

    private static NumberField toeField(Wheel wheel) {
        return NumberField.angle(wheel.key(), Range.ALL).optional().withDoubt();
    }

    /** Works the readings. */
    public static Outcome<BoxResult> evaluate(BoxReadings r, BoxUncertainty u) {
        if (r.wheels().isEmpty()) {
            return Outcome.fault(FaultCode.INSUFFICIENT, WHEELS.name());
        }
        Optional<BoxTracks> tracks = tracks(r);
        if (tracks.isPresent() && !(tracks.get().front() > 0 && tracks.get().rear() > 0)) {
            return Outcome.fault(FaultCode.INCONSISTENT, HUB_GAP.name());
        }
        for (Wheel wheel : Wheel.values()) {
            RimGaps gaps = r.wheels().get(wheel);
            if (gaps != null && !(Math.abs(gaps.frontGap() - gaps.rearGap()) < gaps.baseline())) {
                return Outcome.fault(FaultCode.OUT_OF_RANGE, "wheels." + wheel.key() + ".baseline");
            }
        }
        return Outcome.of(new BoxCalculation(r, u).result(tracks));
    }

    /** BoxTracks at the axles, with the spacing on the straight line through the two that were read. */
    private static Optional<BoxTracks> tracks(BoxReadings r) {
        if (r.frontAxleToFrontStation().isEmpty()) {
            return Optional.empty();
        }
        double slope = (r.spacingFront() - r.spacingRear()) / r.stationDistance();
        double back = r.frontAxleToFrontStation().getAsDouble();
        double spacingAtFrontAxle = r.spacingFront() - slope * back;
        double spacingAtRearAxle = r.spacingFront() - slope * (back + r.wheelbase());
        return Optional.of(new BoxTracks(
                spacingAtFrontAxle - r.acrossHubs(Wheel.FRONT_LEFT),
                spacingAtRearAxle - r.acrossHubs(Wheel.REAR_LEFT)));
    }

    /** The steps from the readings to the toe of every wheel and what follows from them. */
    public static List<Step> working(BoxReadings r, BoxResult result) {
        List<Step> steps = new ArrayList<>();
        steps.add(skew(r, "toe.box.skewLeft").gives("skew.left", FieldUnit.ANGLE, result.skewLeft()));
        steps.add(skew(r, "toe.box.skewRight").gives("skew.right", FieldUnit.ANGLE, result.skewRight()));
        result.toes().forEach((wheel, toe) -> steps.add(toe(r, result, wheel, toe)));
        result.totalFront()
                .ifPresent(total -> steps.add(both(result, TOTAL_FORMULA, Wheel.FRONT_LEFT)
                        .gives("totalToe.front", FieldUnit.ANGLE, total.value())));
        result.totalRear()
                .ifPresent(total -> steps.add(both(result, TOTAL_FORMULA, Wheel.REAR_LEFT)
                        .gives("totalToe.rear", FieldUnit.ANGLE, total.value())));
        result.thrustAngle()
                .ifPresent(thrust -> steps.add(both(result, Formula.of("toe.box.thrust"), Wheel.REAR_LEFT)
                        .gives(THRUST_ANGLE, thrust.value())));
        result.steerAhead()
                .ifPresent(ahead -> steps.add(both(result, Formula.of("toe.box.steerAhead"), Wheel.FRONT_LEFT)
                        .with(
                                THRUST_ANGLE,
                                result.thrustAngle().map(Estimate::value).orElse(0.0))
                        .gives(STEER_AHEAD, ahead.value())));
        steps.add(hubGaps(r, spacings("toe.box.trackDifference", r)).gives(TRACK_DIFFERENCE, result.trackDifference()));
        return steps;
    }

    private static Step.Builder spacings(String formula, BoxReadings r) {
        return Step.of(formula)
                .with(BoxPlaces.SPACING_FRONT, r.spacingFront())
                .with(BoxPlaces.SPACING_REAR, r.spacingRear())
                .with(BoxPlaces.STATION_DISTANCE, r.stationDistance())
                .with(WHEELBASE, r.wheelbase());
    }

    private static Step.Builder hubGaps(BoxReadings r, Step.Builder step) {
        for (Wheel wheel : Wheel.values()) {
            step.with(BoxPlaces.hubGap(wheel), FieldUnit.LENGTH, r.hubGaps().at(wheel));
        }
        return step;
    }

    private static Step.Builder skew(BoxReadings r, String formula) {
        return hubGaps(r, spacings(formula, r));
    }

    private static Step toe(BoxReadings r, BoxResult result, Wheel wheel, Estimate toe) {
        RimGaps gaps = Objects.requireNonNull(r.wheels().get(wheel));
        return Step.of(TOE_FORMULA)
                .with(BoxPlaces.frontGap(wheel), FieldUnit.LENGTH, gaps.frontGap())
                .with(BoxPlaces.rearGap(wheel), FieldUnit.LENGTH, gaps.rearGap())
                .with(ToeLine.BASELINE, gaps.baseline())
                .with(
                        wheel.left() ? "skew.left" : "skew.right",
                        FieldUnit.ANGLE,
                        wheel.left() ? result.skewLeft() : result.skewRight())
                .gives("toe." + wheel.key(), FieldUnit.ANGLE, toe.value());
    }

    /** A step from the toes of both wheels of an axle. */
    private static Step.Builder both(BoxResult result, Formula formula, Wheel left) {
        var step = Step.of(formula);
        for (Wheel wheel : List.of(left, left.opposite())) {
            step.with(
                    "toe." + wheel.key(),
                    FieldUnit.ANGLE,
                    Objects.requireNonNull(result.toes().get(wheel)).value());
        }
        return step;
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
        Input hubs = in.group(HUB_GAP);
        Input rims = in.group(WHEELS);
        Map<Wheel, RimGaps> wheels = new EnumMap<>(Wheel.class);
        for (Wheel wheel : Wheel.values()) {
            rims.optional((GroupField) WHEELS.shape().fields().get(wheel.ordinal()))
                    .ifPresent(gaps -> wheels.put(wheel, gaps(gaps)));
        }
        var readings = new BoxReadings(
                in.number(BoxPlaces.SPACING_FRONT),
                in.number(BoxPlaces.SPACING_REAR),
                in.number(BoxPlaces.STATION_DISTANCE),
                in.number(WHEELBASE),
                PerWheel.of(wheel ->
                        hubs.number((NumberField) HUB_GAP.shape().fields().get(wheel.ordinal()))),
                wheels,
                in.optional(FRONT_STATION));
        return evaluate(readings, new BoxUncertainty(in.u(U_SPACING), in.u(U_HUB_GAP), in.u(ToeLine.U_GAP)))
                .map(result -> new Answer(figures(result), () -> working(readings, result)));
    }

    private static RimGaps gaps(Input in) {
        return new RimGaps(in.number(ToeLine.FRONT_GAP), in.number(ToeLine.REAR_GAP), in.number(ToeLine.BASELINE));
    }

    private static Figures figures(BoxResult result) {
        var toes = new Figures();
        result.toes()
                .forEach((wheel, toe) ->
                        toes.set((NumberField) TOE.shape().fields().get(wheel.ordinal()), toe));
        var out = new Figures()
                .set(SKEW, new Figures().set(LEFT, result.skewLeft()).set(RIGHT, result.skewRight()))
                .set(TOE, toes);
        if (result.totalFront().isPresent() || result.totalRear().isPresent()) {
            out.set(TOTAL_TOE, new Figures().set(FRONT, result.totalFront()).set(REAR, result.totalRear()));
        }
        out.set(THRUST_ANGLE, result.thrustAngle())
                .set(STEER_AHEAD, result.steerAhead())
                .set(TRACK_DIFFERENCE, result.trackDifference());
        result.tracks().ifPresent(t -> out.set(FRONT_TRACK, t.front()).set(REAR_TRACK, t.rear()));
        return out;
    }
}
