package app.galdrin.core.proof;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.SlipAnswers;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Slip;
import app.galdrin.core.procedure.SlipSetting;
import app.galdrin.core.procedure.Slips;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.task.Aspect;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Work;
import app.galdrin.core.uncertainty.Estimate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Many simulated sittings, and what the marking does to them. The same seed gives the same table. */
public final class Proof {

    /** A worked figure that a slip moves by more than so many steps as written, and a reading by more than so many U, is to be named. */
    private static final double STEPS = 2.5;

    private static final double TIMES_U = 3.2;

    /** How far off what is preferred vehicles stand, in halves of the tolerance. */
    private static final double SPREAD = 1.5;

    /** How far an error that is no slip reaches, in sizes of the figure or its tolerance. */
    private static final double REACH = 5;

    private final List<Subject> subjects = Subject.all();
    private final double clumsiness;
    private final long seed;

    /** {@code clumsiness} of the apprentices is a factor on the habits of their hands, without unit. */
    public Proof(long seed, double clumsiness) {
        this.seed = seed;
        this.clumsiness = clumsiness;
    }

    /** So many sittings, spread evenly over all tasks; on as many processors as there are. */
    public Tally sittings(int sittings) {
        return IntStream.range(0, sittings)
                .parallel()
                .mapToObj(this::sitting)
                .reduce(new Tally(), (a, b) -> new Tally().plus(a).plus(b));
    }

    private Tally sitting(int index) {
        var random = new SplittableRandom(seed + 0x9E3779B97F4A7C15L * (index + 1));
        Subject subject = subjects.get(index % subjects.size());
        int round = index / subjects.size();
        Truth truth = ProofVehicle.state(SPREAD, random);
        var tally = new Tally();
        Sat sat = new Sat(subject, truth, clumsiness, random).read().work();
        honest(tally, sat);
        workingSlip(tally, sat, round, random);
        unlisted(tally, sat, random);
        readingSlip(tally, new Sat(subject, truth, clumsiness, random).read(), round);
        exact(tally, subject, random);
        return tally;
    }

    // ---- honest

    private static void honest(Tally tally, Sat sat) {
        MarkSheet marks = sat.mark();
        String procedure = sat.subject.measure().procedure().key();
        tally.count(Measured.HONEST_ACCUSED, procedure, evidence(marks).anyMatch(Proof::accuses));
        List<Evidence.Working> working = of(marks, Evidence.Working.class).toList();
        if (!working.isEmpty()) {
            boolean lost = working.stream().anyMatch(e -> e.credit() < 1);
            tally.count(Measured.HONEST_WORKING_LOST, procedure, lost);
        }
        String repeats = String.valueOf(sat.subject.measure().repeats());
        if (of(marks, Evidence.Repeats.class).findAny().isPresent()) {
            boolean lost = of(marks, Evidence.Repeats.class).anyMatch(e -> e.credit() < 1);
            tally.count(Measured.HONEST_REPEATABILITY_LOST, repeats, lost);
        }
        of(marks, Evidence.Reading.class)
                .forEach(e -> tally.count(Measured.HONEST_READING_LOST, procedure, e.credit() < 1));
        Measure measure = sat.subject.measure();
        for (FigureId figure : measure.figures()) {
            sat.own().mean(measure, 0, figure).ifPresent(own -> {
                double off = Math.abs(own.value() - sat.truth.figure(figure));
                tally.count(Measured.COVERAGE, procedure, off <= Judgement.K * own.standardUncertainty());
            });
        }
    }

    private static Stream<Evidence> evidence(MarkSheet marks) {
        return marks.lines().stream().flatMap(line -> line.evidence().stream());
    }

    private static <T extends Evidence> Stream<T> of(MarkSheet marks, Class<T> kind) {
        return evidence(marks).filter(kind::isInstance).map(kind::cast);
    }

    /** Whether a slip is named, alone or with what fits equally. */
    private static boolean accuses(Evidence evidence) {
        if (evidence instanceof Evidence.Working e) {
            return !e.slips().isEmpty() && !e.possible();
        }
        return evidence instanceof Evidence.Reading e && !e.slips().isEmpty();
    }

