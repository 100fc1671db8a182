package app.galdrin.core.marking;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.WorkedRepeat;
import app.galdrin.core.procedure.paper.Intermediate;
import app.galdrin.core.procedure.paper.IntermediateSteps;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.task.Measure;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Results of one figure for each usual habit of rounding on paper: working every repeat or the mean readings, writing down the figures on
 * the way, rounding or cutting off, a factor to two or three places. Anyone who rounds in one of these ways works right.
 */
final class RoundingHabits {

    private static final double[] FACTOR_PLACES = {0.01, 0.001};

    /** A mean is written one place finer than what it is the mean of, mm and deg. */
    private static final double LENGTH_MEAN = 0.1;

    private static final double ANGLE_MEAN = 0.01;

    private static final double SHOWN = 1e-9;

    private final OwnFigures own;
    private final Measure measure;
    private final AnswerUnit unit;
    private final double place;
    private final double baseline;

    /**
     * Creates the results for figures of a measurement.
     *
     * @param unit of the answers
     * @param place they are written to, in that unit: anyone who writes finer than they are asked to has not rounded to less on the way
     */
    RoundingHabits(OwnFigures own, Measure measure, AnswerUnit unit, double place) {
        this.own = own;
        this.measure = measure;
        this.unit = unit;
        this.place = place;
        this.baseline = own.baseline(measure);
    }

    private enum Order {
        /** The figures on the way as means of the repeats. */
        TOGETHER,
        /** Every repeat to its figure, and the mean of those. */
        EACH_REPEAT,
        /** The mean of every reading first, one place finer than it was read. */
        MEANS_FIRST
    }

    /**
     * One habit.
     *
     * @param cutsOff whether further places are left off instead of rounded
     * @param factorPlace the place a factor is written to
     */
    private record Habit(Order order, boolean cutsOff, double factorPlace) {
        double written(double value, double place) {
            return RoundingHabits.written(value, place, cutsOff);
        }
    }

    /** Rounds or cuts a value to a place, both in one unit. */
    private static double written(double value, double place, boolean cutsOff) {
        double places = value / place;
        return place * (cutsOff ? Math.signum(places) * Math.floor(Math.abs(places) + SHOWN) : Math.rint(places));
    }

    /** Returns what a figure is written as by each habit, in the answer's unit; none where its readings do not give it. */
    List<Double> of(FigureId figure) {
        List<Double> all = new ArrayList<>();
        for (Order order : Order.values()) {
            for (boolean cutsOff : new boolean[] {false, true}) {
                List<List<WorkedRepeat>> sets = sets(order, cutsOff);
                for (double factorPlace : FACTOR_PLACES) {
                    var habit = new Habit(order, cutsOff, factorPlace);
                    mean(sets, figure, habit).ifPresent(value -> all.add(habit.written(value, place)));
                }
            }
        }
        return all;
    }

    /** The repeats that are worked together. */
    private List<List<WorkedRepeat>> sets(Order order, boolean cutsOff) {
        List<WorkedRepeat> repeats = own.repeats(measure, 0);
        return switch (order) {
            case TOGETHER -> List.of(repeats);
            case EACH_REPEAT -> repeats.stream().map(List::of).toList();
            case MEANS_FIRST ->
                meanReadings(cutsOff)
                        .map(mean -> List.of(List.of(measure.procedure()
                                .work(mean, own.standing(measure, 0), Place::asInput, measure.taught()))))
                        .orElse(List.of());
        };
    }

    /** Empty where a gauge that shows 90 at plumb was on both sides of it: its figures have no mean. */
    private Optional<Map<String, Double>> meanReadings(boolean cutsOff) {
        Map<String, Double> means = new HashMap<>();
        for (Place place : measure.procedure().walk()) {
            double[] read = own.readings(measure, 0).stream()
                    .filter(repeat -> repeat.containsKey(place.id()))
                    .mapToDouble(repeat -> repeat.getOrDefault(place.id(), 0.0))
                    .toArray();
            boolean both = hasSign(read, 1) && hasSign(read, -1);
            if (both && place.amount().least() > 0) {
                return Optional.empty();
            }
            if (read.length > 0) {
                double sum = 0;
                for (double one : read) {
                    sum += one;
                }
                double mean = sum / read.length;
                double to = place(place);
                means.put(place.id(), isRead(read, to) ? written(mean, to, cutsOff) : mean);
            }
        }
        return Optional.of(means);
    }

    /** Returns whether all of them are whole places: nobody writes a mean less finely than what it is of. */
    private static boolean isRead(double[] values, double place) {
        for (double value : values) {
            if (Math.abs(value / place - Math.rint(value / place)) > SHOWN) {
                return false;
            }
        }
        return true;
    }

    private static boolean hasSign(double[] values, int sign) {
        for (double value : values) {
            if (Math.signum(value) == sign) {
                return true;
            }
        }
        return false;
    }

    /** Returns the place that people write to, mm or deg. */
    private static double place(Place place) {
        Quantity quantity = place.amount().quantity();
        double resolution = quantity.toDocument(place.instrument().resolution());
        return Math.min(resolution, quantity == Quantity.ANGLE ? ANGLE_MEAN : LENGTH_MEAN);
    }

    private Optional<Double> mean(List<List<WorkedRepeat>> sets, FigureId figure, Habit habit) {
        double sum = 0;
        int count = 0;
        for (List<WorkedRepeat> set : sets) {
            Optional<Double> one = worked(set, figure, habit);
            if (one.isPresent()) {
                sum += habit.order() == Order.EACH_REPEAT ? habit.written(one.get(), place) : one.get();
                count++;
            }
        }
        return count == 0 ? Optional.empty() : Optional.of(sum / count);
    }

    private Optional<Double> worked(List<WorkedRepeat> repeats, FigureId figure, Habit habit) {
        Optional<Double> ofParts = Derivation.of(figure)
                .flatMap(made -> worked(repeats, made.parts().get(0), habit)
                        .flatMap(first -> worked(repeats, made.parts().get(1), habit)
                                .map(second -> made.of(habit.written(first, place), habit.written(second, place)))));
        return ofParts.or(() -> byItsWay(repeats, figure, habit));
    }

    /** A figure that is read by itself, with what is written down on the way to it. */
    private Optional<Double> byItsWay(List<WorkedRepeat> repeats, FigureId figure, Habit habit) {
        List<WorkedRepeat> telling =
                repeats.stream().filter(r -> r.honest(figure).isPresent()).toList();
        if (telling.isEmpty()) {
            return Optional.empty();
        }
        var way = new IntermediateSteps(measure.procedure(), figure, telling, measure.taught());
        Map<Intermediate, Double> wrote = new EnumMap<>(Intermediate.class);
        for (Intermediate step : way.intermediates()) {
            way.at(step, wrote).ifPresent(value -> {
                double inRecord = step.unit().toRecord(value);
                wrote.put(step, step.unit().toCore(habit.written(inRecord, place(step, habit))));
            });
        }
        double honest = telling.stream()
                .mapToDouble(r -> r.honest(figure).orElseThrow())
                .average()
                .orElseThrow();
        return Optional.of(unit.ofFigure(honest + way.shift(wrote), figure, baseline));
    }

    /** Returns the place in the record's unit: an intermediate angle is written as the answer is. */
    private double place(Intermediate step, Habit habit) {
        if (step == Intermediate.FACTOR) {
            return habit.factorPlace();
        }
        boolean asAnswer = step.unit().quantity() == Quantity.ANGLE && unit.quantity() == Quantity.ANGLE;
        return asAnswer ? place : step.place();
    }
}
