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
import java.util.OptionalDouble;
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

    /** Places on the sketch, which are the fields of the record. */
    public static final NumberField SPACING_FRONT = NumberField.length("stringSpacingFront", Range.LENGTH);

    public static final NumberField SPACING_REAR = NumberField.length("stringSpacingRear", Range.LENGTH);
    public static final NumberField STATION_DISTANCE = NumberField.length("stationDistance", Range.LENGTH);
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
            Shape.of(SPACING_FRONT, SPACING_REAR, STATION_DISTANCE, WHEELBASE, HUB_GAP, WHEELS, FRONT_STATION)
                    .withU(U_SPACING, U_HUB_GAP, ToeLine.U_GAP),
            Shape.of(SKEW, TOE, TOTAL_TOE, THRUST_ANGLE, STEER_AHEAD, TRACK_DIFFERENCE, FRONT_TRACK, REAR_TRACK));
    private static final Sight SIGHT = Sight.of(
            Observables.TOTAL_TOE, Observables.EACH_TOE, Observables.THRUST_ANGLE, Observables.TRACK_DIFFERENCE);

    private static final String[] HUB_GAP_PLACES = places("hubGap.", "");
    private static final String[] FRONT_GAP_PLACES = places("wheels.", ".frontGap");
    private static final String[] REAR_GAP_PLACES = places("wheels.", ".rearGap");

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

    public static String hubGap(Wheel wheel) {
        return HUB_GAP_PLACES[wheel.ordinal()];
    }

    public static String frontGap(Wheel wheel) {
        return FRONT_GAP_PLACES[wheel.ordinal()];
    }

    public static String rearGap(Wheel wheel) {
        return REAR_GAP_PLACES[wheel.ordinal()];
    }

    private static String[] places(String head, String tail) {
        return Arrays.stream(Wheel.values()).map(w -> head + w.key() + tail).toArray(String[]::new);
    }

    /**
     * The readings of one box, mm.
     *
     * @param spacingFront between the strings at the front station, mm, positive
     * @param spacingRear between the strings at the rear station, mm, positive
     * @param stationDistance from the rear station to the front one, along the vehicle, mm, positive
     * @param wheelbase mm, positive
     * @param hubGaps string to hub face, all four
     * @param wheels string to rim, of the wheels that were read
     * @param frontAxleToFrontStation how far the front station lies ahead of the front axle, mm
     */
    public record Readings(
            double spacingFront,
            double spacingRear,
            double stationDistance,
            double wheelbase,
            PerWheel hubGaps,
            Map<Wheel, RimGaps> wheels,
            OptionalDouble frontAxleToFrontStation) {}

    /**
     * Standard uncertainties of each spacing, hub gap and rim gap, mm.
     *
     * @param spacing mm, 0 or more
     * @param hubGap mm, 0 or more
     * @param gap mm, 0 or more
     */
    public record ReadingUncertainty(double spacing, double hubGap, double gap) {

        /** Readings taken as exact. */
        public static final ReadingUncertainty NONE = new ReadingUncertainty(0, 0, 0);
    }

    /**
     * What follows from the box; angles rad, lengths mm.
     *
     * @param skewLeft rad, the front end of the left string farther outboard positive
     * @param skewRight rad, the front end of the right string farther outboard positive
     * @param toes of the wheels that were read, toe-in positive
     * @param totalFront where both front wheels were read; likewise rear
     * @param thrustAngle rear wheels together pointing right: positive
     * @param steerAhead front wheels together pointing right of the thrust line: positive
     * @param trackDifference front track less rear track at the hub faces, mm
     * @param tracks front and rear track at the hub faces, where the front station is placed
     */
    public record Result(
            double skewLeft,
            double skewRight,
            Map<Wheel, Estimate> toes,
            Optional<Estimate> totalFront,
            Optional<Estimate> totalRear,
            Optional<Estimate> thrustAngle,
            Optional<Estimate> steerAhead,
            double trackDifference,
            Optional<Tracks> tracks) {}

    /**
     * Tracks at the hub faces, mm.
     *
     * @param front mm, positive
     * @param rear mm, positive
     */
    public record Tracks(double front, double rear) {}

    /** Works the readings. */
    public static Outcome<Result> evaluate(Readings r, ReadingUncertainty u) {
        if (r.wheels().isEmpty()) {
            return Outcome.fault(FaultCode.INSUFFICIENT, WHEELS.name());
        }
        Optional<Tracks> tracks = tracks(r);
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

    /** Tracks at the axles, with the spacing on the straight line through the two that were read. */
    private static Optional<Tracks> tracks(Readings r) {
        if (r.frontAxleToFrontStation().isEmpty()) {
            return Optional.empty();
        }
        double slope = (r.spacingFront() - r.spacingRear()) / r.stationDistance();
        double back = r.frontAxleToFrontStation().getAsDouble();
        double spacingAtFrontAxle = r.spacingFront() - slope * back;
        double spacingAtRearAxle = r.spacingFront() - slope * (back + r.wheelbase());
        return Optional.of(new Tracks(
                spacingAtFrontAxle - hubs(r, Wheel.FRONT_LEFT), spacingAtRearAxle - hubs(r, Wheel.REAR_LEFT)));
    }

    static double hubs(Readings r, Wheel wheel) {
        return r.hubGaps().at(wheel) + r.hubGaps().at(wheel.opposite());
    }

    /** The steps from the readings to the toe of every wheel and what follows from them. */
    public static List<Step> working(Readings r, Result result) {
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

    private static Step.Builder spacings(String formula, Readings r) {
        return Step.of(formula)
                .with(SPACING_FRONT, r.spacingFront())
                .with(SPACING_REAR, r.spacingRear())
                .with(STATION_DISTANCE, r.stationDistance())
                .with(WHEELBASE, r.wheelbase());
    }

    private static Step.Builder hubGaps(Readings r, Step.Builder step) {
        for (Wheel wheel : Wheel.values()) {
            step.with(hubGap(wheel), FieldUnit.LENGTH, r.hubGaps().at(wheel));
        }
        return step;
    }

    private static Step.Builder skew(Readings r, String formula) {
        return hubGaps(r, spacings(formula, r));
    }

    private static Step toe(Readings r, Result result, Wheel wheel, Estimate toe) {
        RimGaps gaps = Objects.requireNonNull(r.wheels().get(wheel));
        return Step.of(TOE_FORMULA)
                .with(frontGap(wheel), FieldUnit.LENGTH, gaps.frontGap())
                .with(rearGap(wheel), FieldUnit.LENGTH, gaps.rearGap())
                .with(ToeLine.BASELINE, gaps.baseline())
                .with(
                        wheel.left() ? "skew.left" : "skew.right",
                        FieldUnit.ANGLE,
                        wheel.left() ? result.skewLeft() : result.skewRight())
                .gives("toe." + wheel.key(), FieldUnit.ANGLE, toe.value());
    }

    /** A step from the toes of both wheels of an axle. */
    private static Step.Builder both(Result result, Formula formula, Wheel left) {
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
        var readings = new Readings(
                in.number(SPACING_FRONT),
                in.number(SPACING_REAR),
                in.number(STATION_DISTANCE),
                in.number(WHEELBASE),
                PerWheel.of(wheel ->
                        hubs.number((NumberField) HUB_GAP.shape().fields().get(wheel.ordinal()))),
                wheels,
                in.optional(FRONT_STATION));
        return evaluate(readings, new ReadingUncertainty(in.u(U_SPACING), in.u(U_HUB_GAP), in.u(ToeLine.U_GAP)))
                .map(result -> new Answer(figures(result), () -> working(readings, result)));
    }

    private static RimGaps gaps(Input in) {
        return new RimGaps(in.number(ToeLine.FRONT_GAP), in.number(ToeLine.REAR_GAP), in.number(ToeLine.BASELINE));
    }

    private static Figures figures(Result result) {
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
