package app.galdrin.core.simulated;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.LimitReading;
import app.galdrin.core.marking.SlipAnswers;
import app.galdrin.core.procedure.Hands;
import app.galdrin.core.procedure.InstrumentSetup;
import app.galdrin.core.procedure.Intermediate;
import app.galdrin.core.procedure.IntermediateSteps;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Slip;
import app.galdrin.core.procedure.SlipContext;
import app.galdrin.core.procedure.Slips;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.Zone;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Comparison;
import app.galdrin.core.task.HandIn;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Target;
import app.galdrin.core.task.Work;
import app.galdrin.core.uncertainty.Estimate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * Somebody who does a sheet with hands of his own and a habit that the marker should recognise. What he reads comes from the procedures'
 * own forward models; the same hands read the same.
 */
public final class Apprentice {

    private final Assignment assignment;
    private final Pen pen;
    private final Supplier<Hands> hands;
    private final Sheet sheet;

    /** {@code hands} set everything up anew each time they are asked for. */
    public Apprentice(Assignment assignment, Pen pen, Supplier<Hands> hands) {
        this.assignment = assignment;
        this.pen = pen;
        this.hands = hands;
        this.sheet = new Sheet(assignment);
    }

    private Practical practical() {
        return assignment.practical();
    }

    private OwnFigures own() {
        return new OwnFigures(assignment, pen.answers());
    }

    /** The whole sheet from preparing to handing in, on a vehicle found in one state and left in another. */
    public void doAll(Habit habit, Truth found, Truth left) {
        for (Step step : practical().steps()) {
            if (step instanceof Checklist list) {
                tick(list, habit);
            } else if (step instanceof Measure measure) {
                read(measure, 0, found, measure.repeats());
                Optional.ofNullable(habit.reading().get(measure.id())).ifPresent(slip -> miswrite(measure, slip));
            } else if (step instanceof Work work) {
                work(work, habit);
            } else if (step instanceof Judge judge) {
                judge(judge, habit);
            } else if (step instanceof Plan plan) {
                new Planning(assignment, pen).plan(plan, habit.plan());
            } else if (step instanceof Round round) {
                round(round, left);
            } else {
                pen.write(LineKey.of(step.id(), HandIn.DONE), "done");
            }
        }
    }

    public void tick(Checklist list, Habit habit) {
        for (Checklist.Item item : list.items()) {
            if (!habit.leftOut().contains(item.id())) {
                pen.write(LineKey.of(list.id(), item.id()), AnswerType.Tick.DONE);
                if (!item.why().isEmpty()) {
                    pen.write(LineKey.of(list.id(), item.whyLine()), reasons(item));
                }
            }
        }
    }

    /** Each by its first word. */
    private static String reasons(Checklist.Item item) {
        return item.why().stream().map(reason -> reason.words().get(0)).collect(Collectors.joining(", "));
    }

    // ---- reading

    /** Every place of some repeats of a measurement, written as it is read. */
    public void read(Measure measure, int round, Truth truth, int repeats) {
        measure.procedure().choices().forEach(c -> pen.write(new LineKey(measure.id(), c.id(), 0, round), c.usual()));
        InstrumentSetup laying =
                measure.procedure().lay(truth, measure.procedure().asUsual(assignment.standing()), hands.get());
        for (int repeat = 1; repeat <= repeats; repeat++) {
            write(measure, round, repeat, laying.read());
        }
    }

    private void write(Measure measure, int round, int repeat, Map<String, Double> read) {
        for (Place place : assignment.places(measure)) {
            if (place.eachRepeat() || repeat == 1) {
                var key = new LineKey(measure.id(), place.id(), place.eachRepeat() ? repeat : 0, round);
                pen.write(key, text(place.answer(), place.amount(), read.getOrDefault(place.id(), 0.0)));
            }
        }
    }

