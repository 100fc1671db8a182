package app.galdrin.core.procedure.slip;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand.Form;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.record.Formula;
import app.galdrin.core.record.Formula.Operation;
import com.google.auto.service.AutoService;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** Slips that are no business of one way of measuring. */
@AutoService(SlipList.class)
public final class GeneralSlips implements SlipList {

    @Override
    public List<Slip> slips() {
        return List.of(
                new MethodSign(),
                new FrontRearSwapped(),
                new LeftRightSwapped(),
                new OneWheelForTotal(),
                new MmForDegrees(),
                new InchesUnconverted());
    }

    private static boolean reads(Procedure procedure, Quantity quantity) {
        return procedure.walk().stream().anyMatch(p -> p.amount().quantity() == quantity);
    }

    /** Returns what was read at each place standing at the other one; nothing where nothing was read there. */
    private static Map<String, Double> swapped(
            SlipContext setting, Map<String, Double> readings, Function<Place, Optional<Place>> with) {
        Map<String, Double> swapped = new HashMap<>(readings);
        for (Place place : setting.procedure().walk()) {
            with.apply(place).ifPresent(other -> {
                Double there = readings.get(other.id());
                if (there == null) {
                    swapped.remove(place.id());
                } else {
                    swapped.put(place.id(), there);
                }
            });
        }
        return swapped;
    }

    /** The sign the wrong way round: the span rule used on an outboard line, top in for top out. */
    private static final class MethodSign implements Slip {
        @Override
        public String key() {
            return "methodSign";
        }

        @Override
        public Drill drill() {
            return Drill.SIGN_BY_METHOD;
        }

        @Override
        public boolean isMadeAt(Formula formula) {
            return formula.has(Operation.DIFFERENCE);
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return true;
        }

        @Override
        public List<Map<FigureId, Double>> altered(SlipContext setting, Map<FigureId, Double> answers) {
            Map<FigureId, Double> turned = new HashMap<>();
            answers.forEach((figure, value) -> turned.put(figure, -value));
            return List.of(turned);
        }
    }

    /** Front readings written at the rear, and the other way round. */
    private static final class FrontRearSwapped implements Slip {
        @Override
        public String key() {
            return "frontRearSwapped";
        }

        @Override
        public Drill drill() {
            return Drill.SIDES_AND_ENDS;
        }

        @Override
        public boolean isMadeAt(Formula formula) {
            return formula.has(Operation.DIFFERENCE);
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return procedure.walk().stream().anyMatch(Place::compared);
        }

        @Override
        public Optional<Map<String, Double>> misused(SlipContext setting, Map<String, Double> readings) {
            return Optional.of(swapped(setting, readings, setting.procedure()::otherEnd));
        }

        @Override
        public Optional<Map<String, Double>> corrected(SlipContext setting, Map<String, Double> readings) {
            return misused(setting, readings);
        }
    }

    /** The left wheel's for the right one's, and the other way round. */
    private static final class LeftRightSwapped implements Slip {
        @Override
        public String key() {
            return "leftRightSwapped";
        }

        @Override
        public Drill drill() {
            return Drill.SIDES_AND_ENDS;
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return procedure.walk().stream().anyMatch(p -> p.wheel().isPresent());
        }

        @Override
        public boolean ofBothSides() {
            return true;
        }

        @Override
        public Optional<Map<String, Double>> corrected(SlipContext setting, Map<String, Double> readings) {
            return Optional.of(swapped(setting, readings, setting.procedure()::otherSide));
        }

        @Override
        public List<Map<FigureId, Double>> altered(SlipContext setting, Map<FigureId, Double> answers) {
            Map<FigureId, Double> swapped = new HashMap<>();
            answers.keySet().forEach(figure -> {
                Double other = answers.get(figure.otherSide());
                if (other != null) {
                    swapped.put(figure, other);
                }
            });
            return List.of(swapped);
        }
    }

    /** One wheel's figure for both together, half or twice. */
    private static final class OneWheelForTotal implements Slip {
        @Override
        public String key() {
            return "oneWheelForTotal";
        }

        @Override
        public Drill drill() {
            return Drill.TOTALS;
        }

        @Override
        public boolean isMadeAt(Formula formula) {
            return formula.has(Operation.TOTAL);
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return procedure.sees().stream().anyMatch(f -> f.measurand().form() == Form.SUM);
        }

        @Override
        public List<Map<FigureId, Double>> altered(SlipContext setting, Map<FigureId, Double> answers) {
            List<Map<FigureId, Double>> ways = new ArrayList<>();
            answers.keySet().stream()
                    .filter(f -> f.measurand().form() == Form.SUM)
                    .forEach(sum -> ways.addAll(ways(sum, answers)));
            return ways;
        }

        private static List<Map<FigureId, Double>> ways(FigureId sum, Map<FigureId, Double> answers) {
            double total = answers.getOrDefault(sum, 0.0);
            List<Map<FigureId, Double>> ways = new ArrayList<>();
            Map<FigureId, Double> halved = new HashMap<>(answers);
            halved.put(sum, total / 2);
            for (FigureId wheel : Derivation.parts(sum)) {
                halved.computeIfPresent(wheel, (f, v) -> total);
                Double one = answers.get(wheel);
                if (one != null) {
                    Map<FigureId, Double> way = new HashMap<>(answers);
                    way.put(sum, one);
                    ways.add(way);
                }
            }
            ways.add(halved);
            return ways;
        }
    }

    /** The number of millimetres where degrees are asked, and the other way round. */
    private static final class MmForDegrees implements Slip {
        @Override
        public String key() {
            return "mmForDegrees";
        }

        @Override
        public Drill drill() {
            return Drill.UNITS;
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return reads(procedure, Quantity.LENGTH);
        }

        @Override
        public List<Map<FigureId, Double>> altered(SlipContext setting, Map<FigureId, Double> answers) {
            AnswerUnit unit = setting.unit();
            AnswerUnit other = unit.quantity() == Quantity.ANGLE ? AnswerUnit.MILLIMETRES : AnswerUnit.DEGREES;
            Map<FigureId, Double> changed = new HashMap<>();
            answers.forEach((figure, value) -> {
                if (figure.measurand().quantity() == Quantity.ANGLE) {
                    double core = unit.toFigure(value, figure, setting.baseline());
                    changed.put(figure, other.ofFigure(core, figure, setting.baseline()));
                }
            });
            return List.of(changed);
        }
    }

    /** Inches used as if they were millimetres. */
    private static final class InchesUnconverted implements Slip {
        @Override
        public String key() {
            return "inchesUnconverted";
        }

        @Override
        public Drill drill() {
            return Drill.UNITS;
        }

        @Override
        public boolean isMadeAt(Formula formula) {
            return formula.has(Operation.DIFFERENCE);
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return reads(procedure, Quantity.LENGTH);
        }

        @Override
        public Optional<Map<String, Double>> misused(SlipContext setting, Map<String, Double> readings) {
            return Optional.of(setting.changed(
                    readings, (place, mm) -> isLength(place) && place.eachRepeat() ? mm / Unit.IN.factor() : mm));
        }

        /** A span in inches would have been refused as too short for a vehicle. */
        @Override
        public Optional<Map<String, Double>> corrected(SlipContext setting, Map<String, Double> readings) {
            return Optional.of(setting.changed(
                    readings,
                    (place, inches) ->
                            isLength(place) && place.amount().least() == 0 ? inches * Unit.IN.factor() : inches));
        }

        private static boolean isLength(Place place) {
            return place.amount().quantity() == Quantity.LENGTH;
        }
    }
}
