package app.galdrin.web.baysheet.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.procedure.TargetReading;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.MoveLines;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.sitting.TargetReadings;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Plan;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import app.galdrin.core.task.Work;
import app.galdrin.web.baysheet.Fields;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.baysheet.WrittenSheet;
import app.galdrin.web.words.PartWords;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.TargetWords;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Makes the views of the plan, and of the rounds in which it is done and read again. */
final class AdjustMaker {

    private final Assignment assignment;
    private final Answers answers;
    private final Sheet sheet;
    private final Fields fields;
    private final OwnFigures own;
    private final Words words;
    private final StepWords names;
    private final TargetWords targets;
    private final PartWords parts;
    private final Facts facts;
    private final MeasureMaker measures;
    private final boolean speaks;

    AdjustMaker(WrittenSheet written) {
        this.assignment = written.assignment();
        this.answers = written.answers();
        this.sheet = written.sheet();
        this.fields = written.fields();
        this.own = written.own();
        this.words = written.words();
        this.names = written.names();
        this.targets = written.speech().targets();
        this.parts = new PartWords(words);
        this.facts = new Facts(written);
        this.measures = new MeasureMaker(written);
        this.speaks = written.speaks();
    }

    PlanView plan(StepView.Head head, Plan plan) {
        List<PlanView.NoMove> noMoves = Practical.adjustments(plan.figures()).stream()
                .filter(adjustment ->
                        sheet.line(MoveLines.instead(plan, adjustment)).isPresent())
                .map(adjustment -> new PlanView.NoMove(
                        names.adjustment(adjustment), fields.at(MoveLines.instead(plan, adjustment))))
                .toList();
        var shown = OfHisSheet.standing(own, plan.figures(), plan.id(), speaks, words);
        List<PlanView.Figure> figures = plan.figures().stream()
                .map(f -> new PlanView.Figure(
                        words.name(f),
                        Optional.ofNullable(shown.get(f))
                                .map(v -> words.figure(v.value(), f))
                                .orElse("–"),
                        target(f).map(t -> words.figure(t, f)).orElse("–")))
                .toList();
        return new PlanView(
                head,
                figures,
                order(plan.figures()),
                moves(plan, 0, plan.figures()),
                noMoves,
                facts.ofRods(adjusters(plan.figures())));
    }

    private Optional<Double> target(FigureId figure) {
        return assignment
                .sheet()
                .limits(figure)
                .map(Limits::target)
                .filter(t -> t.isPresent())
                .map(t -> t.getAsDouble());
    }

    private List<PlanView.Move> moves(Step step, int round, List<FigureId> figures) {
        return moves(step, round, new LinkedHashSet<>(adjusters(figures)));
    }

    private List<PlanView.Move> moves(Step step, int round, Set<Adjuster> adjusters) {
        List<PlanView.Move> moves = new ArrayList<>();
        for (Adjuster adjuster : adjusters) {
            var way = MoveLines.way(step.id(), adjuster, round);
            var amount = MoveLines.amount(step.id(), adjuster, round);
            if (sheet.line(way).isPresent()) {
                moves.add(new PlanView.Move(
                        names.adjuster(adjuster.id()),
                        fields.at(way),
                        sheet.line(amount).map(l -> fields.at(amount)),
                        words.text("adjusterUnit." + adjuster.unit().key()),
                        parts.steps(assignment.sheet(), adjuster)));
            }
        }
        return moves;
    }

    private List<Adjuster> adjusters(List<FigureId> figures) {
        return assignment.practical().adjusters(figures, assignment.sheet());
    }

