package app.galdrin.core.marking;

import app.galdrin.core.Vehicles;
import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.Work;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/** A sheet being filled in, and what it is marked. */
final class Bench {

    final Assignment assignment;
    private final Map<LineKey, WrittenValue> written = new HashMap<>();
    private final Map<LineKey, WrittenValue> found = new HashMap<>();
    private final Map<LineKey, WrittenValue> left = new HashMap<>();
    private final Map<LineKey, WrittenValue> leftAgain = new HashMap<>();

    private Bench(Practical practical, SpecificationSheet sheet) {
        this.assignment = Assignment.of(practical, sheet);
    }

    /** Caster, camber and toe on the van; nothing written yet. */
    static Bench fullFront(DecisionRule rule) {
        var p = TaskStart.FULL_FRONT.on(Vehicles.van(), "Full", OrderSchool.A, AnswerUnit.DEGREES);
        return new Bench(p.with(rule), Vehicles.van());
    }

    /** A practical on a vehicle. */
    static Bench of(Practical practical, SpecificationSheet sheet) {
        return new Bench(practical, sheet);
    }

    Bench slipsKeep(int percent) {
        return marked(new Scheme(practical().scheme().criteria(), percent));
    }

    /** The same sitting under another scheme. */
    Bench marked(Scheme scheme) {
        var other = new Bench(practical().with(scheme), assignment.sheet());
        other.written.putAll(written);
        other.found.putAll(found);
        other.left.putAll(left);
        other.leftAgain.putAll(leftAgain);
        return other;
    }

    /** The measurements as found. */
    private Stream<Measure> measures() {
        return practical().steps().stream().filter(Measure.class::isInstance).map(Measure.class::cast);
    }

    Practical practical() {
        return assignment.practical();
    }

    /** Writes on a line as an apprentice types it. */
    Bench write(String key, String text) {
        LineKey line = LineKey.parse(key).orElseThrow();
        written.put(line, understood(line, text));
        return this;
    }

    Bench strike(String key) {
        written.remove(LineKey.parse(key).orElseThrow());
        return this;
    }

    private WrittenValue understood(LineKey line, String text) {
        var type = new Sheet(assignment).line(line).orElseThrow().answer();
        if (!(LineText.read(text, type) instanceof LineText.ParsedText u)) {
            throw new IllegalArgumentException(line.key() + " does not take " + text);
        }
        return new WrittenValue(u.written(), u.value(), u.step());
    }

    /** Reads everything the vehicle in this state shows, with a hand that never errs, in every repeat. */
    Bench read(Truth truth) {
        measures().forEach(m -> read(written, m, 0, truth));
        return this;
    }

    /** The same by hands that err as the procedures say, each repeat by itself. */
    Bench readByHand(Truth truth, SplittableRandom random) {
        measures().forEach(m -> readByHand(written, m, truth, random));
        return this;
    }

    Bench referenceByHand(Truth truth, SplittableRandom random) {
        measures().forEach(m -> readByHand(found, m, truth, random));
        return this;
    }

    private void readByHand(Map<LineKey, WrittenValue> into, Measure measure, Truth truth, SplittableRandom random) {
        var laid = measure.procedure().lay(truth, assignment.standing(), 1, random);
        for (int repeat = 1; repeat <= measure.repeats(); repeat++) {
            into.putAll(lines(measure, 0, repeat, laid.read()));
        }
    }

    /** Two people read the same instruments as they were set up once, each by himself. */
    static void readSameSetUp(Bench one, Bench other, Truth truth, SplittableRandom random) {
        one.measures().forEach(m -> {
            var laid = m.procedure().lay(truth, one.assignment.standing(), 1, random);
            for (int repeat = 1; repeat <= m.repeats(); repeat++) {
                one.written.putAll(one.lines(m, 0, repeat, laid.read()));
                other.written.putAll(other.lines(m, 0, repeat, laid.read()));
            }
        });
    }