    // ---- slips in the working

    private static void workingSlip(Tally tally, Sat sat, int round, SplittableRandom random) {
        Subject subject = sat.subject;
        List<Slip> slips = Slips.of(subject.measure().procedure());
        if (slips.isEmpty() || subject.work().asked().isEmpty()) {
            return;
        }
        Slip slip = slips.get(round % slips.size());
        double coarser = List.of(1, 1, 5, 10).get(random.nextInt(4));
        var answers = new SlipAnswers(sat.own(), subject.measure());
        Map<AnswerUnit, Map<FigureId, Double>> ways = new HashMap<>();
        int which = random.nextInt(1 << 16);
        boolean moved = false;
        for (Work.Item item : subject.work().asked()) {
            Map<FigureId, Double> way = ways.computeIfAbsent(item.unit(), unit -> {
                List<Map<FigureId, Double>> all = answers.of(List.of(slip), unit);
                return all.isEmpty() ? Map.of() : all.get(which % all.size());
            });
            double place = coarser * item.unit().step();
            double right = sat.honest(item);
            double wrote = way.getOrDefault(item.figure(), right);
            sat.write(item.figure(), wrote, place);
            moved |= Math.abs(Math.rint(wrote / place) * place - right) > STEPS * place;
        }
        if (moved) {
            List<Evidence.Working> named = of(sat.mark(), Evidence.Working.class)
                    .filter(e -> e.slips().contains(Set.of(slip.key())))
                    .toList();
            tally.count(Measured.SLIP_NAMED, slip.key(), !named.isEmpty());
            tally.count(
                    Measured.SLIP_ONLY_POSSIBLE,
                    slip.key(),
                    !named.isEmpty() && named.stream().allMatch(Evidence.Working::possible));
        }
    }

    // ---- errors that are no slip

    /** One figure of the sheet, or all of them, drawn evenly. */
    private static void unlisted(Tally tally, Sat sat, SplittableRandom random) {
        List<Work.Item> asked = sat.subject.work().asked();
        if (asked.isEmpty()) {
            return;
        }
        sat.work();
        boolean all = random.nextBoolean();
        int one = random.nextInt(asked.size());
        for (int i = 0; i < asked.size(); i++) {
            if (all || i == one) {
                Work.Item item = asked.get(i);
                double reach = REACH * Math.max(Math.abs(sat.honest(item)), tolerance(sat, item));
                sat.write(
                        item.figure(),
                        random.nextDouble(-reach, reach),
                        item.unit().step());
            }
        }
        List<Evidence.Working> marks = of(sat.mark(), Evidence.Working.class).toList();
        if (marks.stream().anyMatch(e -> e.credit() == 0)) {
            tally.count(
                    Measured.UNLISTED_NAMED, all ? "all" : "one", marks.stream().anyMatch(Proof::accuses));
        }
    }

    /** Half of it, in the answer's unit. */
    private static double tolerance(Sat sat, Work.Item item) {
        return sat.subject
                .assignment()
                .sheet()
                .limits(item.figure())
                .map(l -> (l.max().orElseThrow() - l.min().orElseThrow()) / 2)
                .map(half -> Math.abs(
                        item.unit().ofFigure(half, item.figure(), sat.own().baseline(sat.subject.measure()))))
                .orElse(0.0);
    }

    // ---- slips in readings

