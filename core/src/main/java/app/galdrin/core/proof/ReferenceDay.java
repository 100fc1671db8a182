package app.galdrin.core.proof;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.figure.OrderSchool;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.Lack;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.Marker;
import app.galdrin.core.marking.References;
import app.galdrin.core.marking.StateReferences;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.reference.ReadFigure;
import app.galdrin.core.reference.StateMove;
import app.galdrin.core.reference.StateReading;
import app.galdrin.core.reference.VehicleHistory;
import app.galdrin.core.simulated.Apprentice;
import app.galdrin.core.simulated.Habit;
import app.galdrin.core.simulated.HonestHands;
import app.galdrin.core.simulated.MeasureWriter;
import app.galdrin.core.simulated.Paper;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.AdjusterUnit;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.PartMoves;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Round;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * One vehicle on one day: a fault that was set by a plan, then three apprentices one after another. Each reads camber and toe as found, adjusts in two
 * rounds and reads again. The instructor reads what somebody's sheet waits for, before the vehicle is moved on.
 */
final class ReferenceDay {

    /** Apprentices who use the vehicle in turn. */
    static final int APPRENTICES = 3;

    private static final int ROUNDS = 2;

    /** Probability that an apprentice writes readings down wrongly, a measuring step, and that a move is written the wrong way. */
    private static final double SLIPS = 0.15;

    private static final double WRONG_WAY = 0.03;

    /** Toe of a turn of the rod, camber and toe of a mark of the cam, with their doubts; deg. */
    private static final double ROD = 0.17;

    private static final double ROD_DOUBT = 0.01;
    private static final double CAM = 0.15;
    private static final double CAM_DOUBT = 0.015;
    private static final double CAM_TOE = -0.06;
    private static final double TURNS = 6;
    private static final double QUARTER = 0.25;

    /** Camber that a bent gauge shows too much, deg. */
    private static final double BENT = 0.4;

    private static final String YESTERDAY = "yesterday";

    static final Assignment TASK = task();

    private final SplittableRandom random;
    private final boolean isBent;
    private final Map<Adjuster, Map<FigureId, Double>> effects = new LinkedHashMap<>();
    private final List<StateReading> readings = new ArrayList<>();
    private final List<StateMove> moves = new ArrayList<>();
    private final List<ApprenticeSheet> sat = new ArrayList<>();
    private final Map<String, Truth> states = new LinkedHashMap<>();
    private int read;

    /**
     * One apprentice's sheet.
     *
     * @param slipped ids of the measuring steps whose readings are written wrongly
     * @param asFound id of the state
     */
    record ApprenticeSheet(
            String person, Paper paper, Set<String> slipped, String asFound, String asLeft, boolean gaugeIsBent) {}

    ReferenceDay(SplittableRandom random, boolean isBent) {
        this.random = random;
        this.isBent = isBent;
        for (Adjuster part : TASK.sheet().adjusters()) {
            Map<FigureId, Double> real = new HashMap<>();
            part.effects()
                    .forEach((figure, effect) ->
                            real.put(figure, effect.perUnit().orElseThrow() + effect.doubt() * random.nextGaussian()));
            effects.put(part, real);
        }
        run();
    }

