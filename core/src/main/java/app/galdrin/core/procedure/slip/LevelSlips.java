package app.galdrin.core.procedure.slip;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.measure.SweepHand;
import app.galdrin.core.procedure.Evaluation;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.ReadingType;
import app.galdrin.core.procedure.ReadingType.Subject;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.record.Formula;
import app.galdrin.core.record.Formula.Operation;
import com.google.auto.service.AutoService;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleBinaryOperator;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** Slips with a level on the wheel: the floor, the sweep's factor, signs lost. */
@AutoService(SlipList.class)
public final class LevelSlips implements SlipList {

    private static final String AHEAD = "ahead";

    @Override
    public List<Slip> slips() {
        return List.of(
                new OfFloor("floorIgnored", 0),
                new OfFloor("floorWrongWay", -1),
                new OfReadings(
                        "frameWrongWay", Drill.SLOPES, Operation.FRAME, p -> tells(p, Subject.FRAME_SLOPE), v -> -v),
                new OfReadings("camberSignsLost", Drill.SWEEP, Operation.CAMBERS, LevelSlips::isSwept, Math::abs),
                new NinetyAsCamber(),
                new OfFactor("factorForgotten", (difference, factor) -> difference),
                new OfFactor("oneAndAHalfUsed", (difference, factor) -> SweepHand.TAUGHT * difference));
    }

    private static boolean isSwept(Place place) {
        return place.reading().subject() == Subject.WHEEL_LEAN
                && place.reading().isTurned();
    }

    private static boolean tells(Place place, Subject subject) {
        return place.reading().subject() == subject;
    }

    private static boolean reads(Procedure procedure, Predicate<Place> such) {
        return procedure.walk().stream().anyMatch(such);
    }

    /** The floor's slope multiplied, be it read at the wheel or known of the bay. */
    private record OfFloor(String key, double factor) implements Slip {
        @Override
        public Drill drill() {
            return Drill.SLOPES;
        }

        @Override
        public boolean isMadeAt(Formula formula) {
            return formula.has(Operation.FLOOR);
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return reads(procedure, p -> tells(p, Subject.FLOOR_SLOPE))
                    || procedure.evaluations().stream().anyMatch(Evaluation::takesFloor);
        }

        @Override
        public Optional<Map<String, Double>> misused(SlipContext setting, Map<String, Double> readings) {
            return reads(setting.procedure(), p -> tells(p, Subject.FLOOR_SLOPE))
                    ? Optional.of(setting.changed(
                            readings, (place, value) -> tells(place, Subject.FLOOR_SLOPE) ? factor * value : value))
                    : Optional.empty();
        }

        @Override
        public Optional<MeasuringContext> mistaken(MeasuringContext standing) {
            return standing.floor().level()
                    ? Optional.empty()
                    : Optional.of(standing.on(standing.floor().sloped(factor)));
        }
    }

    /** A kind of reading used otherwise than it was read. */
    private record OfReadings(String key, Drill drill, Operation at, Predicate<Place> such, DoubleUnaryOperator change)
            implements Slip {
        @Override
        public boolean isMadeAt(Formula formula) {
            return formula.has(at);
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return reads(procedure, such);
        }

        @Override
        public Optional<Map<String, Double>> misused(SlipContext setting, Map<String, Double> readings) {
            return Optional.of(setting.changed(
                    readings, (place, value) -> such.test(place) ? change.applyAsDouble(value) : value));
        }
    }

    /**
     * Reading of a gauge that shows 90 at plumb taken for the camber, or its distance from 90 without the direction of the lean. In a
     * sweep the difference of what it showed is that of the leans the other way round, their signs lost.
     */
    private static final class NinetyAsCamber implements Slip {
        private static final double PLUMB = 90;

        @Override
        public String key() {
            return "ninetyAsCamber";
        }

        @Override
        public Drill drill() {
            return Drill.LEAN;
        }

