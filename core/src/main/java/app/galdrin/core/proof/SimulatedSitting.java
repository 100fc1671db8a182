package app.galdrin.core.proof;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.References;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.CatalogueInstrument.Surface;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.Choice;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.spec.DecisionRule;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.task.Judge.Verdict;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Work;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.workshop.Hand;
import app.galdrin.core.workshop.Layout;
import app.galdrin.core.workshop.StandingVehicle;
import app.galdrin.core.workshop.Workshop;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** One simulated sitting of a subject: what was read by whom, and what was written. */
final class SimulatedSitting {

    /** A steering that nobody has looked at stands as far off as this, rad. */
    private static final double MOST_TURNED = Math.toRadians(2);

    private static final double MINUTES = 60;
    private static final double HUNDREDTHS = 100;

    final Subject subject;
    final Truth truth;
    private final SplittableRandom random;
    private final double clumsiness;
    private final double runOut;
    private final BayFloor floor;
    private final long rolled;
    private final Map<LineKey, WrittenValue> wrote = new TreeMap<>(Comparator.comparing(LineKey::key));
    private final Map<LineKey, WrittenValue> found = new HashMap<>();
    private final Map<LineKey, WrittenValue> left = new HashMap<>();
    private final Map<LineKey, WrittenValue> leftAgain = new HashMap<>();

    /**
     * Creates a sitting with no readings.
     *
     * @param clumsiness of the apprentice's hands, a factor
     * @param runOut of rims and tyres, mm
     */
    SimulatedSitting(Subject subject, Truth truth, double clumsiness, double runOut, SplittableRandom random) {
        this.subject = subject;
        this.truth = truth;
        this.clumsiness = clumsiness;
        this.runOut = runOut;
        this.random = random;
        this.rolled = random.nextLong();
        BayFloor surveyed = Subject.FLOOR;
        double doubt = surveyed.standardUncertainty();
        this.floor = new BayFloor(
                surveyed.bay(),
                surveyed.pitch() + doubt * random.nextGaussian(),
                surveyed.roll() + doubt * random.nextGaussian(),
                doubt);
    }

    /** Reads the vehicle as found, the apprentice and the instructor each by themselves. */
    SimulatedSitting read() {
        var apprentice = new Hand(clumsiness, random);
        var instructor = new Hand(1, random);
        for (Measure measure : subject.measures()) {
            read(wrote, truth, measure, 0, apprentice);
            read(found, truth, measure, 0, instructor);
        }
        return this;
    }

    /** The apprentice reads again, the front wheels turned by one amount, which one gains and the other loses. */
    void readTurned() {
        double amount = MOST_TURNED * (2 * random.nextDouble() - 1);
        Map<FigureId, Double> figures = new HashMap<>(truth.figures());
        figures.merge(FigureId.of(Measurand.TOE, Wheel.FRONT_LEFT), amount, Double::sum);
        figures.merge(FigureId.of(Measurand.TOE, Wheel.FRONT_RIGHT), -amount, Double::sum);
        for (Measure measure : subject.measures()) {
            read(wrote, new Truth(figures), measure, 0, new Hand(clumsiness, random));
        }
    }

    /** The instructor reads the vehicle as left; called again, once more with everything set up again. */
    SimulatedSitting leave() {
        Map<LineKey, WrittenValue> into = left.isEmpty() ? left : leftAgain;
        for (Measure measure : subject.round().measures()) {
            read(into, truth, measure, 1, new Hand(1, random));
        }
        return this;
    }

    private void read(Map<LineKey, WrittenValue> into, Truth state, Measure measure, int round, Hand hand) {
        for (Choice choice : measure.procedure().choices()) {
            into.put(new LineKey(measure.id(), choice.id(), 0, round), WrittenValue.text(choice.usual()));
        }
        Layout laid =
                new Workshop(standing(state), hand).lay(measure.procedure().key());
        for (int repeat = 1; repeat <= measure.repeats(); repeat++) {
            Map<String, Double> shows = laid.shows();
            for (Place place : measure.procedure().places(measure.figures())) {
                if (place.eachRepeat() || repeat == 1) {
                    double stands = Objects.requireNonNull(shows.get(place.id()), place.id());
                    double mark = markOf(place.instrument());
                    double read = hand.read(place.instrument().key(), place.surface() == Surface.TREAD, stands, mark);
                    into.put(key(measure, place, repeat, round), number(read, mark));
                }
            }
        }
    }

