package app.galdrin.web.baysheet.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Comparison;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.baysheet.Fields;
import app.galdrin.web.baysheet.StepSheet;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.baysheet.WrittenSheet;
import app.galdrin.web.sketch.PairRule;
import app.galdrin.web.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Judging on the sheet. */
@Component
class JudgeSheet implements StepSheet {

    @Override
    public String kind() {
        return Judge.KIND;
    }

    @Override
    public StepView view(Step step, StepView.Head head, WrittenSheet written) {
        return new OneJudge(written, (Judge) step).view(head);
    }

    @Override
    public boolean speaksAtOnce() {
        return true;
    }

    /** One step of one sheet. */
    private static final class OneJudge {
        private final WrittenSheet written;
        private final Judge judge;
        private final Assignment assignment;
        private final OwnFigures own;
        private final Words words;
        private final Fields fields;
        private final boolean speaks;

        OneJudge(WrittenSheet written, Judge judge) {
            this.written = written;
            this.judge = judge;
            this.assignment = written.assignment();
            this.own = written.own();
            this.words = written.words();
            this.fields = written.fields();
            this.speaks = written.speaks();
        }

        JudgeView view(StepView.Head head) {
            var shown = OfHisSheet.standing(own, judge.figures(), judge.id(), speaks, words);
            return new JudgeView(
                    head,
                    "judge.explain." + assignment.practical().rule().key(),
                    judge.figures().stream()
                            .map(figure -> judged(figure, Optional.ofNullable(shown.get(figure))))
                            .toList(),
                    Practical.adjustments(judge.figures()).stream()
                            .filter(a -> written.sheet()
                                    .line(LineKey.of(judge.id(), Judge.ADJUSTABLE + a.key()))
                                    .isPresent())
                            .map(a -> new JudgeView.AdjustedGroup(
                                    written.names().adjustment(a),
                                    fields.at(LineKey.of(judge.id(), Judge.ADJUSTABLE + a.key()))))
                            .toList(),
                    judge.compared().stream()
                            .flatMap(f -> assignment.practical().comparison(f, judge.id()).stream())
                            .map(c -> compared(c))
                            .toList());
        }

        private JudgeView.ComparedFigure compared(Comparison c) {
            FigureId figure = c.figure();
            boolean shown = speaks || own.ofHisOwn(figure, judge.id()).isPresent();
            Optional<Estimate> first = own.mean(c.first(), 0, figure).filter(v -> shown);
            Optional<Estimate> second = own.mean(c.second(), 0, figure).filter(v -> shown);
            String one = words.text("procedure." + c.first().procedure().key());
            String other = words.text("procedure." + c.second().procedure().key());
            List<String> why = Stream.of(c.first(), c.second())
                    .flatMap(m -> m.procedure().guide().assumes().stream())
                    .distinct()
                    .map(a -> words.text("assumption." + a.key()))
                    .toList();
            return new JudgeView.ComparedFigure(
                    words.text("judge.compared", words.name(figure), one, other),
                    fields.at(LineKey.of(judge.id(), Judge.AGREES + figure.key())),
                    List.of(own(one, first, figure), own(other, second, figure)),
                    why,
                    first.flatMap(a -> second.map(
                            b -> PairRule.of(figure, a, b, assignment.sheet().limits(figure)))));
        }

        private String own(String key, Optional<Estimate> value, FigureId figure) {
            return value.map(v -> words.text(
                            "judge.by",
                            key,
                            words.figure(v.value(), figure),
                            words.doubt(Judgement.K * v.standardUncertainty(), figure)))
                    .orElseGet(() -> words.text("judge.by.none", key));
        }

        private JudgeView.Item judged(FigureId figure, Optional<Estimate> value) {
            String none =
                    speaks || own.ofHisOwn(figure, judge.id()).isPresent() ? "judge.noFigure" : "judge.byReadings";
            String said = value.map(v -> words.text(
                            "judge.own",
                            words.figure(v.value(), figure),
                            words.doubt(Judgement.K * v.standardUncertainty(), figure)))
                    .orElseGet(() -> words.text(none));
            return new JudgeView.Item(
                    words.name(figure),
                    fields.at(LineKey.of(judge.id(), figure.key())),
                    said,
                    assignment
                            .sheet()
                            .limits(figure)
                            .map(l -> limits(l, figure))
                            .orElse(""),
                    value.flatMap(v -> new MeasureMaker(written).rule(figure, v)));
        }

        private String limits(Limits limits, FigureId figure) {
            String preferred =
                    limits.target().isPresent() ? words.figure(limits.target().getAsDouble(), figure) : "–";
            return words.text(
                    "judge.limits",
                    limits.min().isPresent() ? words.figure(limits.min().getAsDouble(), figure) : "–",
                    preferred,
                    limits.max().isPresent() ? words.figure(limits.max().getAsDouble(), figure) : "–");
        }
    }
}
