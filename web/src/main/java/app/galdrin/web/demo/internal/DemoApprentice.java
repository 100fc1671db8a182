package app.galdrin.web.demo.internal;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.procedure.Laid;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Slip;
import app.galdrin.core.procedure.SlipSetting;
import app.galdrin.core.procedure.Slips;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Target;
import app.galdrin.core.task.Work;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.NewEntry;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.sitting.StaffLine;
import app.galdrin.web.sitting.Works;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;

/**
 * A person of the demo doing a sheet, with a habit that the marker should recognise. What he reads comes from the procedures' own forward
 * models; the same seed reads the same.
 */
final class DemoApprentice {

    enum Habit {
        CAREFUL,
        WRONG_SIGN,
        ONE_WHEEL_FOR_TOTAL,
        MILLIMETRES,
        SIDES_SWAPPED,
        /** The frame's slope added where it is to be taken off. */
        FRAME_ADDED("frameWrongWay"),
        /** The signs of the two cambers of a sweep lost. */
        SIGNS_LOST("camberSignsLost");

        private final String slip;

        Habit() {
            this("");
        }

        Habit(String slip) {
            this.slip = slip;
        }
    }

    private final Sittings sittings;
    private final Entries entries;
    private final SignedIn me;
    private final Sitting sitting;
    private final Assignment assignment;
    private final RandomGenerator random;

    DemoApprentice(Sittings sittings, Entries entries, Works works, SignedIn me, Sitting sitting, long seed) {
        this.sittings = sittings;
        this.entries = entries;
        this.me = me;
        this.sitting = sitting;
        this.assignment = works.assignment(sitting);
        this.random = RandomGeneratorFactory.of("Xoshiro256PlusPlus").create(seed);
    }

    private Practical practical() {
        return assignment.practical();
    }

    /** The whole sheet from preparing to handing in, on a vehicle found in one state and left in another. */
    void doAll(Habit habit, Truth found, Truth left) {
        for (Step step : practical().steps()) {
            if (step instanceof Checklist list) {
                tick(list);
            } else if (step instanceof Measure measure) {
                read(measure, 0, found, measure.repeats());
            } else if (step instanceof Work work) {
                work(work, habit);
            } else if (step instanceof Judge judge) {
                judge(judge);
            } else if (step instanceof Plan plan) {
                plan(plan);
            } else if (step instanceof Round round) {
                round(round, left);
            } else {
                write(LineKey.of(step.id(), HandIn.DONE), "done");
            }
        }
    }

    void tick(Checklist list) {
        list.items().forEach(item -> write(LineKey.of(list.id(), item.id()), "done"));
    }

    /** Every place of some repeats of a measurement, written as it is read. */
    void read(Measure measure, int round, Truth truth, int repeats) {
        measure.procedure().choices().forEach(c -> write(new LineKey(measure.id(), c.id(), 0, round), c.usual()));
        Laid laying = measure.procedure().lay(truth, assignment.standing(), 1, random);
        for (int repeat = 1; repeat <= repeats; repeat++) {
            Map<String, Double> one = laying.read();
            for (Place place : measure.procedure().places(measure.figures())) {
                if (place.eachRepeat() || repeat == 1) {
                    var key = new LineKey(measure.id(), place.id(), place.eachRepeat() ? repeat : 0, round);
                    write(key, text(place.answer(), place.amount(), one.getOrDefault(place.id(), 0.0)));
                }
            }
        }
    }

    /** A reading as a person writes it. */
    private static String text(AnswerType answer, Amount amount, double value) {
        boolean sized = answer instanceof SizeAndSense;
        double size = sized ? Math.abs(value) : value;
        boolean length = amount.quantity() == Quantity.LENGTH;
        Unit unit = length ? Unit.MM : Unit.DEG;
        String sign = amount.defaultUnit() == unit ? "" : length ? " mm" : "°";
        String figure = QuantityFormat.decimal(length ? size : Math.abs(size), length ? 1 : 2, false) + sign;
        return answer instanceof SizeAndSense s
                ? figure
                        + LineText.BEFORE_SENSE
                        + Sense.of(value, s.senses(), s.side()).key()
                : figure;
    }

