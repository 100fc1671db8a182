package app.galdrin.core.proof;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.References;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.Choice;
import app.galdrin.core.procedure.Laid;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure.Worked;
import app.galdrin.core.procedure.Standing;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.simulated.HonestHands;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.Written;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Work;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.random.RandomGenerator;

/** One simulated sitting of a subject: what was read by whom, and what was written. */
final class Sat {

    /** How a person rounds on the way to a worked figure. */
    private enum Rounding {
        AT_THE_END,
        EACH_REPEAT,
        EACH_WHEEL
    }

    /** A steering that nobody has looked at stands as far off as this, rad. */
    private static final double MOST_TURNED = Math.toRadians(2);

    final Subject subject;
    final Truth truth;
    private final RandomGenerator random;
    private final double clumsiness;
    private final Standing bay;
    private final Map<LineKey, Written> wrote = new HashMap<>();
    private final Map<LineKey, Written> found = new HashMap<>();
    private final Map<LineKey, Written> left = new HashMap<>();
    private final Map<LineKey, Written> leftAgain = new HashMap<>();

    /** {@code clumsiness} as in {@link HonestHands}. */
    Sat(Subject subject, Truth truth, double clumsiness, RandomGenerator random) {
        this.subject = subject;
        this.truth = truth;
        this.clumsiness = clumsiness;
        this.random = random;
        BayFloor floor = Subject.FLOOR;
        double doubt = floor.standardUncertainty();
        this.bay = new Standing(
                ProofVehicle.SHEET,
                new BayFloor(
                        floor.bay(),
                        floor.pitch() + doubt * random.nextGaussian(),
                        floor.roll() + doubt * random.nextGaussian(),
                        doubt));
    }

    /** Reads the vehicle as found, the apprentice and the instructor each by himself. */
    Sat read() {
        var apprentice = new HonestHands(clumsiness, random);
        var instructor = new HonestHands(1, random);
        for (Measure measure : subject.measures()) {
            read(wrote, truth, measure, 0, measure.repeats(), apprentice);
            read(found, truth, measure, 0, measure.repeats(), instructor);
        }
        return this;
    }

    /** The apprentice reads again, all of these figures turned by one amount, each its way. */
    void readTurned(Map<FigureId, Integer> ways) {
        double amount = MOST_TURNED * (2 * random.nextDouble() - 1);
        Map<FigureId, Double> figures = new HashMap<>(truth.figures());
        ways.forEach((figure, way) -> figures.merge(figure, way * amount, Double::sum));
        for (Measure measure : subject.measures()) {
            read(wrote, new Truth(figures), measure, 0, measure.repeats(), new HonestHands(clumsiness, random));
        }
    }

    /** The instructor reads the vehicle as left; called again, once more with everything set up anew. */
    Sat leave() {
        Map<LineKey, Written> into = left.isEmpty() ? left : leftAgain;
        for (Measure measure : subject.round().measures()) {
            read(into, truth, measure, 1, measure.repeats(), new HonestHands(1, random));
        }
        return this;
    }

    private void read(
            Map<LineKey, Written> into, Truth state, Measure measure, int round, int repeats, HonestHands hands) {
        for (Choice choice : measure.procedure().choices()) {
            into.put(new LineKey(measure.id(), choice.id(), 0, round), Written.text(choice.usual()));
        }
        Laid laid = measure.procedure().lay(state, measure.procedure().asUsual(bay), hands);
        for (int repeat = 1; repeat <= repeats; repeat++) {
            Map<String, Double> read = laid.read();
            for (Place place : measure.procedure().places(measure.figures())) {
                if (place.eachRepeat() || repeat == 1) {
                    var key = new LineKey(measure.id(), place.id(), place.eachRepeat() ? repeat : 0, round);
                    into.put(key, number(read.getOrDefault(place.id(), 0.0), HonestHands.stepOf(place.instrument())));
                }
            }
        }
    }

    private static Written number(double value, double step) {
        return Written.number(String.valueOf(value), value, step);
    }

    /** Writes over a reading of the apprentice's. */
    void write(Measure measure, Place place, int repeat, double value) {
        var key = new LineKey(measure.id(), place.id(), place.eachRepeat() ? repeat : 0, 0);
        wrote.put(key, number(value, HonestHands.stepOf(place.instrument())));
    }

    /** Writes a worked figure rounded to a place, both in its unit. */
    void write(FigureId figure, double value, double place) {
        wrote.put(LineKey.of(subject.work().id(), figure.key()), number(Math.rint(value / place) * place, place));
    }

    /** Works everything as the task teaches, rounding by one of the habits there are. */
    Sat work() {
        Rounding habit = Rounding.values()[random.nextInt(Rounding.values().length)];
        for (Work.Item item : subject.work().asked()) {
            double worked = switch (habit) {
                case AT_THE_END -> honest(item);
                case EACH_REPEAT -> ofRoundedRepeats(item);
                case EACH_WHEEL -> ofRoundedWheels(item);
            };
            write(item.figure(), worked, item.unit().step());
        }
        return this;
    }

    /** What the taught working gives, in the answer's unit. */
    double honest(Work.Item item) {
        OptionalDouble figure = own().onPaper(subject.measure(), 0, item.figure());
        return item.unit().ofFigure(figure.orElseThrow(), item.figure(), own().baseline(subject.measure()));
    }

    private double ofRoundedRepeats(Work.Item item) {
        return own().repeats(subject.measure(), 0).stream()
                .mapToDouble(repeat -> rounded(item, repeat))
                .average()
                .orElseThrow();
    }

    private double rounded(Work.Item item, Worked repeat) {
        double value = item.unit()
                .ofFigure(repeat.honest(item.figure()).orElseThrow(), item.figure(), own().baseline(subject.measure()));
        return Math.rint(value / item.unit().step()) * item.unit().step();
    }

    /** A figure of both wheels from theirs as written, where both are asked. */
    private double ofRoundedWheels(Work.Item item) {
        List<Work.Item> wheels = subject.work().asked().stream()
                .filter(i -> item.figure().ofBothWheels())
                .filter(i -> i.figure()
                        .wheel()
                        .map(item.figure()::part)
                        .filter(i.figure()::equals)
                        .isPresent())
                .toList();
        if (wheels.size() != 2) {
            return honest(item);
        }
        double step = item.unit().step();
        double sum = 0;
        for (Work.Item wheel : wheels) {
            boolean leftOne = wheel.figure().wheel().orElseThrow().left();
            sum += (leftOne ? 1 : item.figure().measurand().form().rightFactor())
                    * Math.rint(honest(wheel) / step)
                    * step;
        }
        return sum;
    }

    Answers answers() {
        return new Answers(wrote);
    }

    OwnFigures own() {
        return new OwnFigures(subject.assignment(), answers());
    }

    OwnFigures reference() {
        return new OwnFigures(subject.assignment(), new Answers(found));
    }

    MarkSheet mark() {
        return Marker.mark(
                subject.assignment(),
                answers(),
                new References(new Answers(found), new Answers(left), new Answers(leftAgain)));
    }
}
