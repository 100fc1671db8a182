package app.galdrin.core.marking;

import app.galdrin.core.measure.Asked;
import app.galdrin.core.measure.Place;
import app.galdrin.core.measure.ToeFigures;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.task.AnswerUnit;
import app.galdrin.core.task.ToeTask;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoublePredicate;
import org.jspecify.annotations.Nullable;

/**
 * Tries the known slips on an apprentice's own readings and says which single slip, or failing that which pair, gives the
 * wrong figure that was written. Several that fit equally are all named; what no pair explains is not guessed at.
 */
final class SlipFinder {

    private final ToeTask task;
    private final List<Map<String, Double>> repeats;

    SlipFinder(ToeTask task, List<Map<String, Double>> repeats) {
        this.task = task;
        this.repeats = repeats;
    }

    /**
     * Slips behind a figure.
     *
     * @param asked which figure it is
     * @param matches whether a value in the answer's unit is, within rounding, what was written
     * @return sets of one slip, or of two where no single one fits; empty where none fit
     */
    List<Set<Slip>> explain(Asked asked, DoublePredicate matches) {
        List<Set<Slip>> singles = new ArrayList<>();
        for (Slip slip : Slip.values()) {
            if (fits(List.of(slip), asked, matches)) {
                singles.add(Set.of(slip));
            }
        }
        if (!singles.isEmpty()) {
            return singles;
        }
        List<Set<Slip>> pairs = new ArrayList<>();
        for (Slip first : Slip.values()) {
            for (Slip second : Slip.values()) {
                if (first.compareTo(second) < 0 && fits(List.of(first, second), asked, matches)) {
                    pairs.add(new LinkedHashSet<>(List.of(first, second)));
                }
            }
        }
        return pairs;
    }

    /**
     * Slips in taking or writing the readings themselves, one at a time.
     *
     * @param matches whether a toe in rad agrees with the reference
     */
    List<Set<Slip>> explainReadings(Asked asked, DoublePredicate matches) {
        Map<Slip, Optional<ToeFigures>> corrected = new EnumMap<>(Slip.class);
        corrected.put(
                Slip.FRONT_REAR_SWAPPED,
                work(repeats.stream().map(SlipFinder::swapFrontRear).toList()));
        corrected.put(
                Slip.INCHES_UNCONVERTED,
                work(repeats.stream().map(this::gapsFromInches).toList()));
        List<Set<Slip>> slips = new ArrayList<>();
        corrected.forEach((slip, figures) -> figures.flatMap(f -> f.figure(asked))
                .filter(e -> matches.test(e.value()))
                .ifPresent(e -> slips.add(Set.of(slip))));
        work(repeats)
                .flatMap(f -> f.figure(asked.otherSide()))
                .filter(e -> asked != Asked.TOTAL && matches.test(e.value()))
                .ifPresent(e -> slips.add(Set.of(Slip.LEFT_RIGHT_SWAPPED)));
        return slips;
    }

    private Map<String, Double> gapsFromInches(Map<String, Double> readings) {
        Map<String, Double> converted = new HashMap<>(readings);
        for (Place place : task.method().places()) {
            if (place.least() == 0) { // a span in inches would have been refused as too short for a vehicle
                converted.computeIfPresent(place.id(), (id, inches) -> inches * Unit.IN.factor());
            }
        }
        return converted;
    }

    private boolean fits(List<Slip> slips, Asked asked, DoublePredicate matches) {
        Optional<ToeFigures> figures = work(withSlips(slips));
        if (figures.isEmpty()) {
            return false;
        }
        List<Map<Asked, Double>> answers = List.of(answers(figures.get()));
        for (Slip slip : slips) {
            answers = answers.stream().flatMap(a -> alter(a, slip).stream()).toList();
        }
        return answers.stream().anyMatch(a -> a.containsKey(asked) && matches.test(a.getOrDefault(asked, 0.0)));
    }

    private Optional<ToeFigures> work(List<Map<String, Double>> readings) {
        List<ToeFigures> worked = task.work(readings);
        return worked.isEmpty() ? Optional.empty() : Optional.of(ToeFigures.mean(worked));
    }