        @Override
        public boolean isMadeAt(Formula formula) {
            return formula.has(Operation.PLUMB);
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return reads(procedure, p -> isShown(p) || isSweptBy90(p));
        }

        private static boolean isSweptBy90(Place place) {
            return isSwept(place) && place.reading().isFromPlumb();
        }

        /** Returns whether it is the camber itself that a gauge shows there. */
        private static boolean isShown(Place place) {
            ReadingType reading = place.reading();
            return reading.isFromPlumb()
                    && (!reading.isTurned() || reading.position().equals(AHEAD));
        }

        @Override
        public Optional<Map<String, Double>> misused(SlipContext setting, Map<String, Double> readings) {
            return reads(setting.procedure(), NinetyAsCamber::isSweptBy90)
                    ? Optional.of(
                            setting.changed(readings, (place, value) -> isSweptBy90(place) ? -Math.abs(value) : value))
                    : Optional.empty();
        }

        @Override
        public List<Map<FigureId, Double>> altered(SlipContext setting, Map<FigureId, Double> answers) {
            return Stream.<DoubleUnaryOperator>of(shown -> shown, shown -> PLUMB - shown, shown -> shown - PLUMB)
                    .map(as -> taken(setting, answers, as))
                    .toList();
        }

        private static Map<FigureId, Double> taken(
                SlipContext setting, Map<FigureId, Double> answers, DoubleUnaryOperator as) {
            return setting.reworked(
                    answers,
                    (figure, camber) -> figure.measurand() == Measurand.CAMBER
                            ? shown(setting, figure).stream()
                                    .map(v -> Quantity.ANGLE.toCore(as.applyAsDouble(v)))
                                    .findFirst()
                                    .orElse(camber)
                            : camber);
        }

        private static OptionalDouble shown(SlipContext setting, FigureId camber) {
            return setting.procedure().walk().stream()
                    .filter(p -> isShown(p) && p.wheel().equals(camber.wheel()))
                    .flatMap(p -> setting.readings().stream().map(r -> r.get(p.id())))
                    .filter(v -> v != null)
                    .mapToDouble(Math::abs)
                    .average();
        }
    }

    /** Another factor than 1 / (2 sin θ) on the difference of the two cambers; the floor's pitch is left out of it. */
    private record OfFactor(String key, DoubleBinaryOperator used) implements Slip {
        @Override
        public Drill drill() {
            return Drill.SWEEP;
        }

        @Override
        public boolean isMadeAt(Formula formula) {
            return formula.has(Operation.FACTOR);
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return reads(procedure, LevelSlips::isSwept);
        }

        @Override
        public List<Map<FigureId, Double>> altered(SlipContext setting, Map<FigureId, Double> answers) {
            double pitch = Quantity.ANGLE.toDocument(setting.standing().floor().pitch());
            Map<FigureId, Double> altered = new HashMap<>(answers);
            answers.forEach((figure, value) -> {
                OptionalDouble factor =
                        figure.measurand() == Measurand.CASTER ? factor(setting, figure) : OptionalDouble.empty();
                factor.ifPresent(f -> altered.put(figure, used.applyAsDouble((value + pitch) / f, f) - pitch));
            });
            return List.of(altered);
        }

        private static OptionalDouble factor(SlipContext setting, FigureId caster) {
            String wheel = caster.wheel().orElseThrow().key();
            return setting.readings().stream()
                    .filter(r -> r.containsKey(wheel + ".out.steer") && r.containsKey(wheel + ".in.steer"))
                    .mapToDouble(
                            r -> r.getOrDefault(wheel + ".out.steer", 0.0) + r.getOrDefault(wheel + ".in.steer", 0.0))
                    .filter(span -> span > 0)
                    .map(span ->
                            SweepHand.factor(setting.taught(), 1 / (2 * Math.sin(Quantity.ANGLE.toCore(span / 2)))))
                    .average();
        }
    }
}