    private void work(Work work, Habit habit) {
        var own = new OwnFigures(
                assignment, sittings.log(me.centreId(), sitting.id()).answers());
        for (Work.Item item : work.asked()) {
            FigureId asked = habit == Habit.SIDES_SWAPPED ? item.figure().otherSide() : item.figure();
            Measure measure = practical().measure(item.from()).orElseThrow();
            double right = habit.slip.isEmpty()
                    ? own.onPaper(measure, 0, asked).orElse(0)
                    : slipping(habit.slip, measure, own, asked);
            boolean sum = item.figure().ofBothWheels();
            double figure = switch (habit) {
                case WRONG_SIGN -> -right;
                case ONE_WHEEL_FOR_TOTAL ->
                    sum
                            ? own.onPaper(measure, 0, item.figure().part(Wheel.FRONT_LEFT))
                                    .orElse(0)
                            : right;
                default -> right;
            };
            AnswerUnit unit = habit == Habit.MILLIMETRES && sum ? AnswerUnit.MILLIMETRES : item.unit();
            double baseline =
                    measure.procedure().baseline().apply(assignment.standing()).orElse(1.0);
            write(
                    LineKey.of(work.id(), item.figure().key()),
                    QuantityFormat.decimal(unit.ofFigure(figure, item.figure(), baseline), 2, true));
        }
        for (Target target : work.targets()) {
            Measure from = practical().measure(target.from()).orElseThrow();
            own.targets(target, from, 0)
                    .forEach(t -> write(
                            LineKey.of(work.id(), target.line(t)),
                            text(t.answer(), t.place().amount(), t.value())));
        }
    }

    /** What a figure comes to where the readings are used as a slip uses them; as it should be where the slip can't be made. */
    private double slipping(String key, Measure measure, OwnFigures own, FigureId figure) {
        Optional<Slip> slip = Slips.of(measure.procedure()).stream()
                .filter(s -> s.key().equals(key))
                .findFirst();
        var answers = sittings.log(me.centreId(), sitting.id()).answers();
        List<Map<String, Double>> readings = answers.readings(measure, 0);
        if (slip.isEmpty()) {
            return own.onPaper(measure, 0, figure).orElse(0);
        }
        var setting = new SlipSetting(measure.procedure(), own.standing(measure, 0), AnswerUnit.DEGREES, 1, readings);
        return readings.stream()
                .flatMap(r -> slip.get().misused(setting, r).stream())
                .flatMap(misused -> own.work(measure, 0, 1, misused).honest(figure).stream())
                .mapToDouble(v -> v)
                .average()
                .orElse(0);
    }

    private void judge(Judge judge) {
        for (FigureId figure : judge.figures()) {
            write(LineKey.of(judge.id(), figure.key()), verdict(figure, judge.id()));
        }
        for (FigureId.Adjustment adjustment : Practical.adjustments(judge.figures())) {
            Adjustable adjustable = assignment.sheet().adjustable(adjustment);
            write(LineKey.of(judge.id(), Judge.ADJUSTABLE + adjustment.key()), adjustable.key());
        }
    }

    private String verdict(FigureId figure, String step) {
        Zone zone = zone(figure, step);
        if (zone.inDoubt()) {
            return Judge.Verdict.TOO_CLOSE.key();
        }
        return zone == Zone.INSIDE ? Judge.Verdict.INSIDE.key() : Judge.Verdict.OUTSIDE.key();
    }

    private Zone zone(FigureId figure, String step) {
        var answers = sittings.log(me.centreId(), sitting.id()).answers();
        return new OwnFigures(assignment, answers)
                .goesBy(figure, step)
                .flatMap(v -> assignment
                        .sheet()
                        .limits(figure)
                        .map(l -> assignment
                                .sheet()
                                .scale(figure)
                                .judge(figure, v, l, practical().rule())
                                .zone()))
                .orElse(Zone.INSIDE);
    }

    private void plan(Plan plan) {
        var answers = sittings.log(me.centreId(), sitting.id()).answers();
        for (FigureId.Adjustment adjustment : Practical.adjustments(plan.figures())) {
            List<Adjuster> adjusters = assignment.sheet().adjusters(adjustment);
            if (adjusters.isEmpty()) {
                boolean outside = plan.figures().stream()
                        .filter(adjustment::contains)
                        .anyMatch(f -> zone(f, plan.id()) == Zone.OUTSIDE);
                write(
                        LineKey.of(plan.id(), Plan.PART + adjustment.key()),
                        (outside ? Plan.Instead.LOOK_FOR_THE_PART : Plan.Instead.NOTHING).key());
            }
        }
        moves(plan, answers).forEach((adjuster, units) -> move(plan.id(), 0, adjuster, units));
    }

