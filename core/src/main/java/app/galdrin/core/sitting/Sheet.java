package app.galdrin.core.sitting;

import app.galdrin.core.Keyed;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The lines of a sheet and how far they are written. One is safely asked by many threads. */
public final class Sheet {

    private final Assignment assignment;

    /** The lines by step; they follow from task and vehicle, and every field needs them. */
    private final Map<String, List<Line>> lines = new ConcurrentHashMap<>();

    public Sheet(Assignment assignment) {
        this.assignment = assignment;
    }

    /** Progress of a step: {@code done} of {@code total} lines are written. */
    public record Progress(int done, int total) {
        /** Lines that are still to be written. */
        public int lacking() {
            return total - done;
        }

        /** Returns whether nothing is left to write. */
        public boolean complete() {
            return done >= total;
        }
    }

    /** The line of a key, if this sheet has it; rounds are counted from 1 up to the most there can be. */
    public Optional<Line> line(LineKey key) {
        Optional<Step> step = assignment.practical().step(key.step());
        return step.filter(s -> roundsOf(s).contains(key.round()))
                .flatMap(s -> lines(s).stream()
                        .filter(l -> l.id().equals(key.line()))
                        .filter(l ->
                                l.repeated() ? key.repeat() >= 1 && key.repeat() <= s.repeats() : key.repeat() == 0)
                        .findFirst());
    }

    /** Returns the lines of a step, those about the floor first. */
    public List<Line> lines(Step step) {
        return lines.computeIfAbsent(step.id(), id -> {
            Stream<Line> floor = step.floorLines(assignment.floor()).stream();
            return Stream.concat(floor, step.lines(assignment.sheet()).stream()).toList();
        });
    }

    /** The numbers of the rounds a step is done in; 0 alone for one outside of rounds. */
    public List<Integer> roundsOf(Step step) {
        for (Step outer : assignment.practical().steps()) {
            if (outer instanceof Round round
                    && (outer.equals(step) || round.measures().contains(step))) {
                List<Integer> rounds = new ArrayList<>();
                for (int i = 1; i <= round.most(); i++) {
                    rounds.add(i);
                }
                return rounds;
            }
        }
        return List.of(0);
    }

    /** Every key of a step in one round, in the order in which it is filled; steps within it come behind its own lines. */
    public List<LineKey> keys(Step step, int round) {
        List<LineKey> keys = new ArrayList<>(ownKeys(step, round));
        step.within().forEach(inner -> keys.addAll(ownKeys(inner, round)));
        return keys;
    }

    private List<LineKey> ownKeys(Step step, int round) {
        List<LineKey> keys = new ArrayList<>();
        List<Line> lines = lines(step);
        for (int repeat = 1; repeat <= step.repeats(); repeat++) {
            for (Line line : lines) {
                if (line.repeated() || repeat == 1) {
                    keys.add(new LineKey(step.id(), line.id(), line.repeated() ? repeat : 0, round));
                }
            }
        }
        return keys;
    }

    /** Returns how many rounds have been begun, at least one; another begins when the last asks for it. */
    public int rounds(Round step, Answers answers) {
        int round = 1;
        while (round < step.most() && asksForAnother(step, round, answers)) {
            round++;
        }
        return round;
    }

    /** Returns the numbers of the rounds of a step that can be written in: those begun and the next; 0 alone for one outside of rounds. */
    public List<Integer> roundsOpen(Step step, Answers answers) {
        if (!(step instanceof Round round)) {
            return List.of(0);
        }
        int last = Math.min(round.most(), rounds(round, answers) + 1);
        return IntStream.rangeClosed(1, last).boxed().toList();
    }

    private static boolean asksForAnother(Round step, int round, Answers answers) {
        return answers.text(new LineKey(step.id(), Round.NEXT, 0, round))
                .filter(Round.Next.AGAIN.key()::equals)
                .isPresent();
    }

    /** One rule for every kind of step: each line is written, may be left empty, or is needless by what stands on another. */
    public Progress progress(Step step, Answers answers) {
        int done = 0;
        int total = 0;
        int last = step instanceof Round round ? rounds(round, answers) : 0;
        for (int round = step instanceof Round ? 1 : 0; round <= last; round++) {
            for (LineKey key : keys(step, round)) {
                if (line(key).filter(Line::optional).isPresent()) {
                    continue;
                }
                total++;
                done += isFilled(key, answers) ? 1 : 0;
            }
        }
        return new Progress(done, total);
    }

    /** Returns whether it is written, or needs no more to be. */
    public boolean isFilled(LineKey key, Answers answers) {
        return answers.at(key).isPresent()
                || isSlopeReadElsewhere(key, answers)
                || line(key)
                        .flatMap(Line::needless)
                        .filter(n -> answers.text(new LineKey(key.step(), n.line(), 0, key.round()))
                                .filter(n.answer()::equals)
                                .isPresent())
                        .isPresent();
    }

    /** A slope of the floor is read once: anyone who has read it for other readings of this sheet knows it. */
    private boolean isSlopeReadElsewhere(LineKey key, Answers answers) {
        return !assignment.floor().isKnown()
                && Keyed.find(BayFloor.Slope.values(), key.line())
                        .flatMap(slope -> assignment
                                .practical()
                                .measure(key.step())
                                .filter(m ->
                                        answers.slope(m, key.round(), slope).isPresent()))
                        .isPresent();
    }

    /** The first step that is not complete, else the last. */
    public Step next(Answers answers) {
        List<Step> steps = assignment.practical().steps();
        return steps.stream()
                .filter(s -> !progress(s, answers).complete())
                .findFirst()
                .orElse(steps.get(steps.size() - 1));
    }

    /** The line that hands this sheet in. */
    public LineKey handIn() {
        return assignment
                .practical()
                .of(HandIn.class)
                .map(step -> LineKey.of(step.id(), HandIn.DONE))
                .findFirst()
                .orElseThrow();
    }

    /** The step a measurement belongs to on the sheet: the round it is in, else itself. */
    public Step shownIn(Measure measure) {
        return assignment.practical().steps().stream()
                .filter(s -> s.equals(measure) || s.within().contains(measure))
                .findFirst()
                .orElse(measure);
    }
}
