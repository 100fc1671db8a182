package app.galdrin.web.baysheet.internal;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.WorkedRepeat;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.ReadingQuery;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.Scatter;
import app.galdrin.web.baysheet.FieldView;
import app.galdrin.web.baysheet.Fields;
import app.galdrin.web.baysheet.StepView;
import app.galdrin.web.baysheet.WrittenSheet;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sketch.Sketch;
import app.galdrin.web.sketch.Sketches;
import app.galdrin.web.sketch.ToleranceRule;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Makes the views of measuring steps: the sketch with its fields, and what is said of the figures where the sheet speaks. */
final class MeasureMaker {

    private final Sitting sitting;
    private final Assignment assignment;
    private final Log log;
    private final Answers answers;
    private final Sheet sheet;
    private final Fields fields;
    private final OwnFigures own;
    private final Words words;
    private final boolean speaks;

    MeasureMaker(WrittenSheet written) {
        this.sitting = written.sitting();
        this.assignment = written.assignment();
        this.log = written.log();
        this.answers = written.answers();
        this.sheet = written.sheet();
        this.fields = written.fields();
        this.own = written.own();
        this.words = written.words();
        this.speaks = written.speaks();
    }

    MeasureView of(StepView.Head head, Measure asked, int round) {
        Measure measure = asked.on(sitting.sheet().sheet());
        Sketch sketch =
                Sketches.of(sitting.sheet().id(), sitting.sheet().sheet(), measure.procedure(), measure.figures());
        Map<LineKey, FieldView> byKey = new LinkedHashMap<>();
        sheet.keys(measure, round).forEach(key -> byKey.put(key, fields.at(key)));
        List<MeasureView.Row> rows = new ArrayList<>();
        for (Sketch.SketchPlace place : sketch.places()) {
            List<FieldView> cells = byKey.values().stream()
                    .filter(f -> f.line().line().equals(place.id()))
                    .toList();
            rows.add(new MeasureView.Row(
                    place,
                    cells.stream().map(MeasureView.Cell::new).toList(),
                    cells.stream()
                            .flatMap(f -> log.struckAt(f.line()).stream())
                            .map(fields::said)
                            .toList()));
        }
        return new MeasureView(
                head,
                measure,
                round,
                firstOpen(measure, round),
                speaks ? sketch : sketch.silent(),
                answers.chosen(measure, round),
                slopes(measure, round, byKey),
                byKey,
                rows,
                speaks ? rules(measure, round) : List.of(),
                speaks ? notes(measure, round) : List.of(),
                queries(measure, round),
                List.of(),
                speaks);
    }

    /** The fields for the slope of a floor nobody has surveyed; those that were read for other readings of this sheet are left out. */
    private List<FieldView> slopes(Measure measure, int round, Map<LineKey, FieldView> byKey) {
        return byKey.values().stream()
                .filter(f ->
                        Keyed.find(BayFloor.Slope.values(), f.line().line()).isPresent())
                .filter(f -> f.filled() || f.error() != null || !sheet.isFilled(f.line(), answers))
                .toList();
    }

    /** The first repeat that is not complete, else the last. */
    private int firstOpen(Measure measure, int round) {
        return sheet.keys(measure, round).stream()
                .filter(key -> key.repeat() > 0 && !sheet.isFilled(key, answers))
                .mapToInt(LineKey::repeat)
                .findFirst()
                .orElse(measure.repeats());
    }

    private List<ToleranceRule> rules(Measure measure, int round) {
        return words.printed(own.means(measure, round)).entrySet().stream()
                .flatMap(figure -> rule(figure.getKey(), figure.getValue()).stream())
                .toList();
    }

    /** A figure on the tolerance rule of its limits; empty where the sheet has none. */
    Optional<ToleranceRule> rule(FigureId figure, Estimate value) {
        return assignment.sheet().limits(figure).map(limits -> {
            var zone = Judgement.of(
                            value, limits, Judgement.K, assignment.practical().rule())
                    .zone();
            return ToleranceRule.of(figure, value.value(), value.standardUncertainty(), limits, zone);
        });
    }

    /** Returns what is to be read again; of a reference also repeats that lie too far apart, since everybody is marked by it. */
    private List<String> queries(Measure measure, int round) {
        List<String> asked = new ArrayList<>();
        ReadingQuery.of(own, measure, round).forEach(a -> asked.add(query(a)));
        if (sitting.isReference()) {
            own.scattered(measure, round).forEach(figure -> {
                List<Estimate> each = own.each(measure, round, figure);
                asked.add(words.text(
                        "readingQuery.scattered",
                        words.name(figure),
                        words.doubt(Scatter.range(each), figure),
                        words.doubt(Scatter.explained(each), figure)));
            });
        }
        return asked;
    }

    /** Returns which readings don't go together, and why. */
    private String query(ReadingQuery asked) {
        String places = asked.places().stream()
                .map(p -> words.text(
                        p.words() + ".list",
                        p.wheel().map(w -> words.text("wheel." + w.key())).orElse("")))
                .collect(Collectors.joining(", "));
        return asked.figure()
                .map(f -> words.text("readingQuery.impossible", words.name(f), places, asked.repeat()))
                .orElseGet(() -> asked.places().size() == 1
                        ? finer(asked.places().get(0), places, asked.repeat())
                        : words.text("readingQuery.alike", places, asked.repeat()));
    }

    private String finer(Place place, String name, int repeat) {
        return words.text(
                "readingQuery.finer",
                name,
                repeat,
                words.text("instrument." + place.instrument().key()),
                words.text("unit." + place.amount().defaultUnit().key()));
    }

    /** Returns what the last repeat tells beside its figures. */
    private List<String> notes(Measure measure, int round) {
        List<WorkedRepeat> repeats = own.repeats(measure, round);
        if (repeats.isEmpty()) {
            return List.of();
        }
        Map<String, Double> notes = repeats.get(repeats.size() - 1).notes();
        List<String> said = new ArrayList<>();
        notes.forEach((path, degrees) -> said.add(words.text(
                "note." + measure.procedure().key() + "." + path,
                words.length(0.1
                        * Math.rint(10
                                * Math.abs(Math.tan(Math.toRadians(degrees))
                                        * assignment.sheet().geometry().wheelbase()))))));
        return said;
    }
}