    private static void readingSlip(Tally tally, Sat sat, int round) {
        Measure measure = sat.subject.measure();
        List<Slip> slips = Slips.of(measure.procedure()).stream()
                .filter(slip ->
                        slip.corrected(sat.own().slipSetting(sat.subject.measure(), AnswerUnit.DEGREES), Map.of())
                                        .isPresent()
                                || sat.truth
                                                .figures()
                                                .keySet()
                                                .containsAll(slip.turned().keySet())
                                        && !slip.turned().isEmpty())
                .toList();
        if (slips.isEmpty()) {
            return;
        }
        Slip slip = slips.get(round % slips.size());
        Map<FigureId, Estimate> before = means(sat);
        if (!slip.turned().isEmpty()) {
            sat.readTurned(slip.turned());
        }
        for (int repeat = 1; repeat <= measure.repeats(); repeat++) {
            Map<String, Double> read = sat.answers().readings(measure, 0).get(repeat - 1);
            Map<String, Double> misread =
                    misread(slip, sat.own().slipSetting(sat.subject.measure(), AnswerUnit.DEGREES), read);
            for (Place place : measure.procedure().places(measure.figures())) {
                Double value = misread.get(place.id());
                if (value != null && !canBeWritten(place, Math.abs(value))) {
                    return;
                }
                if (value != null && !value.equals(read.get(place.id()))) {
                    sat.write(measure, place, repeat, value);
                }
            }
        }
        Map<FigureId, Estimate> after = means(sat);
        boolean moved = before.entrySet().stream().anyMatch(was -> {
            FigureId figure = was.getKey();
            Estimate now = after.get(figure);
            Optional<Estimate> reference = sat.reference().mean(measure, 0, figure);
            return now != null
                    && reference.isPresent()
                    && Math.abs(now.value() - was.getValue().value())
                            > TIMES_U
                                    * Judgement.K
                                    * Math.hypot(
                                            now.standardUncertainty(),
                                            reference.get().standardUncertainty());
        });
        if (moved) {
            boolean named = of(sat.mark(), Evidence.Reading.class)
                    .anyMatch(e -> e.slips().stream().anyMatch(s -> s.contains(slip.key())));
            tally.count(Measured.READING_SLIP_NAMED, slip.key(), named);
        }
    }

    private static Map<FigureId, Estimate> means(Sat sat) {
        Map<FigureId, Estimate> means = new HashMap<>();
        Measure measure = sat.subject.measure();
        measure.figures().forEach(f -> sat.own().mean(measure, 0, f).ifPresent(e -> means.put(f, e)));
        return means;
    }

    /** What is written down where a slip is made in reading; swapping is undone by swapping again. */
    private static Map<String, Double> misread(Slip slip, SlipSetting setting, Map<String, Double> read) {
        return slip.misused(setting, read)
                .or(() -> slip.corrected(setting, read))
                .orElse(read);
    }

    /** A reading that can't be real is refused as it is written. */
    private static boolean canBeWritten(Place place, double value) {
        return value >= place.amount().least() && value <= place.amount().most();
    }

    // ---- as left

    /** A vehicle exactly at what is preferred, where the bench would have let it be judged without asking: U is within half the tolerance. */
    private void exact(Tally tally, Subject subject, SplittableRandom random) {
        Sat sat = new Sat(subject, ProofVehicle.state(0, random), 1, random)
                .read()
                .leave();
        boolean decides = subject.measure().figures().stream().allMatch(figure -> decides(sat, figure));
        if (decides) {
            Sat decided = asLeft(sat).waiting() ? sat.leave() : sat;
            tally.count(
                    Measured.EXACT_FAILS_AS_LEFT,
                    subject.measure().procedure().key(),
                    !asLeft(decided).met());
        }
    }

    private static MarkLine asLeft(Sat sat) {
        return sat.mark().lines().stream()
                .filter(line -> line.criterion().aspect() == Aspect.AS_LEFT)
                .findFirst()
                .orElseThrow();
    }

    private static boolean decides(Sat sat, FigureId figure) {
        Optional<Estimate> read = sat.reference().mean(sat.subject.measure(), 0, figure);
        return read.isPresent()
                && sat.subject
                        .assignment()
                        .sheet()
                        .limits(figure)
                        .filter(l -> l.min().isPresent() && l.max().isPresent())
                        .filter(l -> Judgement.K * read.get().standardUncertainty()
                                <= (l.max().getAsDouble() - l.min().getAsDouble()) / 2)
                        .isPresent();
    }
}
