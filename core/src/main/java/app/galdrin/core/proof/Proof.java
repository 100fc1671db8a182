package app.galdrin.core.proof;

import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.procedure.Derivation;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.SenseSlips;
import app.galdrin.core.procedure.Slip;
import app.galdrin.core.procedure.Slips;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Work;
import app.galdrin.core.uncertainty.Estimate;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Many simulated sittings, and what the marking does to them. The same seed gives the same table. */
public final class Proof {

    /** A worked figure that a slip moves by more than so many steps as written, and a reading by more than so many U, is to be named. */
    private static final double STEPS = 2.5;

    private static final double TIMES_U = 3.2;

    /** How far off what is preferred vehicles stand, in halves of the tolerance. */
    private static final double SPREAD = 1.5;

    /** How far an error that is no slip reaches, in sizes of the figure or its tolerance. */
    private static final double REACH = 5;

    private static final double HALF_AS_LARGE_AGAIN = 1.5;

    /** Of rims and tyres, mm. */
    private static final double RUN_OUT = 0.5;

    /** By how many marks people misread a scale. */
    private static final int[] MISREAD = {2, 4, 10, 20};

    private static final double INCH = 25.4;

    private final List<Subject> subjects = Subject.all();
    private final double clumsiness;
    private final long seed;

    /** {@code clumsiness} of the honest apprentices is a factor on the habits of their hands, without unit. */
    public Proof(long seed, double clumsiness) {
        this.seed = seed;
        this.clumsiness = clumsiness;
    }

    /** So many sittings, spread evenly over all tasks; on as many processors as there are. */
    public Tally sittings(int sittings) {
        return IntStream.range(0, sittings)
                .parallel()
                .mapToObj(i -> new Sitting(i).counted())
                .reduce(new Tally(), (a, b) -> new Tally().plus(a).plus(b));
    }

    private static Stream<Evidence> evidence(MarkSheet marks) {
        return marks.lines().stream().flatMap(line -> line.evidence().stream());
    }

    private static <T extends Evidence> Stream<T> of(MarkSheet marks, Class<T> kind) {
        return evidence(marks).filter(kind::isInstance).map(kind::cast);
    }

    /** The slips that are named, alone or with what fits equally; none where they are only possible. */
    private static List<Set<String>> named(Evidence evidence) {
        if (evidence instanceof Evidence.Working e) {
            return e.possible() ? List.of() : e.slips();
        }
        return evidence instanceof Evidence.Reading e && !e.possible() ? e.slips() : List.of();
    }

    private static boolean accuses(MarkSheet marks) {
        return evidence(marks).anyMatch(e -> !named(e).isEmpty());
    }

    private static boolean names(Stream<? extends Evidence> evidence, String slip) {
        return evidence.anyMatch(e -> named(e).equals(List.of(Set.of(slip))));
    }

    private static boolean namesAnother(Stream<? extends Evidence> evidence, String slip) {
        return evidence.anyMatch(e -> named(e).stream().anyMatch(s -> !s.contains(slip)));
    }

    private static boolean isPossible(Stream<? extends Evidence> evidence, String slip) {
        return evidence.anyMatch(e -> e instanceof Evidence.Working w && w.possible() && has(w.slips(), slip)
                || e instanceof Evidence.Reading r && r.possible() && has(r.slips(), slip));
    }

    private static boolean has(Collection<Set<String>> slips, String slip) {
        return slips.stream().anyMatch(s -> s.contains(slip));
    }

    /** All that is tried on one subject. */
    private final class Sitting {
        private final SplittableRandom random;
        private final Subject subject;
        private final Measure measure;
        private final String procedure;
        private final Truth truth;
        private final Set<String> listed;
        private final Tally tally = new Tally();

        Sitting(int index) {
            this.random = new SplittableRandom(seed + 0x9E3779B97F4A7C15L * (index + 1));
            this.subject = subjects.get(index % subjects.size());
            this.measure = subject.measure();
            this.procedure = measure.procedure().key();
            this.truth = ProofVehicle.state(SPREAD, random);
            this.listed = Slips.of(measure.procedure()).stream().map(Slip::key).collect(Collectors.toSet());
        }

        private Sat read(double clumsy, double runOut) {
            return new Sat(subject, truth, clumsy, runOut, random).read();
        }

        private <T> T one(List<T> all) {
            return all.get(random.nextInt(all.size()));
        }