    /** A reading as a person writes it: mm or deg. */
    public static String text(AnswerType answer, Amount amount, double value) {
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

    /** Writes down again what was read, as a slip has it: in every repeat in the same way. */
    private void miswrite(Measure measure, String key) {
        List<Map<String, Double>> readings = own().readings(measure, 0);
        Optional<Slip> slip = slip(measure, key);
        SlipContext setting = own().slipSetting(measure, AnswerUnit.DEGREES);
        for (int i = 0; i < readings.size(); i++) {
            int repeat = i + 1;
            Map<String, Double> read = readings.get(i);
            slip.flatMap(s -> s.correctedWays(setting, read).stream().findFirst())
                    .ifPresent(wrong -> write(measure, 0, repeat, wrong));
        }
    }

    private static Optional<Slip> slip(Measure measure, String key) {
        return Slips.of(measure.procedure()).stream()
                .filter(s -> s.key().equals(key))
                .findFirst();
    }

    // ---- working

    private void work(Work work, Habit habit) {
        OwnFigures own = own();
        Map<String, SlipAnswers> bySlip = new HashMap<>();
        for (Work.Item item : work.asked()) {
            if (habit.leftOut().contains(item.figure().key())) {
                continue;
            }
            Measure measure = practical().measure(item.from()).orElseThrow();
            double right = item.unit()
                    .ofFigure(own.onPaper(measure, 0, item.figure()).orElse(0), item.figure(), own.baseline(measure));
            double wrote = Optional.ofNullable(habit.working().get(measure.id()))
                    .flatMap(key -> slip(measure, key))
                    .flatMap(slip -> bySlip
                            .computeIfAbsent(measure.id(), id -> new SlipAnswers(own, measure))
                            .of(List.of(slip), item.unit())
                            .stream()
                            .filter(way -> canBeWritten(work, way))
                            .findFirst())
                    .map(answers -> answers.getOrDefault(item.figure(), right))
                    .orElse(right);
            onTheWay(work, item, measure, own);
            pen.write(LineKey.of(work.id(), item.figure().key()), worked(item.unit(), wrote));
        }
        for (Target target : work.targets()) {
            Measure from = practical().measure(target.from()).orElseThrow();
            own.targets(target, from, 0)
                    .forEach(t -> pen.write(
                            LineKey.of(work.id(), target.line(t)),
                            text(t.answer(), t.place().amount(), t.value())));
        }
    }

    /** Rounded as it is written down. */
    private void onTheWay(Work work, Work.Item item, Measure measure, OwnFigures own) {
        if (item.steps().isEmpty()) {
            return;
        }
        var way = new IntermediateSteps(measure.procedure(), item.figure(), own.repeats(measure, 0), measure.taught());
        for (Intermediate step : item.steps()) {
            way.at(step, Map.of())
                    .ifPresent(value -> pen.write(
                            LineKey.of(work.id(), item.line(step)),
                            QuantityFormat.decimal(
                                    step.unit().toRecord(value), -(int) Math.round(Math.log10(step.place())), false)));
        }
    }

    /** A slip can give what no sheet takes: a gauge at plumb shows 90, and no camber is that. */
    private boolean canBeWritten(Work work, Map<FigureId, Double> answers) {
        return work.asked().stream()
                .filter(item -> answers.containsKey(item.figure()))
                .allMatch(item -> sheet.line(LineKey.of(work.id(), item.figure().key()))
                        .filter(line -> LineText.read(
                                        worked(item.unit(), answers.getOrDefault(item.figure(), 0.0)), line.answer())
                                instanceof LineText.ParsedText)
                        .isPresent());
    }

    /** An answer in its unit, to the place it is written to. */
    private static String worked(AnswerUnit unit, double value) {
        if (unit.quantity() == Quantity.LENGTH) {
            return QuantityFormat.decimal(Math.rint(value / unit.step()) * unit.step(), 1, true);
        }
        return QuantityFormat.decimal(value, 2, true) + (unit == AnswerUnit.DEGREES_MINUTES ? "°" : "");
    }

    // ---- judging

    private void judge(Judge judge, Habit habit) {
        OwnFigures own = own();
        for (FigureId figure : judge.figures()) {
            own.goesBy(figure, judge.id())
                    .ifPresent(value -> pen.write(
                            LineKey.of(judge.id(), figure.key()),
                            verdict(figure, value, habit).key()));
        }
        for (FigureId figure : judge.compared()) {
            practical().comparison(figure, judge.id()).ifPresent(c -> compare(own, judge, c));
        }
        for (FigureId.Adjustment adjustment : Practical.adjustments(judge.figures())) {
            Adjustable adjustable = assignment.sheet().adjustable(adjustment);
            pen.write(LineKey.of(judge.id(), Judge.ADJUSTABLE + adjustment.key()), adjustable.key());
        }
    }

    private void compare(OwnFigures own, Judge judge, Comparison c) {
        Optional<Estimate> first = own.mean(c.first(), 0, c.figure());
        Optional<Estimate> second = own.mean(c.second(), 0, c.figure());
        if (first.isPresent() && second.isPresent()) {
            boolean agree = Comparison.agree(Comparison.difference(first.get(), second.get()));
            pen.write(
                    LineKey.of(judge.id(), Judge.AGREES + c.figure().key()),
                    (agree ? Judge.Agreement.AGREE : Judge.Agreement.DISAGREE).key());
        }
    }

    private Judge.Verdict verdict(FigureId figure, Estimate value, Habit habit) {
        Zone zone = assignment
                .sheet()
                .limits(figure)
                .flatMap(limits -> habit.verdict()
                        .flatMap(slip -> LimitReading.by(slip, figure, value, limits, assignment.scale(figure)))
                        .or(() -> Optional.of(assignment
                                .scale(figure)
                                .judge(figure, value, limits, practical().rule())
                                .zone())))
                .orElse(Zone.INSIDE);
        if (zone.inDoubt()) {
            return Judge.Verdict.TOO_CLOSE;
        }
        return zone == Zone.INSIDE ? Judge.Verdict.INSIDE : Judge.Verdict.OUTSIDE;
    }

    // ---- rounds

    private void round(Round round, Truth left) {
        List<FigureId> figures = new ArrayList<>();
        round.measures().forEach(m -> figures.addAll(m.figures()));
        if (round.most() > 1) {
            var planning = new Planning(assignment, pen);
            Practical.adjustments(figures).stream()
                    .flatMap(a -> assignment.adjusters(a).stream())
                    .distinct()
                    .forEach(part -> planning.move(round.id(), 1, part, 1));
        }
        round.measures().forEach(m -> read(m, 1, left, m.repeats()));
        if (round.most() > 1) {
            pen.write(new LineKey(round.id(), Round.NEXT, 0, 1), Round.Next.DONE.key());
        }
    }
}
