package app.galdrin.core.procedure.slip;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.Measurand.Form;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.record.Formula;
import app.galdrin.core.record.Formula.Operation;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.uncertainty.Estimate;
import com.google.auto.service.AutoService;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Slips in working a toe: the string's skew, the length it is taken over, the two wheels of a total. */
@AutoService(SlipList.class)
public final class ToeSlips implements SlipList {

    /** Lengths that differ by less give the same figure, mm. */
    private static final double ALIKE = 1;

    @Override
    public List<Slip> slips() {
        return List.of(
                new Skew("skewLeftOut", 1),
                new Skew("skewAdded", 2),
                new WrongBaseline(),
                new TwiceOneWheel(),
                new DoublingForgotten(),
                new SteeringNotStraight());
    }

    private static boolean tells(Procedure procedure, Measurand measurand) {
        return procedure.sees().stream().anyMatch(f -> f.measurand() == measurand);
    }

    /** Returns how far the strings are askew by side, rad; 0 where nobody knows of any. */
    private static Map<Side, Double> skews(SlipContext setting) {
        Map<Side, Double> skews = new EnumMap<>(Side.class);
        for (Side side : Side.values()) {
            Estimate rear = setting.standing().own().get(FigureId.of(Measurand.TOE, Wheel.of(Axle.REAR, side)));
            // a string round the rear tyre is askew by what that points outward
            skews.put(side, rear == null ? skew(setting, note(side)) : -rear.value());
        }
        return skews;
    }

    /** The note of an evaluation that says how far the string of a side is askew. */
    private static String note(Side side) {
        return "skew." + side.key();
    }

    private static double skew(SlipContext setting, String note) {
        double sum = 0;
        int repeats = 0;
        for (Map<String, Double> notes : setting.notes()) {
            Double degrees = notes.get(note);
            if (degrees != null) {
                sum += Quantity.ANGLE.toCore(degrees);
                repeats++;
            }
        }
        return repeats == 0 ? 0 : sum / repeats;
    }

    private static double at(Map<Side, Double> skews, FigureId figure) {
        return figure.wheel().map(w -> skews.getOrDefault(w.side(), 0.0)).orElse(0.0);
    }

    /** The string's skew not taken off, or added instead: so many times too much of it. */
    private record Skew(String key, int times) implements Slip {
        @Override
        public Drill drill() {
            return Drill.SKEW;
        }

        @Override
        public boolean isMadeAt(Formula formula) {
            return formula.has(Operation.SKEW);
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return procedure.evaluations().stream()
                    .anyMatch(e -> Arrays.stream(Side.values())
                            .anyMatch(side -> e.notes().contains(note(side))));
        }

        @Override
        public List<Map<FigureId, Double>> altered(SlipContext setting, Map<FigureId, Double> answers) {
            Map<Side, Double> skews = skews(setting);
            return List.of(setting.reworked(
                    answers,
                    (figure, toe) -> figure.measurand() == Measurand.TOE ? toe + times * at(skews, figure) : toe));
        }
    }

    /** The rim's size where it was read at the tyre, the tyre's where it was read at the rim or on plates. */
    private static final class WrongBaseline implements Slip {
        @Override
        public String key() {
            return "wrongBaseline";
        }

        @Override
        public Drill drill() {
            return Drill.BASELINE;
        }

        @Override
        public boolean isMadeAt(Formula formula) {
            return formula.has(Operation.OVER_LENGTH);
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return tells(procedure, Measurand.TOTAL_TOE)
                    && procedure.walk().stream().anyMatch(Place::compared);
        }

        @Override
        public List<Map<FigureId, Double>> altered(SlipContext setting, Map<FigureId, Double> answers) {
            VehicleGeometry g = setting.standing().sheet().geometry();
            Map<Side, Double> skews = skews(setting);
            if (setting.baseline() <= ALIKE) {
                return List.of(); // its length is read with the rest
            }
            return Stream.of(g.rim(Axle.FRONT), 2 * g.tyre(Axle.FRONT))
                    .filter(other -> Math.abs(other - setting.baseline()) > ALIKE)
                    .map(other -> setting.reworked(
                            answers, (figure, toe) -> over(setting.baseline() / other, figure, toe, skews)))
                    .toList();
        }

        private static double over(double ratio, FigureId figure, double toe, Map<Side, Double> skews) {
            if (!figure.axle().equals(Optional.of(Axle.FRONT))
                    || figure.measurand().base() != Measurand.TOE) {
                return toe;
            }
            if (figure.measurand().form() == Form.SUM) {
                return 2 * Math.asin(Math.max(-1, Math.min(1, ratio * Math.sin(toe / 2))));
            }
            double askew = at(skews, figure);
            return Math.asin(Math.max(-1, Math.min(1, ratio * Math.sin(toe + askew)))) - askew;
        }
    }

    /** Twice one wheel's figure for the total. */
    private static final class TwiceOneWheel implements Slip {
        @Override
        public String key() {
            return "twiceOneWheel";
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
            return tells(procedure, Measurand.TOTAL_TOE) && tells(procedure, Measurand.TOE);
        }

        @Override
        public List<Map<FigureId, Double>> altered(SlipContext setting, Map<FigureId, Double> answers) {
            return answers.keySet().stream()
                    .filter(f -> f.measurand().form() == Form.SUM)
                    .flatMap(sum -> Derivation.parts(sum).stream()
                            .filter(answers::containsKey)
                            .map(wheel -> {
                                Map<FigureId, Double> way = new HashMap<>(answers);
                                way.put(sum, 2 * answers.getOrDefault(wheel, 0.0));
                                return way;
                            }))
                    .toList();
        }
    }

    /** The steering turned while toe was read: what it adds to one front wheel it takes from the other, and the total keeps. */
    private static final class SteeringNotStraight implements Slip {
        private static final FigureId LEFT = FigureId.of(Measurand.TOE, Wheel.FRONT_LEFT);
        private static final FigureId RIGHT = FigureId.of(Measurand.TOE, Wheel.FRONT_RIGHT);

        @Override
        public String key() {
            return "steeringNotStraight";
        }

        @Override
        public Drill drill() {
            return Drill.STEERING;
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return procedure.sees().containsAll(List.of(LEFT, RIGHT));
        }

        @Override
        public Map<FigureId, Integer> turned() {
            return Map.of(LEFT, 1, RIGHT, -1);
        }
    }

    /** The slip of taking the difference of a bar's two ends over half its length. */
    private static final class DoublingForgotten implements Slip {
        private static final String BAR = "bar";

        @Override
        public String key() {
            return "doublingForgotten";
        }

        @Override
        public Drill drill() {
            return Drill.BASELINE;
        }

        @Override
        public boolean isMadeAt(Formula formula) {
            return formula.has(Operation.DOUBLED);
        }

        @Override
        public boolean concerns(Procedure procedure) {
            return procedure.walk().stream().anyMatch(p -> p.reading().is(BAR));
        }

        @Override
        public List<Map<FigureId, Double>> altered(SlipContext setting, Map<FigureId, Double> answers) {
            return Stream.of(0.5, 2.0)
                    .map(factor -> setting.reworked(
                            answers, (figure, toe) -> figure.measurand().base() == Measurand.TOE ? factor * toe : toe))
                    .toList();
        }
    }
}