        Tally counted() {
            Habit habit = one(List.of(Habit.values()));
            Sat sat = read(clumsiness, 0).work(habit).judge();
            honest(sat, habit);
            missing(sat);
            tally.count(
                    Measured.CLUMSY_ACCUSED,
                    procedure,
                    accuses(read(HALF_AS_LARGE_AGAIN, 0).work(Habit.AT_THE_END).mark()));
            covered(Measured.RUN_OUT_COVERAGE, read(clumsiness, RUN_OUT));
            if (!subject.work().asked().isEmpty()) {
                workingSlip(sat);
                partialSlip(sat);
                penError(sat);
                drawn(sat);
            }
            misread(read(clumsiness, 0));
            wrongSense(read(clumsiness, 0));
            readingSlip(read(clumsiness, 0));
            exact();
            return tally;
        }

        // ---- honest

        private void honest(Sat sat, Habit habit) {
            MarkSheet marks = sat.mark();
            tally.count(Measured.HONEST_ACCUSED, procedure, accuses(marks));
            if (of(marks, Evidence.Working.class).findAny().isPresent()) {
                boolean lost = of(marks, Evidence.Working.class).anyMatch(e -> e.credit() < 1);
                tally.count(Measured.HONEST_WORKING_LOST, procedure, lost);
                tally.count(Measured.HABIT_WORKING_LOST, habit.key(), lost);
            }
            if (of(marks, Evidence.Repeats.class).findAny().isPresent()) {
                boolean lost = of(marks, Evidence.Repeats.class).anyMatch(e -> e.credit() < 1);
                tally.count(Measured.HONEST_REPEATABILITY_LOST, procedure + " " + measure.repeats(), lost);
            }
            of(marks, Evidence.Reading.class)
                    .forEach(e -> tally.count(Measured.HONEST_READING_LOST, procedure, e.credit() < 1));
            covered(Measured.COVERAGE, sat);
        }

        private void covered(Measured measured, Sat sat) {
            for (FigureId figure : measure.figures()) {
                sat.own().mean(measure, 0, figure).ifPresent(own -> {
                    double off = Math.abs(own.value() - sat.truth.figure(figure));
                    tally.count(measured, procedure, off <= Judgement.K * own.standardUncertainty());
                });
            }
        }

        /** One entry struck: a reading of a repeat, or a worked figure. */
        private void missing(Sat sat) {
            Map<String, MarkLine> before = byCriterion(sat.mark());
            List<LineKey> lines = sat.lines().stream()
                    .filter(line -> line.step().equals(measure.id()) && line.repeat() > 0
                            || line.step().equals(subject.work().id()))
                    .toList();
            LineKey struck = one(lines);
            sat.strike(struck, () -> {
                boolean reading = struck.step().equals(measure.id());
                Set<FigureId> touched = measure.figures().stream()
                        .filter(f ->
                                reading ? isReadAt(f, struck.line()) : f.key().equals(struck.line()))
                        .collect(Collectors.toSet());
                boolean itself = true;
                for (MarkLine line : sat.mark().lines()) {
                    boolean own = reading
                            ? line.criterion().step().equals(measure.id())
                            : line.criterion().aspect() == Aspect.WORKING;
                    MarkLine was =
                            Objects.requireNonNull(before.get(line.criterion().key()));
                    itself &= own
                            ? !losesElsewhere(was, line, touched)
                            : line.marks().compareTo(was.marks()) >= 0;
                }
                tally.count(Measured.MISSING_COSTS_ITSELF, reading ? "reading" : "working", itself);
            });
        }

        /** Whether some way to a figure, or to what it follows from, reads a place. */
        private boolean isReadAt(FigureId figure, String place) {
            return measure.procedure().evaluations().stream()
                            .filter(e -> e.places().stream().anyMatch(p -> p.id().equals(place)))
                            .anyMatch(e -> e.figures().containsValue(figure))
                    || Derivation.parts(figure).stream().anyMatch(part -> isReadAt(part, place));
        }

        private static Map<String, MarkLine> byCriterion(MarkSheet marks) {
            return marks.lines().stream()
                    .collect(Collectors.toMap(line -> line.criterion().key(), line -> line));
        }

        /** Whether a figure that does not need what is missing has less than before. */
        private static boolean losesElsewhere(MarkLine was, MarkLine is, Set<FigureId> touched) {
            Map<FigureId, Double> credits = credits(is);
            return credits(was).entrySet().stream()
                    .anyMatch(
                            e -> !touched.contains(e.getKey()) && credits.getOrDefault(e.getKey(), 0.0) < e.getValue());
        }