    /** Slips made with the readings before they are worked. */
    private List<Map<String, Double>> withSlips(List<Slip> slips) {
        List<Map<String, Double>> readings = repeats;
        if (slips.contains(Slip.FRONT_REAR_SWAPPED)) {
            readings = readings.stream().map(SlipFinder::swapFrontRear).toList();
        }
        if (slips.contains(Slip.INCHES_UNCONVERTED)) {
            readings = readings.stream().map(this::leftInInches).toList();
        }
        return readings;
    }

    private static Map<String, Double> swapFrontRear(Map<String, Double> readings) {
        Map<String, Double> swapped = new HashMap<>();
        readings.forEach((place, value) -> swapped.put(otherEnd(place), value));
        return swapped;
    }

    /** The place at the other end of the same wheel; spacings and hub gaps have none. */
    private static String otherEnd(String place) {
        if (place.endsWith("frontGap") || place.equals("frontDistance")) {
            return place.replace("frontGap", "rearGap").replace("frontDistance", "rearDistance");
        }
        return place.replace("rearGap", "frontGap").replace("rearDistance", "frontDistance");
    }

    private Map<String, Double> leftInInches(Map<String, Double> readings) {
        Map<String, Double> inInches = new HashMap<>(readings);
        for (Place place : task.method().places()) {
            if (place.eachRepeat()) {
                inInches.computeIfPresent(place.id(), (id, mm) -> mm / Unit.IN.factor());
            }
        }
        return inInches;
    }

    private Map<Asked, Double> answers(ToeFigures figures) {
        Map<Asked, Double> answers = new EnumMap<>(Asked.class);
        for (Asked asked : Asked.values()) {
            figures.figure(asked)
                    .ifPresent(e -> answers.put(asked, task.answerUnit().ofToe(e.value(), asked, task.baseline())));
        }
        return answers;
    }

    /** Slips made with the figures after they are worked; some can be made in more than one way. */
    private List<Map<Asked, Double>> alter(Map<Asked, Double> answers, Slip slip) {
        return switch (slip) {
            case METHOD_SIGN -> List.of(mapped(answers, (asked, value) -> -value));
            case LEFT_RIGHT_SWAPPED -> List.of(mapped(answers, (asked, value) -> answers.get(asked.otherSide())));
            case ONE_WHEEL_FOR_TOTAL -> oneWheelForTotal(answers);
            case MM_FOR_DEGREES -> List.of(mapped(answers, this::otherQuantity));
            case FRONT_REAR_SWAPPED, INCHES_UNCONVERTED -> List.of(answers);
        };
    }

    private static List<Map<Asked, Double>> oneWheelForTotal(Map<Asked, Double> answers) {
        List<Map<Asked, Double>> ways = new ArrayList<>();
        Double total = answers.get(Asked.TOTAL);
        if (total != null) {
            ways.add(mapped(answers, (asked, value) -> asked == Asked.TOTAL ? total / 2 : total));
        }
        for (Asked wheel : List.of(Asked.LEFT, Asked.RIGHT)) {
            Double one = answers.get(wheel);
            if (one != null) {
                ways.add(mapped(answers, (asked, value) -> asked == Asked.TOTAL ? one : value));
            }
        }
        return ways;
    }

    /** The number of millimetres where degrees are asked, and the other way round. */
    private double otherQuantity(Asked asked, double value) {
        AnswerUnit unit = task.answerUnit();
        double toe = unit.toToe(value, asked, task.baseline());
        AnswerUnit other = unit.quantity() == Quantity.ANGLE ? AnswerUnit.MILLIMETRES : AnswerUnit.DEGREES;
        return other.ofToe(toe, asked, task.baseline());
    }

    private interface Change {
        @Nullable
        Double apply(Asked asked, double value);
    }

    private static Map<Asked, Double> mapped(Map<Asked, Double> answers, Change change) {
        Map<Asked, Double> changed = new EnumMap<>(Asked.class);
        answers.forEach((asked, value) -> {
            Double result = change.apply(asked, value);
            if (result != null) {
                changed.put(asked, result);
            }
        });
        return changed;
    }
}
