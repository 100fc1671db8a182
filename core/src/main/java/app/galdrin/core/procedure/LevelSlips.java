package app.galdrin.core.procedure;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.measure.SweepHand;
import com.google.auto.service.AutoService;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.DoubleBinaryOperator;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;

/** Slips with a level on the wheel: the floor, the sweep's factor, signs lost. */
@AutoService(SlipList.class)
public final class LevelSlips implements SlipList {

    private static final String FLOOR = "floor";
    private static final String SWEPT = "camber.";

    @Override
    public List<Slip> slips() {
        return List.of(
                new OfReadings("floorIgnored", FLOOR, FLOOR, (place, value) -> 0.0),
                new OfReadings("floorWrongWay", FLOOR, FLOOR, (place, value) -> -value),
                new OfReadings("frameWrongWay", "frame", ".protractor.", (place, value) -> -value),
                new OfReadings("camberSignsLost", SWEPT, ".shortcut", (place, value) -> Math.abs(value)),
                new NinetyAsCamber(),
                new OfFactor("factorForgotten", (difference, factor) -> difference),
                new OfFactor("oneAndAHalfUsed", (difference, factor) -> SweepHand.TAUGHT * difference));
    }

    private static boolean reads(Procedure procedure, String reading) {
        return procedure.walk().stream().anyMatch(p -> p.reading().startsWith(reading));
    }

    /** A kind of reading used otherwise than it was read. */
    private record OfReadings(String key, String reading, String at, BiFunction<Place, Double, Double> change)
            implements Slip {
        @Override
        public Drill drill() {
            return reading.equals(SWEPT) ? Drill.SWEEP : Drill.SLOPES;
        }

        @Override
        public boolean isMadeAt(String formula) {
            return formula.contains(at) || at.equals(FLOOR) && formula.equals("camber.inclinometer.camber");
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return reads(procedure, reading);
        }

        @Override
        public Optional<Map<String, Double>> misused(SlipSetting setting, Map<String, Double> readings) {
            return Optional.of(setting.changed(
                    readings,
                    (place, value) -> place.reading().startsWith(reading) ? change.apply(place, value) : value));
        }
    }

    /** Of a gauge that shows 90 at plumb, what it showed taken for the camber, or its distance from 90 without looking which way it leans. */
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
        public boolean isMadeAt(String formula) {
            return formula.contains(".plumb90.");
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return procedure.walk().stream().anyMatch(p -> p.reading().endsWith("90"));
        }

        @Override
        public List<Map<FigureId, Double>> altered(SlipSetting setting, Map<FigureId, Double> answers) {
            return Stream.<DoubleUnaryOperator>of(shown -> shown, shown -> PLUMB - shown, shown -> shown - PLUMB)
                    .map(as -> taken(setting, answers, as))
                    .toList();
        }

        private static Map<FigureId, Double> taken(
                SlipSetting setting, Map<FigureId, Double> answers, DoubleUnaryOperator as) {
            return setting.reworked(
                    answers,
                    (figure, camber) -> figure.measurand() == Measurand.CAMBER
                            ? shown(setting, figure).stream()
                                    .map(v -> Math.toRadians(as.applyAsDouble(v)))
                                    .findFirst()
                                    .orElse(camber)
                            : camber);
        }

        private static OptionalDouble shown(SlipSetting setting, FigureId camber) {
            return setting.procedure().walk().stream()
                    .filter(p -> p.reading().endsWith("90") && p.wheel().equals(camber.wheel()))
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
        public boolean isMadeAt(String formula) {
            return formula.equals("caster.sweep.factor");
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return reads(procedure, SWEPT);
        }

        @Override
        public List<Map<FigureId, Double>> altered(SlipSetting setting, Map<FigureId, Double> answers) {
            double pitch = Math.toDegrees(setting.standing().floor().pitch());
            Map<FigureId, Double> altered = new HashMap<>(answers);
            answers.forEach((figure, value) -> {
                OptionalDouble factor =
                        figure.measurand() == Measurand.CASTER ? factor(setting, figure) : OptionalDouble.empty();
                factor.ifPresent(f -> altered.put(figure, used.applyAsDouble((value + pitch) / f, f) - pitch));
            });
            return List.of(altered);
        }

        private static OptionalDouble factor(SlipSetting setting, FigureId caster) {
            String wheel = caster.wheel().orElseThrow().key();
            return setting.readings().stream()
                    .filter(r -> r.containsKey(wheel + ".out.steer") && r.containsKey(wheel + ".in.steer"))
                    .mapToDouble(
                            r -> r.getOrDefault(wheel + ".out.steer", 0.0) + r.getOrDefault(wheel + ".in.steer", 0.0))
                    .filter(span -> span > 0)
                    .map(span -> 1 / (2 * Math.sin(Math.toRadians(span / 2))))
                    .average();
        }
    }
}