        private static Map<FigureId, Double> credits(MarkLine line) {
            Map<FigureId, Double> credits = new HashMap<>();
            for (Evidence e : line.evidence()) {
                if (e instanceof Evidence.Reading r) {
                    credits.put(r.figure(), r.credit());
                } else if (e instanceof Evidence.Repeats r) {
                    credits.put(r.figure(), r.credit());
                } else if (e instanceof Evidence.Working w) {
                    credits.put(w.figure(), w.credit());
                }
            }
            return credits;
        }

        // ---- slips in the working

        private List<PaperSlip> paperSlips() {
            return Arrays.stream(PaperSlip.values())
                    .filter(slip -> listed.contains(slip.key()))
                    .toList();
        }

        private void workingSlip(Sat sat) {
            List<PaperSlip> slips = paperSlips();
            PaperSlip slip = one(slips);
            double coarser = one(List.of(1.0, 1.0, 5.0, 10.0));
            Map<FigureId, Double> honest = sat.onPaper(null, Habit.AT_THE_END);
            Map<FigureId, Double> slipped = sat.onPaper(slip, Habit.AT_THE_END);
            tried(sat, slip, honest, slipped, coarser, "all", s -> sat.onPaper(s, Habit.AT_THE_END));
            FigureId alone = one(List.copyOf(honest.keySet()));
            tried(
                    sat,
                    slip,
                    honest,
                    only(alone, honest, slipped),
                    coarser,
                    "one",
                    s -> only(alone, honest, sat.onPaper(s, Habit.AT_THE_END)));
        }

        private static Map<FigureId, Double> only(
                FigureId figure, Map<FigureId, Double> honest, Map<FigureId, Double> slipped) {
            Map<FigureId, Double> mixed = new LinkedHashMap<>(honest);
            mixed.put(figure, slipped.getOrDefault(figure, Double.NaN));
            return mixed;
        }

        /** What another slip gives that is made in the same way. */
        private interface Otherwise {
            Map<FigureId, Double> by(PaperSlip slip);
        }

        private void tried(
                Sat sat,
                PaperSlip slip,
                Map<FigureId, Double> honest,
                Map<FigureId, Double> slipped,
                double coarser,
                String how,
                Otherwise otherwise) {
            if (isTold(slip, honest, slipped, coarser, otherwise)) {
                List<Evidence.Working> marked = written(sat, slipped, coarser);
                tally.count(
                        Measured.SLIP_NAMED,
                        slip.key() + " " + how,
                        names(marked.stream(), slip.key()),
                        isPossible(marked.stream(), slip.key()));
            }
        }

        /** Whether it moves a figure, and no other listed slip gives the same figures within the place that is written. */
        private boolean isTold(
                PaperSlip slip,
                Map<FigureId, Double> honest,
                Map<FigureId, Double> slipped,
                double coarser,
                Otherwise otherwise) {
            boolean moved =
                    slipped.entrySet().stream().anyMatch(e -> off(e.getKey(), e.getValue(), honest, coarser) > STEPS);
            return moved
                    && paperSlips().stream()
                            .filter(other -> !other.key().equals(slip.key()))
                            .map(otherwise::by)
                            .noneMatch(other -> slipped.entrySet().stream()
                                    .filter(e -> off(e.getKey(), e.getValue(), honest, coarser) > 1)
                                    .allMatch(e -> off(e.getKey(), e.getValue(), other, coarser) <= 1));
        }

        /** In places as written, what is written being rounded to them. */
        private double off(FigureId figure, double value, Map<FigureId, Double> from, double coarser) {
            double place = coarser * step(figure);
            double wrote = Math.rint(value / place) * place;
            double off = Math.abs(wrote - from.getOrDefault(figure, Double.NaN)) / place;
            return Double.isNaN(off) ? 0 : off;
        }

        private double step(FigureId figure) {
            return subject.work().item(figure).orElseThrow().unit().step();
        }

        private List<Evidence.Working> written(Sat sat, Map<FigureId, Double> figures, double coarser) {
            figures.forEach((figure, value) -> {
                if (Double.isFinite(value)) {
                    sat.write(figure, value, coarser * step(figure));
                }
            });
            return of(sat.mark(), Evidence.Working.class).toList();
        }

