package app.galdrin.core.reference;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;

/**
 * States of one vehicle, who read each and what was moved between them. The value of a figure in a state comes from the readings of that state and,
 * by way of the moves, from those of the states around it. States and moves make a tree, so that no reading is counted twice. Safely asked by many
 * threads.
 */
public final class VehicleHistory {

    /** Moves that a value is carried over; each adds so much doubt that more say next to nothing. */
    private static final int FARTHEST = 4;

    /** People who have to agree before an instructor is asked whether his reading is right. */
    private static final int ENOUGH_TO_ASK = 2;

    private static final double ACTION = 3;

    private final List<StateReading> readings;
    private final List<StateMove> moves;
    private final Map<Question, Optional<ReferenceValue>> known = new ConcurrentHashMap<>();

    private record Question(String state, ReadFigure figure, Set<String> without) {}

    /** Witnesses found before: many ways lead through the same states. */
    private final Map<WitnessQuestion, List<Witness>> found = new ConcurrentHashMap<>();

    private record WitnessQuestion(
            String state, ReadFigure figure, Set<String> without, String cameFrom, int farthest) {}

    /**
     * Creates a history.
     *
     * @param readings in any order; several by one person count as they stand
     * @param moves in any order; no way along them leads back to where it began
     */
    public VehicleHistory(List<StateReading> readings, List<StateMove> moves) {
        // in an order of their own: no order of arrival changes the last digit of a sum
        this.readings = readings.stream()
                .sorted(Comparator.comparing((StateReading r) -> !r.isInstructor())
                        .thenComparing(StateReading::id)
                        .thenComparing(StateReading::state))
                .toList();
        this.moves = moves.stream()
                .sorted(Comparator.comparing(StateMove::to).thenComparing(StateMove::from))
                .toList();
    }

    /**
     * Source of a figure.
     *
     * @param estimate rad or mm
     * @param people ids of those whose word it is, instructors left out
     */
    private record Witness(ReferencePart.Kind kind, String source, Estimate estimate, Set<String> people) {}

    /**
     * Returns the value of a figure in a state; empty where nobody else has read it.
     *
     * @param without ids of people whose readings and moves are left out: nobody is marked against what they said themselves
     */
    public Optional<ReferenceValue> value(String state, ReadFigure figure, Set<String> without) {
        return known.computeIfAbsent(
                new Question(state, figure, without),
                asked -> combine(witnesses(state, figure, without, "", FARTHEST)));
    }

    /** Returns what is known of a state, each figure by the procedure that tells it best; rad or mm. */
    public Map<FigureId, ReferenceValue> best(String state) {
        Map<FigureId, ReferenceValue> best = new TreeMap<>();
        readings.stream()
                .flatMap(reading -> reading.figures().keySet().stream())
                .distinct()
                .sorted(Comparator.comparing(ReadFigure::procedure).thenComparing(ReadFigure::steering))
                .forEach(figure -> value(state, figure, Set.of())
                        .ifPresent(value -> best.merge(figure.figure(), value, VehicleHistory::better)));
        return best;
    }

    /**
     * Returns by how much each part was moved on the way to a state, as far back as moves are known: in its unit with its sign, by id of the part.
     */
    public Map<String, Double> movedTo(String state) {
        Map<String, Double> moved = new TreeMap<>();
        Optional<StateMove> last = moveTo(state);
        while (last.isPresent()) {
            last.get().moves().units().forEach((part, amount) -> moved.merge(part.id(), amount, Double::sum));
            last = moveTo(last.get().from());
        }
        return moved;
    }

    private Optional<StateMove> moveTo(String state) {
        return moves.stream().filter(move -> move.to().equals(state)).findFirst();
    }

    private static ReferenceValue better(ReferenceValue one, ReferenceValue other) {
        return one.value().standardUncertainty() <= other.value().standardUncertainty() ? one : other;
    }

    /**
     * Difference between an instructor's reading and what all others say together.
     *
     * @param others how many people or pairs agree on it
     * @param difference theirs less the instructor's, rad or mm
     * @param expanded its uncertainty at 95 %, rad or mm
     */
    public record Disagreement(int others, double difference, double expanded) {}

    /**
     * Returns how far an instructor's reading of a state lies off what all others say, where they agree and it is more than chance: three standard
     * uncertainties of the difference, the action signal of [ISO13528, 9.4].
     */
    public Optional<Disagreement> disagreement(String state, ReadFigure figure) {
        // what apprentices say they moved is no reading: where a sheet's effects are wrong, all of it is wrong alike
        List<Witness> others = new ArrayList<>(
                new VehicleHistory(readings, byInstructors()).witnesses(state, figure, Set.of(), "", FARTHEST));
        List<Witness> instructors = others.stream()
                .filter(witness -> witness.kind() == ReferencePart.Kind.INSTRUCTOR)
                .toList();
        others.removeAll(instructors);
        int people = independent(others.stream().map(Witness::people).toList());
        if (instructors.isEmpty() || people < ENOUGH_TO_ASK) {
            return Optional.empty();
        }
        var theirs = new RobustMean(estimates(others));
        Estimate difference = theirs.estimate().minus(new RobustMean(estimates(instructors)).estimate());
        double u = difference.standardUncertainty();
        return theirs.agrees() && Math.abs(difference.value()) > ACTION * u
                ? Optional.of(new Disagreement(people, difference.value(), Judgement.K * u))
                : Optional.empty();
    }