    private StandingVehicle standing(Truth state) {
        VehicleGeometry g = ProofVehicle.SHEET.geometry();
        Map<String, Double> figures = new HashMap<>();
        state.figures().forEach((figure, value) -> figures.put(figure.key(), value));
        return new StandingVehicle(
                g.wheelbase(),
                g.frontTrack(),
                g.rearTrack(),
                g.rim(Axle.FRONT),
                g.tyre(Axle.FRONT),
                figures,
                floor.pitch(),
                floor.roll(),
                runOut,
                rolled);
    }

    static LineKey key(Measure measure, Place place, int repeat, int round) {
        return new LineKey(measure.id(), place.id(), place.eachRepeat() ? repeat : 0, round);
    }

    /** One mark of an instrument, mm or deg. */
    static double markOf(CatalogueInstrument instrument) {
        return instrument.quantity().toDocument(instrument.resolution());
    }

    private static WrittenValue number(double value, double step) {
        return WrittenValue.number(String.valueOf(value), value, step);
    }

    /** Writes over a reading of the apprentice's, mm or deg. */
    void write(Measure measure, Place place, int repeat, double value) {
        wrote.put(key(measure, place, repeat, 0), number(value, markOf(place.instrument())));
    }

    /** Writes a worked figure rounded to a place, both in its unit. */
    void write(FigureId figure, double value, double place) {
        wrote.put(LineKey.of(subject.work().id(), figure.key()), number(Math.rint(value / place) * place, place));
    }

    /** Strikes an entry of the apprentice's. */
    void strike(LineKey line) {
        wrote.remove(line);
    }

    /** Does something, and takes back what it wrote. */
    void trying(Runnable meanwhile) {
        Map<LineKey, WrittenValue> before = new HashMap<>(wrote);
        meanwhile.run();
        wrote.clear();
        wrote.putAll(before);
    }

    /** Judges every figure by what the apprentice goes by: inside or outside, whatever is in doubt. */
    SimulatedSitting judge() {
        for (FigureId figure : subject.judge().figures()) {
            own().goesBy(figure, subject.judge().id())
                    .flatMap(value -> subject.assignment()
                            .limits(figure)
                            .map(limits -> subject.assignment()
                                    .scale(figure)
                                    .judge(figure, value, limits, DecisionRule.SIMPLE)))
                    .ifPresent(judgement -> wrote.put(
                            LineKey.of(subject.judge().id(), figure.key()),
                            WrittenValue.text((judgement.accepted() ? Verdict.INSIDE : Verdict.OUTSIDE).key())));
        }
        return this;
    }

    List<LineKey> lines() {
        return List.copyOf(wrote.keySet());
    }

    // ---- working on paper

    /** Works everything as the task teaches by one of the habits of rounding. */
    SimulatedSitting work(Habit habit) {
        Map<FigureId, Double> worked = onPaper(null, habit);
        for (Work.Item item : subject.work().asked()) {
            double step = item.unit().step();
            double value = Objects.requireNonNull(
                    worked.get(item.figure()), item.figure().key());
            write(item.figure(), habit.writing.to(value, step), step);
        }
        return this;
    }

    /** Returns what the paper comes to, in each answer's unit, before the last rounding. */
    Map<FigureId, Double> onPaper(@Nullable PaperSlip slip, Habit habit) {
        List<Map<String, Double>> repeats = answers().readings(subject.measure(), 0);
        return onPaper(repeats, slip, habit);
    }

    /** The same of some repeats. */
    Map<FigureId, Double> onPaper(List<Map<String, Double>> repeats, @Nullable PaperSlip slip, Habit habit) {
        List<Map<String, Double>> used = slip == PaperSlip.FIRST_REPEAT_ONLY ? repeats.subList(0, 1) : repeats;
        var paper = new Paper(subject.measure().procedure().key(), known(), slip, habit.writing);
        List<Map<String, Double>> figures = (habit.meansFirst ? List.of(means(used, habit)) : used)
                .stream().map(paper::work).toList();
        Map<FigureId, Double> answers = new LinkedHashMap<>();
        for (Work.Item item : subject.work().asked()) {
            double sum = 0;
            for (Map<String, Double> one : figures) {
                double value = answer(one, item, slip, habit);
                sum += habit.eachRepeat ? habit.writing.to(value, item.unit().step()) : value;
            }
            answers.put(item.figure(), sum / figures.size());
        }
        return slip == null ? answers : ofAnswers(slip, answers);
    }

    private double answer(Map<String, Double> figures, Work.Item item, @Nullable PaperSlip slip, Habit habit) {
        FigureId figure = item.figure();
        if (figure.ofBothWheels()) {
            Axle axle = figure.axle().orElseThrow();
            double sum = 0;
            boolean both = true;
            for (Wheel wheel : Wheel.values()) {
                if (wheel.axle() == axle) {
                    Double value = figures.get(figure.part(wheel).key());
                    both &= value != null;
                    double one = value == null ? 0 : inUnit(value, figure.part(wheel), item, slip);
                    sum += (wheel.left() ? 1 : figure.measurand().form().rightFactor())
                            * (habit.eachWheel
                                    ? habit.writing.to(one, item.unit().step())
                                    : one);
                }
            }
            if (both) {
                return sum;
            }
        }
        return inUnit(figures.getOrDefault(figure.key(), Double.NaN), figure, item, slip);
    }