        /** At one wheel, what is put together of it following; or in one repeat of several. */
        private void partialSlip(Sat sat) {
            List<PaperSlip> slips = paperSlips().stream()
                    .filter(s -> s != PaperSlip.FIRST_REPEAT_ONLY)
                    .toList();
            PaperSlip slip = one(slips);
            Map<FigureId, Double> honest = sat.onPaper(null, Habit.AT_THE_END);
            boolean inRepeat = random.nextBoolean();
            List<Map<String, Double>> repeats = sat.answers().readings(measure, 0);
            int which = random.nextInt(repeats.size());
            List<FigureId> wheels =
                    honest.keySet().stream().filter(f -> f.wheel().isPresent()).toList();
            if (!inRepeat && wheels.isEmpty()) {
                return;
            }
            if (inRepeat && honest.size() == 1) {
                return; // one figure can't say in which repeat, any number being some repeat's
            }
            FigureId wheel = inRepeat ? measure.figures().get(0) : one(wheels);
            Otherwise otherwise = s -> inRepeat
                    ? inRepeat(honest, sat, s, repeats.get(which), repeats.size())
                    : atWheel(wheel, honest, sat.onPaper(s, Habit.AT_THE_END));
            Map<FigureId, Double> slipped = otherwise.by(slip);
            if (isTold(slip, honest, slipped, 1, otherwise)) {
                List<Evidence.Working> marked = written(sat, slipped, 1);
                String how = slip.key() + (inRepeat ? " repeat" : " wheel");
                tally.count(
                        Measured.PARTIAL_SLIP_NAMED,
                        how,
                        names(marked.stream(), slip.key()),
                        isPossible(marked.stream(), slip.key()));
                tally.count(Measured.PARTIAL_SLIP_MISNAMED, how, namesAnother(marked.stream(), slip.key()));
            }
        }

        private static Map<FigureId, Double> inRepeat(
                Map<FigureId, Double> honest, Sat sat, PaperSlip slip, Map<String, Double> repeat, int repeats) {
            Map<FigureId, Double> before = sat.onPaper(List.of(repeat), null, Habit.AT_THE_END);
            Map<FigureId, Double> after = sat.onPaper(List.of(repeat), slip, Habit.AT_THE_END);
            Map<FigureId, Double> mean = new LinkedHashMap<>(honest);
            mean.replaceAll(
                    (f, v) -> v + (after.getOrDefault(f, Double.NaN) - before.getOrDefault(f, Double.NaN)) / repeats);
            return mean;
        }

        private static Map<FigureId, Double> atWheel(
                FigureId wheel, Map<FigureId, Double> honest, Map<FigureId, Double> slipped) {
            Map<FigureId, Double> mixed = new LinkedHashMap<>(honest);
            double was = honest.getOrDefault(wheel, 0.0);
            double is = slipped.getOrDefault(wheel, Double.NaN);
            mixed.put(wheel, is);
            mixed.replaceAll((f, v) -> f.ofBothWheels()
                            && f.axle().equals(wheel.axle())
                            && f.measurand().base() == wheel.measurand()
                    ? v
                            + (wheel.wheel().orElseThrow().left()
                                            ? 1
                                            : f.measurand().form().rightFactor())
                                    * (is - was)
                    : v);
            return mixed;
        }

        // ---- errors that are no slip

        /** One worked figure, a digit of it another, its point moved, or two digits exchanged. */
        private void penError(Sat sat) {
            sat.work(Habit.AT_THE_END);
            Map<FigureId, Double> honest = sat.onPaper(null, Habit.AT_THE_END);
            FigureId figure = one(List.copyOf(honest.keySet()));
            AnswerUnit unit = subject.work().item(figure).orElseThrow().unit();
            if (unit == AnswerUnit.DEGREES_MINUTES) {
                return;
            }
            double right = honest.getOrDefault(figure, 0.0);
            long counted = Math.round(Math.abs(right) / unit.step());
            String error = one(List.of("digit", "point", "exchanged"));
            double size = switch (error) {
                case "point" -> Math.abs(right) * (random.nextBoolean() ? 10 : 0.1);
                case "digit" -> anotherDigit(counted) * unit.step();
                default -> exchanged(counted) * unit.step();
            };
            sat.write(figure, Math.signum(right) * size, unit.step());
            MarkSheet marks = sat.mark();
            if (of(marks, Evidence.Working.class).anyMatch(e -> e.credit() == 0)) {
                tally.count(
                        Measured.HUMAN_ERROR_NAMED,
                        error,
                        of(marks, Evidence.Working.class).anyMatch(e -> !named(e).isEmpty()));
            }
        }

