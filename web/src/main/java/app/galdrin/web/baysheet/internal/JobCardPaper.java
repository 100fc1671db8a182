package app.galdrin.web.baysheet.internal;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.condition.Condition;
import app.galdrin.core.condition.ConditionPoint;
import app.galdrin.core.condition.JointPoint;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.form.Form;
import app.galdrin.core.form.FormPoint;
import app.galdrin.core.jobcard.JobCard;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.roadtest.RoadTest;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.task.Judge;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Round;
import app.galdrin.core.task.Step;
import app.galdrin.core.tightening.Tightening;
import app.galdrin.core.tightening.Tightening.AskedFastener;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.baysheet.Fields;
import app.galdrin.web.baysheet.WrittenSheet;
import app.galdrin.web.sitting.Entry;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Job card of a sitting, as the customer's file keeps it: the vehicle, as found and as left, torques, further faults and the road test. */
final class JobCardPaper {

    private final WrittenSheet sheet;

    JobCardPaper(WrittenSheet sheet) {
        this.sheet = sheet;
    }

    /** One thing that was written. */
    public record Row(String name, String value) {}

    /** A figure with what it was found and left at; empty where it was not worked, or not read again. */
    public record FigureRow(String name, String limits, String found, String left) {}

    /** Returns why the vehicle came; empty where the task does not say. */
    String request() {
        return steps(JobCard.class)
                .map(JobCard::request)
                .filter(said -> !said.isEmpty())
                .findFirst()
                .orElse("");
    }

    /** Returns the vehicle as it was taken in; what has to be read is the apprentice's question, not the customer's. */
    List<Row> takenIn() {
        return steps(JobCard.class)
                .flatMap(card -> rows(
                        card,
                        card.points().stream()
                                .filter(point -> !point.key().startsWith("read."))
                                .map(FormPoint.class::cast)
                                .toList())
                        .stream())
                .toList();
    }

    /** Returns what was judged, in the order in which it was. */
    List<FigureRow> figures() {
        List<FigureRow> rows = new ArrayList<>();
        steps(Judge.class).forEach(judge -> judge.figures().forEach(figure -> rows.add(row(figure, judge.id()))));
        return rows;
    }

    private FigureRow row(FigureId figure, String judge) {
        return new FigureRow(
                sheet.words().name(figure),
                sheet.assignment()
                        .limits(figure)
                        .map(limits -> said(limits, figure))
                        .orElse(""),
                said(sheet.own().ofHisOwn(figure, judge), figure),
                said(left(figure), figure));
    }

    private String said(Optional<Estimate> figure, FigureId id) {
        return figure.map(estimate -> sheet.words().figure(estimate.value(), id))
                .orElse("");
    }

    private String said(Limits limits, FigureId figure) {
        return Stream.of(limits.min(), limits.max())
                .filter(OptionalDouble::isPresent)
                .map(end -> sheet.words().figure(end.getAsDouble(), figure))
                .collect(Collectors.joining(" … "));
    }

    /** Reads the last round in which a figure was read again. */
    private Optional<Estimate> left(FigureId figure) {
        return steps(Round.class)
                .flatMap(round -> IntStream.iterate(round.most(), i -> i > 0, i -> i - 1)
                        .boxed()
                        .flatMap(number ->
                                round.within().stream().flatMap(measure -> mean(measure, number, figure).stream())))
                .findFirst();
    }

    private Optional<Estimate> mean(Measure measure, int round, FigureId figure) {
        return measure.figures().contains(figure) ? sheet.own().mean(measure, round, figure) : Optional.empty();
    }

    /** Returns each fastener with the torque it was tightened to, and the wrench. */
    List<Row> torques() {
        List<Row> rows = new ArrayList<>();
        steps(Tightening.class).forEach(step -> {
            for (AskedFastener one : step.asked(sheet.assignment().sheet())) {
                String name = one.fastener().name();
                add(rows, name, step, one.torque());
                sheet.log()
                        .at(LineKey.of(step.id(), one.notConfirmed()))
                        .ifPresent(called ->
                                rows.add(new Row(name, sheet.words().text("tightening.torque.notConfirmed"))));
            }
            add(rows, sheet.words().text("tightening.wrench"), step, Tightening.WRENCH);
            add(rows, sheet.words().item(Tightening.CALIBRATION), step, Tightening.CALIBRATION);
        });
        return rows;
    }

    /** Returns what was found beyond the figures: joints with play, tyres that wear unevenly, parts that are bent. */
    List<Row> furtherFaults() {
        return steps(Condition.class)
                .flatMap(condition -> rows(
                        condition,
                        condition.points(sheet.assignment().sheet()).stream()
                                .filter(point -> isFault(condition, point))
                                .toList())
                        .stream())
                .toList();
    }

    private boolean isFault(Condition condition, FormPoint point) {
        Optional<String> written = sheet.answers().text(LineKey.of(condition.id(), point.key()));
        if (point instanceof JointPoint) {
            return written.equals(Optional.of(JointPoint.PLAY));
        }
        boolean isWear = point == ConditionPoint.WEAR_LEFT || point == ConditionPoint.WEAR_RIGHT;
        return point == ConditionPoint.BENT || isWear && !written.equals(Optional.of("even"));
    }

    List<Row> roadTest() {
        return steps(RoadTest.class)
                .flatMap(test -> rows(test, List.copyOf(test.points())).stream())
                .toList();
    }

    private List<Row> rows(Form form, List<FormPoint> points) {
        List<Row> rows = new ArrayList<>();
        points.forEach(point -> add(rows, sheet.words().item(point.key()), form, point.key()));
        return rows;
    }

    private void add(List<Row> rows, String name, Step step, String line) {
        sheet.log()
                .at(LineKey.of(step.id(), line))
                .ifPresent(entry -> rows.add(new Row(name, understood(entry, step, line))));
    }

    /** Returns a quantity with its unit as it was understood; anything else as it was written. */
    private String understood(Entry entry, Step step, String line) {
        Line asked = sheet.sheet().line(LineKey.of(step.id(), line)).orElseThrow();
        boolean hasUnit = asked.answer() instanceof AnswerType.Amount amount && amount.defaultUnit() != Unit.TIMES;
        return hasUnit
                ? Fields.echo(entry, asked, Optional.empty(), sheet.words())
                : sheet.fields().said(entry);
    }

    private <T extends Step> Stream<T> steps(Class<T> kind) {
        return sheet.assignment().practical().of(kind);
    }
}