    /** The instructor has read it once, whatever the task asks for. */
    Bench referenceOnce(Truth truth) {
        reference(truth);
        found.keySet().removeIf(line -> line.repeat() > 1);
        return this;
    }

    Bench reference(Truth truth) {
        measures().forEach(m -> read(found, m, 0, truth));
        return this;
    }

    Bench leftAt(Truth truth) {
        practical().steps().stream().flatMap(s -> s.within().stream()).forEach(m -> read(left, m, 1, truth));
        return this;
    }

    /** Read once more, with everything set up again. */
    Bench leftAgainAt(Truth truth) {
        practical().steps().stream().flatMap(s -> s.within().stream()).forEach(m -> read(leftAgain, m, 1, truth));
        return this;
    }

    private void read(Map<LineKey, WrittenValue> into, Measure measure, int round, Truth truth) {
        Map<String, Double> one = measure.procedure()
                .lay(truth, assignment.standing(), 0, new SplittableRandom(1))
                .read();
        for (int repeat = 1; repeat <= measure.repeats(); repeat++) {
            into.putAll(lines(measure, round, repeat, one));
        }
    }

    private Map<LineKey, WrittenValue> lines(Measure measure, int round, int repeat, Map<String, Double> read) {
        Map<LineKey, WrittenValue> lines = new HashMap<>();
        for (Place place : measure.procedure().places(measure.figures())) {
            var line = new LineKey(measure.id(), place.id(), place.eachRepeat() ? repeat : 0, round);
            lines.put(line, understood(line, text(place, read.get(place.id()))));
        }
        return lines;
    }

    private static String text(Place place, double value) {
        String size = String.format(Locale.ROOT, "%.9f", Math.abs(value));
        if (!(place.answer() instanceof SizeAndSense sized)) {
            return size;
        }
        Sense sense = sized.senses().stream()
                .filter(s -> s.sign(sized.side()) * value >= 0)
                .findFirst()
                .orElseThrow();
        return LineText.withSense(size, sense.key());
    }

    /** Reads what is read in a round, with a hand that never errs. */
    Bench readInRound(String measure, int round, Truth truth) {
        read(written, practical().measure(measure).orElseThrow(), round, truth);
        return this;
    }

    /** Writes each asked figure as an honest sheet has it, changed by a habit. */
    Bench work(ToDoubleFunction<FigureId> habit) {
        practical()
                .of(Work.class)
                .forEach(w -> w.asked()
                        .forEach(item -> write(
                                w.id() + "/" + item.figure().key() + "/0/0",
                                String.format(Locale.ROOT, "%.2f", habit.applyAsDouble(item.figure())))));
        return this;
    }

    Bench workRight() {
        return work(this::honest);
    }

    /** What an honest sheet has for a figure, deg. */
    double honest(FigureId figure) {
        var own = new OwnFigures(assignment, new Answers(written));
        return measures()
                .filter(m -> m.tells(figure))
                .min(Comparator.comparing(m -> !m.figures().contains(figure)))
                .map(m -> Math.toDegrees(own.onPaper(m, 0, figure).orElseThrow()))
                .orElseThrow();
    }

    Answers answers() {
        return new Answers(written);
    }

    /** The sitting while it is marked. */
    Case sitting() {
        return new Case(
                assignment,
                answers(),
                references(),
                OwnFigures.ofReference(assignment, references().asFound()));
    }

    References references() {
        return new References(new Answers(found), new Answers(left), new Answers(leftAgain));
    }

    MarkSheet mark() {
        return Marker.mark(assignment, new Answers(written), references());
    }

    MarkLine line(String criterion) {
        return mark().lines().stream()
                .filter(l -> l.criterion().key().equals(criterion))
                .findFirst()
                .orElseThrow();
    }

    /** The evidence of a kind, of a line. */
    <T extends Evidence> List<T> evidence(String criterion, Class<T> kind) {
        return line(criterion).evidence().stream()
                .filter(kind::isInstance)
                .map(kind::cast)
                .toList();
    }
}