        private long anotherDigit(long counted) {
            int digits = Math.max(3, Long.toString(counted).length());
            long power = Math.round(Math.pow(10, random.nextInt(digits)));
            long digit = counted / power % 10;
            return counted + (random.nextInt(10) - digit) * power;
        }

        private long exchanged(long counted) {
            int digits = Math.max(3, Long.toString(counted).length());
            long power = Math.round(Math.pow(10, random.nextInt(digits - 1)));
            long low = counted / power % 10;
            long high = counted / (10 * power) % 10;
            return counted - 9 * (high - low) * power;
        }

        /** One figure of the sheet, or all of them, drawn evenly. */
        private void drawn(Sat sat) {
            sat.work(Habit.AT_THE_END);
            Map<FigureId, Double> honest = sat.onPaper(null, Habit.AT_THE_END);
            boolean all = random.nextBoolean();
            FigureId one = one(List.copyOf(honest.keySet()));
            honest.forEach((figure, right) -> {
                if (all || figure.equals(one)) {
                    double reach = REACH * Math.max(Math.abs(right), tolerance(sat, figure));
                    sat.write(figure, random.nextDouble(-reach, reach), step(figure));
                }
            });
            List<Evidence.Working> marks =
                    of(sat.mark(), Evidence.Working.class).toList();
            if (marks.stream().anyMatch(e -> e.credit() == 0)) {
                tally.count(
                        Measured.UNLISTED_NAMED,
                        all ? "all" : "one",
                        marks.stream().anyMatch(e -> !named(e).isEmpty()));
            }
        }

        /** Half of it, in the answer's unit. */
        private double tolerance(Sat sat, FigureId figure) {
            Work.Item item = subject.work().item(figure).orElseThrow();
            return subject.assignment()
                    .sheet()
                    .limits(figure)
                    .map(l -> (l.max().orElseThrow() - l.min().orElseThrow()) / 2)
                    .map(half -> Math.abs(
                            item.unit().ofFigure(half, figure, sat.own().baseline(measure))))
                    .orElse(0.0);
        }

        // ---- readings

        private List<Place> places() {
            return measure.procedure().places(measure.figures());
        }

        /** Every repeat, or one of them. */
        private List<Integer> repeats() {
            return random.nextBoolean()
                    ? IntStream.rangeClosed(1, measure.repeats()).boxed().toList()
                    : List.of(1 + random.nextInt(measure.repeats()));
        }

        private void misread(Sat sat) {
            Place place = one(places());
            double by = (random.nextBoolean() ? 1 : -1)
                    * MISREAD[random.nextInt(MISREAD.length)]
                    * Sat.markOf(place.instrument());
            List<Map<String, Double>> readings = sat.answers().readings(measure, 0);
            for (int repeat : place.eachRepeat() ? repeats() : List.of(1)) {
                double was = readings.get(repeat - 1).getOrDefault(place.id(), 0.0);
                if (!canBeWritten(place, Math.abs(was + by))) {
                    return;
                }
                sat.write(measure, place, repeat, was + by);
            }
            List<Evidence.Reading> marked =
                    of(sat.mark(), Evidence.Reading.class).toList();
            if (marked.stream().anyMatch(Evidence.Reading::off)) {
                tally.count(Measured.MISREAD_NAMED, procedure, marked.stream().anyMatch(e -> !named(e).isEmpty()));
            }
        }

        private void wrongSense(Sat sat) {
            List<Place> sensed = places().stream()
                    .filter(p -> p.answer() instanceof SizeAndSense && p.eachRepeat())
                    .toList();
            if (sensed.isEmpty()) {
                return;
            }
            Place place = one(sensed);
            List<Map<String, Double>> readings = sat.answers().readings(measure, 0);
            slipped(sat, SenseSlips.WRONG_SENSE, procedure, Measured.SENSE_SLIP_NAMED, () -> {
                for (int repeat = 1; repeat <= measure.repeats(); repeat++) {
                    sat.write(measure, place, repeat, -readings.get(repeat - 1).getOrDefault(place.id(), 0.0));
                }
            });
        }