    /** Each figure with the part that moves least else, what the parts before it do to it taken into account; the others are left. */
    private Map<Adjuster, Double> moves(Plan plan, Answers answers) {
        var own = new OwnFigures(assignment, answers);
        Map<Adjuster, Double> moves = new LinkedHashMap<>();
        for (FigureId.Adjustment adjustment : Practical.adjustments(plan.figures())) {
            assignment.sheet().adjusters(adjustment).forEach(a -> moves.putIfAbsent(a, 0.0));
            for (FigureId figure : plan.figures()) {
                Optional<Adjuster> part = assignment.sheet().adjusters(adjustment).stream()
                        .filter(a -> adjustment.contains(figure)
                                && a.effectOn(figure).isPresent())
                        .min(Comparator.comparing(a -> a.effects().size()));
                part.ifPresent(a -> moves.put(a, units(figure, a, moves, own, plan)));
            }
        }
        return moves;
    }

    private double units(FigureId figure, Adjuster part, Map<Adjuster, Double> moves, OwnFigures own, Plan plan) {
        var effect = part.effectOn(figure).orElseThrow();
        double target =
                assignment.sheet().limits(figure).map(l -> l.target().orElse(0)).orElse(0.0);
        double now = own.goesBy(figure, plan.id()).map(v -> v.value()).orElse(target);
        for (Map.Entry<Adjuster, Double> move : moves.entrySet()) {
            now += move.getKey()
                    .effectOn(figure)
                    .map(e -> e.perUnit().orElse(0) * move.getValue())
                    .orElse(0.0);
        }
        return effect.perUnit().isPresent()
                ? (target - now) / effect.perUnit().getAsDouble()
                : Math.signum(target - now) * effect.sign();
    }

    private void move(String step, int round, Adjuster adjuster, double units) {
        double rounded = Math.rint(units / adjuster.smallestStep()) * adjuster.smallestStep();
        int sign = Math.abs(rounded) < adjuster.smallestStep() ? 0 : (int) Math.signum(rounded);
        write(
                new LineKey(step, adjuster.id() + Plan.WAY, 0, round),
                adjuster.part().way(sign).key());
        if (sign != 0) {
            write(
                    new LineKey(step, adjuster.id() + Plan.AMOUNT, 0, round),
                    QuantityFormat.decimal(Math.min(adjuster.most(), Math.abs(rounded)), 2, false));
        }
    }

    private void round(Round round, Truth left) {
        var figures =
                round.measures().stream().flatMap(m -> m.figures().stream()).toList();
        if (round.most() > 1) {
            Practical.adjustments(figures).stream()
                    .flatMap(a -> assignment.sheet().adjusters(a).stream())
                    .distinct()
                    .forEach(a -> move(round.id(), 1, a, 1));
        }
        round.measures().forEach(m -> read(m, 1, left, m.repeats()));
        if (round.most() > 1) {
            write(new LineKey(round.id(), Round.NEXT, 0, 1), Round.Next.DONE.key());
        }
    }

    /** Prepared, the first repeat of the first measurement read, one figure struck out, the instructor called. */
    void readHalf(Truth found) {
        practical().steps().stream().limit(2).forEach(step -> {
            if (step instanceof Checklist list) {
                tick(list);
            }
        });
        Measure first = practical().of(Measure.class).findFirst().orElseThrow();
        Place misread = first.procedure().places(first.figures()).get(3);
        write(new LineKey(first.id(), misread.id(), 1, 0), "75.5");
        read(first, 0, found, 1);
        Laid again = first.procedure().lay(found, assignment.standing(), 1, random);
        Map<String, Double> two = again.read();
        first.procedure().places(first.figures()).stream()
                .limit(2)
                .forEach(place -> write(
                        new LineKey(first.id(), place.id(), 2, 0),
                        text(place.answer(), place.amount(), two.getOrDefault(place.id(), 0.0))));
        entries.write(
                me,
                sitting,
                NewEntry.now(
                        StaffLine.FLAG, StaffLine.RAISED, List.of(), Ids.next().toString(), "demo"));
    }

    private void write(LineKey key, String text) {
        List<String> saw = sittings.log(me.centreId(), sitting.id()).allAt(key).stream()
                .map(e -> e.key())
                .toList();
        var entry = NewEntry.now(key, text, saw, Ids.next().toString(), "demo");
        if (entries.write(me, sitting, entry) instanceof Entries.Outcome.Refused refused) {
            throw new IllegalStateException("demo entry " + key.key() + " '" + text + "' refused: " + refused.why());
        }
    }
}
