package app.galdrin.core.sitting;

import app.galdrin.core.equipment.Kit;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.Choice;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.spec.PartDoubt;
import app.galdrin.core.task.Measure;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Entries that stand on a sheet, without those struck out. Anything may be absent.
 *
 * @param order what was ticked, in the order in which that was done; a line of which nobody knows is not among them
 * @param minutes minutes that the work took until it was handed in, extra time taken off; empty where nobody knows
 * @param floor where it was read, if that is another bay than the assignment's
 * @param kit what it was read with, if that is other equipment than the assignment's
 * @param parts doubts about the parts of the vehicle: it was adjusted and put back since it was read
 */
public record Answers(
        Map<LineKey, WrittenValue> standing,
        List<LineKey> order,
        OptionalDouble minutes,
        Optional<BayFloor> floor,
        Optional<Kit> kit,
        List<PartDoubt> parts) {

    public Answers {
        standing = Map.copyOf(standing);
        order = List.copyOf(order);
        parts = List.copyOf(parts);
    }

    /** Creates answers without a known time or order. */
    public Answers(Map<LineKey, WrittenValue> standing) {
        this(standing, List.of(), OptionalDouble.empty(), Optional.empty(), Optional.empty(), List.of());
    }

    /**
     * The same, done in so many minutes.
     *
     * @param taken minutes, 0 or more
     */
    public Answers in(double taken) {
        return in(OptionalDouble.of(taken));
    }

    /**
     * The same, done in so many minutes if that is known.
     *
     * @param taken minutes, 0 or more
     */
    public Answers in(OptionalDouble taken) {
        return new Answers(standing, order, taken, floor, kit, parts);
    }

    /** The same, ticked in this order. */
    public Answers ordered(List<LineKey> done) {
        return new Answers(standing, done, minutes, floor, kit, parts);
    }

    /** The same, read in a bay with this floor. */
    public Answers on(BayFloor bay) {
        return new Answers(standing, order, minutes, Optional.of(bay), kit, parts);
    }

    /** The same, read with this equipment. */
    public Answers readWith(Kit equipment) {
        return new Answers(standing, order, minutes, floor, Optional.of(equipment), parts);
    }

    /** The same of a vehicle that was adjusted and put back since it was read. */
    public Answers putBack(List<PartDoubt> doubts) {
        return new Answers(standing, order, minutes, floor, kit, doubts);
    }

    /** Returns whether one line was ticked before another; false where either is not known. */
    public boolean isBefore(LineKey one, LineKey other) {
        int first = order.indexOf(one);
        return first >= 0 && first < order.indexOf(other);
    }

    /** Returns a sheet on which nothing stands. */
    public static Answers none() {
        return new Answers(Map.of());
    }

    /** Returns what stands on a line. */
    public Optional<WrittenValue> at(LineKey key) {
        return Optional.ofNullable(standing.get(key));
    }

    /** Returns the text that stands on a line. */
    public Optional<String> text(LineKey key) {
        return at(key).map(WrittenValue::text);
    }

    /**
     * A slope of the floor as it was read, deg with its sign: for these readings, else for others of the sheet, since the vehicle stands
     * where it stood.
     */
    public OptionalDouble slope(Measure measure, int round, BayFloor.Slope slope) {
        var here = new LineKey(measure.id(), slope.key(), 0, round);
        return at(here).or(() -> standing.keySet().stream()
                        .filter(key -> key.line().equals(slope.key()))
                        .min(Comparator.comparingInt(LineKey::round).thenComparing(LineKey::step))
                        .map(standing::get))
                .map(WrittenValue::value)
                .orElse(OptionalDouble.empty());
    }

    /** Returns what was chosen for the readings of a measuring step in a round: the option by the id of its choice. */
    public Map<String, String> chosen(Measure measure, int round) {
        return chosen(measure, round, measure.procedure().choices());
    }

    /** The same where what there is to choose is known. */
    Map<String, String> chosen(Measure measure, int round, List<Choice> choices) {
        Map<String, String> chosen = new HashMap<>();
        for (Choice choice : choices) {
            text(new LineKey(measure.id(), choice.id(), 0, round)).ifPresent(option -> chosen.put(choice.id(), option));
        }
        return chosen;
    }

    /** The readings of a measuring step in a round: mm or deg by place, a map a repeat, those of the set-up in each. */
    public List<Map<String, Double>> readings(Measure measure, int round) {
        return readings(measure, round, measure.procedure().places(measure.figures()));
    }

    /** The same where the places it reads are known. */
    List<Map<String, Double>> readings(Measure measure, int round, List<Place> places) {
        List<Map<String, Double>> byRepeat = new ArrayList<>();
        for (int repeat = 1; repeat <= measure.repeats(); repeat++) {
            Map<String, Double> readings = new HashMap<>(2 * places.size());
            for (Place place : places) {
                WrittenValue written =
                        standing.get(new LineKey(measure.id(), place.id(), place.eachRepeat() ? repeat : 0, round));
                if (written != null && written.value().isPresent()) {
                    readings.put(place.id(), written.value().getAsDouble());
                }
            }
            byRepeat.add(readings);
        }
        return byRepeat;
    }
}