    private List<StateMove> byInstructors() {
        return moves.stream().filter(move -> move.people().isEmpty()).toList();
    }

    private List<Witness> witnesses(
            String state, ReadFigure figure, Set<String> without, String cameFrom, int farthest) {
        var asked = new WitnessQuestion(state, figure, without, cameFrom, farthest);
        List<Witness> known = found.get(asked);
        if (known == null) {
            // finding some finds those beyond them, so that nothing is found inside of the map
            known = List.copyOf(find(asked));
            found.put(asked, known);
        }
        return known;
    }

    private List<Witness> find(WitnessQuestion asked) {
        String state = asked.state();
        ReadFigure figure = asked.figure();
        List<Witness> witnesses = new ArrayList<>();
        for (StateReading reading : readings) {
            if (reading.state().equals(state) && Collections.disjoint(reading.people(), asked.without())) {
                reading.find(figure)
                        .ifPresent(estimate -> witnesses.add(
                                reading.isInstructor()
                                        ? new Witness(ReferencePart.Kind.INSTRUCTOR, reading.id(), estimate, Set.of())
                                        : new Witness(
                                                ReferencePart.Kind.APPRENTICE,
                                                reading.id(),
                                                estimate,
                                                reading.people())));
            }
        }
        for (StateMove move : moves) {
            boolean isFurther = move.touches(state) && !move.beyond(state).equals(asked.cameFrom());
            if (isFurther
                    && asked.farthest() > 0
                    && Collections.disjoint(move.people(), asked.without())
                    && move.tells(figure.figure())) {
                String beyond = move.beyond(state);
                List<Witness> there = witnesses(beyond, figure, asked.without(), state, asked.farthest() - 1);
                if (move.isReturn()) {
                    // the same setting: who read it before it was put back is a reader still
                    there.forEach(witness -> witnesses.add(new Witness(
                            witness.kind(),
                            witness.source(),
                            move.carry(witness.estimate(), beyond, figure.figure()),
                            union(witness.people(), move.people()))));
                } else if (!there.isEmpty()) {
                    Estimate value = new RobustMean(estimates(there)).estimate();
                    witnesses.add(new Witness(
                            ReferencePart.Kind.MOVE,
                            beyond,
                            move.carry(value, beyond, figure.figure()),
                            behind(there, move)));
                }
            }
        }
        return witnesses;
    }

    private static Set<String> union(Set<String> one, Set<String> other) {
        Set<String> union = new HashSet<>(one);
        union.addAll(other);
        return union;
    }

    /** Returns whose word a move and what it carries are; empty where they rest on an instructor. */
    private static Set<String> behind(List<Witness> there, StateMove move) {
        boolean isInstructors =
                there.stream().anyMatch(witness -> witness.people().isEmpty());
        Set<String> people = new HashSet<>(move.people());
        if (!isInstructors) {
            there.forEach(witness -> people.addAll(witness.people()));
        }
        return people;
    }

    private static List<Estimate> estimates(List<Witness> witnesses) {
        return witnesses.stream().map(Witness::estimate).toList();
    }

    private static Optional<ReferenceValue> combine(List<Witness> witnesses) {
        if (witnesses.isEmpty()) {
            return Optional.empty();
        }
        var mean = new RobustMean(estimates(witnesses));
        List<ReferencePart> parts = new ArrayList<>();
        List<Set<String>> agreeing = new ArrayList<>();
        for (int i = 0; i < witnesses.size(); i++) {
            Witness witness = witnesses.get(i);
            Estimate estimate = witness.estimate();
            parts.add(new ReferencePart(
                    witness.kind(), witness.source(), estimate.value(), estimate.standardUncertainty(), mean.share(i)));
            if (mean.agrees(i)) {
                agreeing.add(witness.people());
            }
        }
        return Optional.of(new ReferenceValue(
                mean.estimate(), parts, mean.agrees(), agreeing.contains(Set.<String>of()), independent(agreeing)));
    }

    /** Returns how many of these groups of people have nobody in common with those before them; an instructor's are not counted. */
    private static int independent(List<Set<String>> groups) {
        Set<String> counted = new HashSet<>();
        int independent = 0;
        for (Set<String> people : groups) {
            if (!people.isEmpty() && Collections.disjoint(counted, people)) {
                independent++;
            }
            counted.addAll(people);
        }
        return independent;
    }
}