    private static Assignment task() {
        List<Adjuster> parts = new ArrayList<>();
        for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
            parts.add(part(Part.ROD, wheel, AdjusterUnit.TURN, QUARTER, Map.of(toe(wheel), effect(ROD, ROD_DOUBT))));
            parts.add(part(
                    Part.CAM,
                    wheel,
                    AdjusterUnit.CAM_MARK,
                    1,
                    Map.of(camber(wheel), effect(CAM, CAM_DOUBT), toe(wheel), effect(CAM_TOE, ROD_DOUBT))));
        }
        var sheet = new SpecificationSheet(ProofVehicle.SHEET.geometry(), ProofVehicle.SHEET.lines(), parts);
        return new Assignment(
                TaskStart.CAMBER_AND_TOE.on(sheet, "day", OrderSchool.A, AnswerUnit.DEGREES), sheet, BayFloor.LEVEL);
    }

    private static Adjuster part(
            Part part, Wheel wheel, AdjusterUnit unit, double step, Map<FigureId, Adjuster.Effect> effects) {
        return new Adjuster(part, Location.of(wheel), unit, TURNS, step, effects, true);
    }

    private static Adjuster.Effect effect(double degrees, double doubt) {
        return Adjuster.Effect.of(Math.toRadians(degrees), Math.toRadians(doubt));
    }

    private static FigureId toe(Wheel wheel) {
        return FigureId.of(Measurand.TOE, wheel);
    }

    private static FigureId camber(Wheel wheel) {
        return FigureId.of(Measurand.CAMBER, wheel);
    }

    // ---- the day

    private void run() {
        Truth before = ProofVehicle.state(0.5, random);
        states.put(YESTERDAY, before);
        instructorReads(YESTERDAY, figures());
        read = 0; // the evening's reading counts for the evening
        PartMoves fault = fault();
        String state = "state 0";
        states.put(state, moved(before, fault));
        moves.add(new StateMove(YESTERDAY, state, Set.of(), fault, List.of()));
        int bent = isBent ? random.nextInt(APPRENTICES) : -1;
        for (int i = 0; i < APPRENTICES; i++) {
            state = work("apprentice " + i, state, "state " + (i + 1), i == bent);
        }
        readWhatWaits(state);
    }

    private PartMoves fault() {
        Map<Adjuster, Double> amounts = new LinkedHashMap<>();
        for (Adjuster part : TASK.sheet().adjusters()) {
            double most = part.part() == Part.ROD ? 2 : 4;
            amounts.put(
                    part, part.smallestStep() * Math.rint((2 * random.nextDouble() - 1) * most / part.smallestStep()));
        }
        return new PartMoves(amounts);
    }

    /** One apprentice's work; returns the state it leaves. */
    private String work(String person, String found, String left, boolean gaugeIsBent) {
        var paper = new Paper(new Sheet(TASK));
        Set<String> slipped = new TreeSet<>();
        var one = new ApprenticeSheet(person, paper, slipped, found, left, gaugeIsBent);
        sat.add(one);
        Truth truth = truth(found);
        var hands = new Apprentice(TASK, paper, () -> new HonestHands(1, random));
        for (Measure measure : TASK.practical().measures(0)) {
            Habit habit = Habit.CAREFUL;
            if (random.nextDouble() < SLIPS) {
                slipped.add(measure.id());
                habit = habit.andReading(measure.id(), random.nextBoolean() ? "frontRearSwapped" : "leftRightSwapped");
            }
            new MeasureWriter().write(measure, hands, habit, seen(truth, one), truth);
        }
        readings.add(reading(one, found, 0));
        readWhatWaits(found);
        String state = found;
        for (int round = 1; round <= ROUNDS; round++) {
            String next = round == ROUNDS ? left : found + " round " + round;
            PartMoves plan = plan(own(one), round);
            truth = moved(truth, plan);
            states.put(next, truth);
            moves.add(new StateMove(state, next, Set.of(person), written(plan), List.of()));
            for (Measure measure : TASK.practical().measures(round)) {
                hands.read(measure, round, seen(truth, one), measure.repeats());
            }
            readings.add(reading(one, next, round));
            state = next;
        }
        return left;
    }

    private Truth truth(String state) {
        return Objects.requireNonNull(states.get(state));
    }

    /** Returns a vehicle as a person's instruments show it. */
    private static Truth seen(Truth truth, ApprenticeSheet one) {
        if (!one.gaugeIsBent) {
            return truth;
        }
        Map<FigureId, Double> figures = new HashMap<>(truth.figures());
        for (Wheel wheel : List.of(Wheel.FRONT_LEFT, Wheel.FRONT_RIGHT)) {
            figures.merge(camber(wheel), Math.toRadians(BENT), Double::sum);
        }
        return new Truth(figures);
    }

    private static OwnFigures own(ApprenticeSheet one) {
        return OwnFigures.ofReference(TASK, one.paper.answers());
    }

    private static StateReading reading(ApprenticeSheet one, String state, int round) {
        return StateReading.of(
                "sheet of " + one.person,
                state,
                false,
                Set.of(one.person),
                own(one),
                round,
                TASK.practical().measures(round));
    }

    /** Whole steps that bring one's own figures to what the sheet prefers. */
    private static PartMoves plan(OwnFigures own, int round) {
        Map<Adjuster, Double> amounts = new LinkedHashMap<>();
        for (Adjuster part : TASK.sheet().adjusters()) {
            if (part.part() == Part.CAM) {
                amounts.put(part, steps(part, camber(part.where().wheel().orElseThrow()), own, round, amounts));
            }
        }
        for (Adjuster part : TASK.sheet().adjusters()) {
            if (part.part() == Part.ROD) {
                amounts.put(part, steps(part, toe(part.where().wheel().orElseThrow()), own, round, amounts));
            }
        }
        return new PartMoves(amounts);
    }

    private static double steps(
            Adjuster part, FigureId figure, OwnFigures own, int round, Map<Adjuster, Double> before) {
        double now = TASK.practical().measures(round - 1).stream()
                .flatMap(measure -> own.mean(measure, round - 1, figure).stream())
                .findFirst()
                .map(Estimate::value)
                .orElse(0.0);
        double goal = TASK.limits(figure).orElseThrow().preferred().orElseThrow();
        double units = (goal - now - PartMoves.change(before, figure)) / part.changePerUnit(figure);
        double limited = Math.max(-part.most(), Math.min(units, part.most()));
        return part.smallestStep() * Math.rint(limited / part.smallestStep());
    }

    private Truth moved(Truth truth, PartMoves plan) {
        Map<FigureId, Double> figures = new HashMap<>(truth.figures());
        plan.units().forEach((part, amount) -> {
            double set = amount == 0 ? 0 : amount + part.smallestStep() * (random.nextDouble() - 0.5);
            Objects.requireNonNull(effects.get(part))
                    .forEach((figure, effect) -> figures.merge(figure, set * effect, Double::sum));
        });
        return new Truth(figures);
    }

    private PartMoves written(PartMoves plan) {
        Map<Adjuster, Double> written = new LinkedHashMap<>(plan.units());
        written.replaceAll((part, amount) -> random.nextDouble() < WRONG_WAY ? -amount : amount);
        return new PartMoves(written);
    }

    // ---- the instructor

    private static Set<FigureId> figures() {
        return Set.copyOf(TASK.practical().figures());
    }

    /** Reads the figures that somebody's sheet waits for, and once more those that are still in doubt. */
    private void readWhatWaits(String state) {
        for (int attempt = 0; attempt < 2; attempt++) {
            Set<FigureId> waiting = new TreeSet<>();
            boolean isReadByNext = sat.stream().anyMatch(one -> one.asFound.equals(state));
            for (ApprenticeSheet one : sat) {
                if (one.asFound.equals(state)) {
                    waiting.addAll(waiting(mark(one), Aspect.READING, false));
                }
                if (one.asLeft.equals(state)) {
                    waiting.addAll(waiting(mark(one), Aspect.AS_LEFT, isReadByNext));
                }
            }
            instructorReads(state, waiting);
        }
    }

    /** Returns the figures that wait for an instructor. A doubt can wait where somebody has read the state already: what they read after their moves tells it too. */
    private static Set<FigureId> waiting(MarkSheet marks, Aspect aspect, boolean doubtCanWait) {
        return marks.lines().stream()
                .filter(line -> line.criterion().aspect() == aspect)
                .flatMap(line -> line.evidence().stream()
                        .filter(e -> e instanceof Evidence.MissingEntry m
                                && m.what().isInstructors()
                                && !(doubtCanWait && m.what() == Lack.AS_LEFT_AGAIN))
                        .flatMap(e -> figures(
                                ((Evidence.MissingEntry) e).subject(),
                                line.criterion().step())))
                .collect(Collectors.toSet());
    }

    private static Stream<FigureId> figures(String subject, String step) {
        return subject.isEmpty()
                ? TASK.practical()
                        .measure(step)
                        .map(measure -> measure.figures().stream())
                        .orElseGet(() -> figures().stream())
                : FigureId.parse(subject).stream().filter(figures()::contains);
    }

    private void instructorReads(String state, Set<FigureId> wanted) {
        if (wanted.isEmpty()) {
            return;
        }
        read += wanted.size();
        Answers answers = instructorReads(state, 0);
        StateReading all = StateReading.of(
                "reference " + readings.size(),
                state,
                true,
                Set.of("instructor"),
                OwnFigures.ofReference(TASK, answers),
                0,
                TASK.practical().measures(0));
        Map<ReadFigure, Estimate> some = new HashMap<>(all.figures());
        some.keySet().removeIf(figure -> !wanted.contains(figure.figure()));
        readings.add(new StateReading(all.id(), state, true, all.people(), some));
    }

    private Answers instructorReads(String state, int round) {
        var paper = new Paper(new Sheet(TASK));
        var hands = new Apprentice(TASK, paper, () -> new HonestHands(1, random));
        TASK.practical().measures(round).forEach(m -> hands.read(m, round, truth(state), m.repeats()));
        return paper.answers();
    }

    // ---- what it comes to

    /** Returns how many figures the instructor read today. */
    int read() {
        return read;
    }

    List<ApprenticeSheet> sat() {
        return sat;
    }

    /** Returns the marks of one by everybody's readings. */
    MarkSheet mark(ApprenticeSheet one) {
        var combined = new References(Answers.none(), Answers.none())
                .with(new StateReferences(
                        new VehicleHistory(readings, moves), one.asFound, one.asLeft, Set.of(one.person)));
        return Marker.mark(TASK, one.paper.answers(), combined);
    }

    /** Marks by an instructor who reads every figure, and those as left once more that are too close to tell. */
    record FullyRead(MarkSheet marks, int read) {}

    FullyRead markByInstructor(ApprenticeSheet one) {
        Round step = TASK.practical().of(Round.class).findFirst().orElseThrow();
        int last = new Sheet(TASK).rounds(step, one.paper.answers());
        Answers found = instructorReads(one.asFound, 0);
        Answers left = instructorReads(one.asLeft, last);
        MarkSheet first = Marker.mark(TASK, one.paper.answers(), new References(found, left));
        int again = waiting(first, Aspect.AS_LEFT, false).size();
        var both = new References(found, left, again > 0 ? instructorReads(one.asLeft, last) : Answers.none());
        return new FullyRead(
                Marker.mark(TASK, one.paper.answers(), both), 2 * figures().size() + again);
    }

    /** Returns whether a figure, as the vehicle was really left, is inside its limits; empty where the sheet has none. */
    Optional<Boolean> isInside(ApprenticeSheet one, FigureId figure) {
        double value = truth(one.asLeft).figure(figure);
        return TASK.limits(figure)
                .map(limits -> limits.min().orElse(Double.NEGATIVE_INFINITY) <= value
                        && value <= limits.max().orElse(Double.POSITIVE_INFINITY));
    }
}