        /** Of several figures moved by a slip, or of one by a sense, whether it is named. */
        private void slipped(Sat sat, String slip, String apart, Measured measured, Runnable made) {
            Map<FigureId, Estimate> before = means(sat);
            made.run();
            long moved = moved(sat, before);
            boolean sense = measured == Measured.SENSE_SLIP_NAMED;
            if (moved >= (sense ? 1 : 2)) {
                List<Evidence.Reading> marked =
                        of(sat.mark(), Evidence.Reading.class).toList();
                tally.count(measured, apart, names(marked.stream(), slip), isPossible(marked.stream(), slip));
                if (sense) {
                    tally.count(Measured.SENSE_SLIP_MISNAMED, apart, namesAnother(marked.stream(), slip));
                }
            }
        }

        private void readingSlip(Sat sat) {
            List<String> slips = Stream.of(
                            "frontRearSwapped", "leftRightSwapped", "inchesUnconverted", "steeringNotStraight")
                    .filter(listed::contains)
                    .toList();
            if (slips.isEmpty()) {
                return;
            }
            String slip = one(slips);
            slipped(sat, slip, slip, Measured.READING_SLIP_NAMED, () -> {
                if (slip.equals("steeringNotStraight")) {
                    sat.readTurned();
                } else {
                    misplaced(sat, slip);
                }
            });
        }

        private void misplaced(Sat sat, String slip) {
            List<Map<String, Double>> readings = sat.answers().readings(measure, 0);
            for (Place place : places()) {
                @Nullable
                Place from = switch (slip) {
                    case "frontRearSwapped" ->
                        measure.procedure().otherEnd(place).orElse(null);
                    case "leftRightSwapped" ->
                        measure.procedure().otherSide(place).orElse(null);
                    default -> place.amount().quantity() == Quantity.LENGTH ? place : null;
                };
                for (int repeat = 1; from != null && place.eachRepeat() && repeat <= measure.repeats(); repeat++) {
                    double read = readings.get(repeat - 1).getOrDefault(from.id(), 0.0);
                    double wrote = slip.equals("inchesUnconverted") ? read / INCH : read;
                    if (canBeWritten(place, Math.abs(wrote))) {
                        sat.write(measure, place, repeat, wrote);
                    }
                }
            }
        }

        private Map<FigureId, Estimate> means(Sat sat) {
            Map<FigureId, Estimate> means = new HashMap<>();
            measure.figures().forEach(f -> sat.own().mean(measure, 0, f).ifPresent(e -> means.put(f, e)));
            return means;
        }

        /** How many figures that are read by themselves lie elsewhere now. */
        private long moved(Sat sat, Map<FigureId, Estimate> before) {
            return before.entrySet().stream()
                    .filter(was -> !was.getKey().ofBothWheels())
                    .filter(was -> {
                        Optional<Estimate> now = sat.own().mean(measure, 0, was.getKey());
                        Optional<Estimate> reference = sat.reference().mean(measure, 0, was.getKey());
                        return now.isPresent()
                                && reference.isPresent()
                                && Math.abs(now.get().value() - was.getValue().value())
                                        > TIMES_U
                                                * Judgement.K
                                                * Math.hypot(
                                                        now.get().standardUncertainty(),
                                                        reference.get().standardUncertainty());
                    })
                    .count();
        }

        /** A reading that can't be real is refused as it is written. */
        private static boolean canBeWritten(Place place, double value) {
            return value >= place.amount().least() && value <= place.amount().most();
        }

        // ---- as left

        /** A vehicle exactly at what is preferred, where the bench would have let it be judged without asking: U is within half the tolerance. */
        private void exact() {
            Sat sat = new Sat(subject, ProofVehicle.state(0, random), 1, 0, random)
                    .read()
                    .leave();
            if (measure.figures().stream().allMatch(figure -> decides(sat, figure))) {
                Sat decided = asLeft(sat).waiting() ? sat.leave() : sat;
                tally.count(
                        Measured.EXACT_FAILS_AS_LEFT,
                        procedure,
                        !asLeft(decided).met());
            }
        }

        private static MarkLine asLeft(Sat sat) {
            return sat.mark().lines().stream()
                    .filter(line -> line.criterion().aspect() == Aspect.AS_LEFT)
                    .findFirst()
                    .orElseThrow();
        }

        private boolean decides(Sat sat, FigureId figure) {
            Optional<Estimate> read = sat.reference().mean(measure, 0, figure);
            return read.isPresent()
                    && subject.assignment()
                            .sheet()
                            .limits(figure)
                            .filter(l -> l.min().isPresent() && l.max().isPresent())
                            .filter(l -> Judgement.K * read.get().standardUncertainty()
                                    <= (l.max().getAsDouble() - l.min().getAsDouble()) / 2)
                            .isPresent();
        }
    }
}