    /** Returns why the rear comes first, or that the fronts are set to it; empty where that is asked. */
    private String order(List<FigureId> figures) {
        if (!speaks) {
            return "";
        }
        boolean rearMoves = adjusters(figures).stream()
                .anyMatch(a -> a.where().axle().filter(Axle.REAR::equals).isPresent());
        boolean rearStays = assignment.sheet().lines().stream()
                .filter(l -> l.measurand().isDatum())
                .filter(l -> l.axle().filter(Axle.REAR::equals).isPresent())
                .allMatch(l -> l.adjustable() == Adjustable.NO);
        String which = rearMoves ? "rearFirst" : rearStays ? "rearIsDatum" : "";
        return which.isEmpty()
                ? ""
                : words.text(
                        "plan.order." + which,
                        words.text("school." + assignment.practical().school().key()));
    }

    RoundView round(StepView.Head head, Round round) {
        int begun = sheet.rounds(round, answers);
        List<RoundView.RoundPanel> rounds = new ArrayList<>();
        for (int i = 1; i <= begun; i++) {
            rounds.add(one(head, round, i));
        }
        Optional<RoundView.RoundPanel> following =
                begun < round.most() ? Optional.of(one(head, round, begun + 1)) : Optional.empty();
        return new RoundView(head, rounds, following, round.most(), round.aim());
    }

    private RoundView.RoundPanel one(StepView.Head head, Round round, int number) {
        List<FigureId> figures =
                round.measures().stream().flatMap(m -> m.figures().stream()).toList();
        var next = new LineKey(round.id(), Round.NEXT, 0, number);
        List<String> goals = figures.stream()
                .flatMap(f -> target(f).map(t -> words.text("round.goal", words.name(f), words.figure(t, f))).stream())
                .toList();
        Map<Measure, List<Goal>> wanted = new LinkedHashMap<>();
        for (Measure m : round.measures()) {
            wanted.put(m, targets(m, number).stream().map(t -> goal(m, t)).toList());
        }
        List<RoundView.Block> blocks = new ArrayList<>();
        Set<Adjuster> seen = new HashSet<>();
        for (Measure m : round.measures()) {
            Set<Adjuster> first = new LinkedHashSet<>(adjusters(m.figures()));
            first.removeAll(seen);
            seen.addAll(first);
            blocks.add(new RoundView.Block(
                    moves(round, number, first),
                    measures.of(inner(head, m), m, number).with(wanted.getOrDefault(m, List.of()))));
        }
        return new RoundView.RoundPanel(
                number,
                order(figures),
                goals,
                wanted.values().stream().flatMap(List::stream).toList(),
                blocks,
                sheet.line(next).map(l -> fields.at(next)));
    }

    /**
     * Returns the targets from the last state that was read before a round: the round before, else as found. In an assessment nothing is said that
     * would give away what the sheet asks to be worked out.
     */
    private List<TargetReading> targets(Measure measure, int round) {
        for (int before = round - 1; speaks && before > 0; before--) {
            List<TargetReading> readings = TargetReadings.of(own, measure.target(), measure, before);
            if (!readings.isEmpty()) {
                return readings;
            }
        }
        return assignment.practical().measures(0).stream()
                .filter(m -> m.procedure().equals(measure.procedure()))
                .filter(m -> speaks || !isWorkedOnPaper(m))
                .map(m -> TargetReadings.of(own, measure.target(), m, 0))
                .filter(found -> !found.isEmpty())
                .findFirst()
                .orElse(List.of());
    }

    private Goal goal(Measure measure, TargetReading target) {
        return new Goal(
                measure.id(),
                targets.place(target).id(),
                targets.brief(target),
                targets.sense(target),
                targets.said(target));
    }

    private boolean isWorkedOnPaper(Measure measure) {
        return assignment
                .practical()
                .of(Work.class)
                .anyMatch(w -> w.asked().stream().anyMatch(i -> i.from().equals(measure.id()))
                        || w.targets().stream().anyMatch(t -> t.from().equals(measure.id())));
    }

    private StepView.Head inner(StepView.Head round, Measure measure) {
        return new StepView.Head(
                measure, round.number(), names.title(measure), round.progress(), false, false, List.of(), List.of());
    }
}