    private double inUnit(double value, FigureId figure, Work.Item item, @Nullable PaperSlip slip) {
        AnswerUnit unit = item.unit();
        if (slip == PaperSlip.MM_FOR_DEGREES && figure.measurand().quantity() == Quantity.ANGLE) {
            unit = unit.quantity() == Quantity.ANGLE ? AnswerUnit.MILLIMETRES : AnswerUnit.DEGREES;
        }
        return unit.ofFigure(value, figure, own().baseline(subject.measure()));
    }

    private Map<FigureId, Double> ofAnswers(PaperSlip slip, Map<FigureId, Double> answers) {
        Map<FigureId, Double> changed = new LinkedHashMap<>(answers);
        answers.forEach((figure, value) -> {
            boolean total = figure.measurand().form() == Measurand.Form.SUM;
            Optional<Double> leftOne = total
                    ? Optional.ofNullable(
                            answers.get(figure.part(Wheel.of(figure.axle().orElseThrow(), Side.LEFT))))
                    : Optional.empty();
            switch (slip) {
                case METHOD_SIGN -> changed.put(figure, -value);
                case LEFT_RIGHT_SWAPPED ->
                    changed.put(
                            figure,
                            answers.getOrDefault(figure.wheel().isPresent() ? figure.otherSide() : figure, value));
                case ONE_WHEEL_FOR_TOTAL -> changed.put(figure, leftOne.orElse(value));
                case OTHER_WHEEL_FOR_TOTAL ->
                    changed.put(figure, leftOne.map(l -> value - l).orElse(value));
                case HALF_FOR_TOTAL -> changed.put(figure, total ? value / 2 : value);
                case TWICE_ONE_WHEEL ->
                    changed.put(figure, leftOne.map(l -> 2 * l).orElse(value));
                case TWICE_THE_OTHER_WHEEL ->
                    changed.put(figure, leftOne.map(l -> 2 * (value - l)).orElse(value));
                case MINUTES_AS_DECIMALS -> changed.put(figure, asDecimals(figure, value));
                default -> {}
            }
        });
        return changed;
    }

    /** 0°30′ written as 0.30 where degrees are asked; 0.30 written as 0°30′ where minutes are. */
    private double asDecimals(FigureId figure, double value) {
        AnswerUnit unit = subject.work().item(figure).orElseThrow().unit();
        if (unit.quantity() != Quantity.ANGLE) {
            return value;
        }
        boolean decimals = unit == AnswerUnit.DEGREES;
        double size = Math.abs(value);
        double whole = Math.floor(size);
        double counted = Math.rint((size - whole) * (decimals ? MINUTES : HUNDREDTHS));
        return Math.signum(value) * (whole + counted / (decimals ? HUNDREDTHS : MINUTES));
    }

    private Map<String, Double> means(List<Map<String, Double>> repeats, Habit habit) {
        Map<String, Double> means = new HashMap<>();
        for (Place place :
                subject.measure().procedure().places(subject.measure().figures())) {
            boolean angle = place.amount().quantity() == Quantity.ANGLE;
            double mean = repeats.stream()
                    .filter(r -> r.containsKey(place.id()))
                    .mapToDouble(r -> r.getOrDefault(place.id(), 0.0))
                    .average()
                    .orElse(Double.NaN);
            means.put(place.id(), habit.writing.to(mean, Math.min(markOf(place.instrument()), angle ? 0.01 : 0.1)));
        }
        return means;
    }

    private Paper.KnownData known() {
        VehicleGeometry g = ProofVehicle.SHEET.geometry();
        Map<FigureId, Estimate> before = own().standing(subject.measure(), 0).own();
        return new Paper.KnownData(
                g.rim(Axle.FRONT),
                g.tyre(Axle.FRONT),
                g.wheelbase(),
                Subject.FLOOR.pitch(),
                Subject.FLOOR.roll(),
                value(before, Wheel.REAR_LEFT),
                value(before, Wheel.REAR_RIGHT),
                subject.measure().taught());
    }

    private static double value(Map<FigureId, Estimate> before, Wheel wheel) {
        Estimate known = before.get(FigureId.of(Measurand.TOE, wheel));
        return known == null ? 0 : known.value();
    }

    // ---- what it comes to

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
