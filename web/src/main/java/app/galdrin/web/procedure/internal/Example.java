package app.galdrin.web.procedure.internal;

import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.Choice;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Repeat;
import app.galdrin.core.procedure.Source;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.simulated.Apprentice;
import app.galdrin.core.spec.Judgement;
import app.galdrin.core.start.TaskStart;
import app.galdrin.core.task.ExpectedUncertainty;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.sketch.Sketch;
import app.galdrin.web.sketch.Sketches;
import app.galdrin.web.words.LineTextWords;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import app.galdrin.web.words.WorkingWords;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.jspecify.annotations.Nullable;

/** SittingMarks what was typed on a procedure's page, or what trained hands would read of a vehicle as its sheet wants it. */
final class Example {

    private static final long SEED = 4;
    private static final int LONGEST = 60;

    private final Words words;
    private final WorkingWords working;
    private final SheetVersion sheet;
    private final Procedure procedure;
    private final List<FigureId> figures;
    private final Map<String, String> typed;
    private final MeasuringContext standing;
    private final boolean isTyped;

    /** {@code typed}: by name of the field, {@code at.} and the place, {@code chosen.} and the choice. */
    Example(
            Words words,
            WorkingWords working,
            SheetVersion sheet,
            Procedure procedure,
            MeasuringContext bay,
            Map<String, String> typed) {
        this.words = words;
        this.working = working;
        this.sheet = sheet;
        this.procedure = procedure;
        this.figures = TaskStart.usualFigures(procedure);
        this.typed = typed;
        Map<String, String> chosen = new HashMap<>();
        for (Choice choice : procedure.choices()) {
            String said = typed.getOrDefault("chosen." + choice.id(), "");
            chosen.put(choice.id(), choice.options().contains(said) ? said : choice.usual());
        }
        this.standing = bay.choosing(chosen);
        this.isTyped = typed.keySet().stream().anyMatch(name -> name.startsWith("at."));
    }

    ExampleView view() {
        Sketch sketch = Sketches.of(sheet.id(), sheet.sheet(), procedure, figures);
        RandomGenerator random = RandomGeneratorFactory.of("Xoshiro256PlusPlus").create(SEED);
        Map<String, Double> example = procedure
                .lay(ExpectedUncertainty.asTheSheetWants(sheet.sheet()), standing, 1, random)
                .read();
        List<ExampleView.Field> fields = new ArrayList<>();
        Map<String, Double> readings = new HashMap<>();
        for (Sketch.SketchPlace place : sketch.places()) {
            String text = isTyped
                    ? asTyped(place.place())
                    : Apprentice.text(
                            place.place().answer(), place.place().amount(), example.getOrDefault(place.id(), 0.0));
            LineText read = LineText.read(text, place.place().answer());
            if (read instanceof LineText.ParsedText u) {
                u.value().ifPresent(v -> readings.put(place.id(), v));
            }
            fields.add(field(place, text, read));
        }
        return new ExampleView(
                sketch,
                procedure.choices().stream()
                        .map(c ->
                                new ExampleView.ExampleChoice(c, c.in(standing).orElse(c.usual())))
                        .toList(),
                fields,
                given(),
                told(readings),
                isTyped);
    }

    private String asTyped(Place place) {
        String size = cut(typed.getOrDefault("at." + place.id(), "").strip());
        String sense = cut(typed.getOrDefault("at." + place.id() + ".sense", ""));
        return size.isEmpty() || sense.isEmpty() ? size : LineText.withSense(size, sense);
    }

    private static String cut(String text) {
        return text.length() > LONGEST ? text.substring(0, LONGEST) : text;
    }

    private ExampleView.Field field(Sketch.SketchPlace place, String text, LineText read) {
        boolean sized = place.sensed();
        List<String> senses = place.place().answer() instanceof SizeAndSense s
                ? s.senses().stream().map(Sense::key).toList()
                : List.of();
        return new ExampleView.Field(
                place,
                sized ? LineText.sizeOf(text) : text,
                sized ? LineText.senseOf(text).map(Sense::key).orElse("") : "",
                senses,
                read instanceof LineText.ParsedText u ? echo(place.place(), u) : "",
                fault(text, read));
    }

    private String echo(Place place, LineText.ParsedText understood) {
        if (understood.value().isEmpty()) {
            return "";
        }
        double size = Math.abs(understood.value().getAsDouble());
        return place.amount().quantity() == Quantity.LENGTH
                ? words.length(size)
                : words.angleSize(Math.toRadians(size));
    }

    private static @Nullable Sentence fault(String text, LineText read) {
        return !text.isEmpty() && read instanceof LineText.Refusal refused ? LineTextWords.why(refused) : null;
    }

    private List<String> given() {
        List<String> given = new ArrayList<>();
        for (Source.KnownBeforehand known : procedure.given(procedure.taught().get(0), figures)) {
            known.known(standing).ifPresent(value -> said(known, value).ifPresent(given::add));
        }
        return given;
    }

    private Optional<String> said(Source.KnownBeforehand known, double value) {
        String label = "given." + known.key();
        if (!words.has(label)) {
            return Optional.empty();
        }
        boolean length = known.unit().quantity() == Quantity.LENGTH;
        double core = known.unit().toCore(value);
        if (length) {
            return Optional.of(words.text("procedures.given", words.text(label), words.length(core)));
        }
        String size = words.angleSize(core);
        String way = size.equals(words.angleSize(0)) ? "level" : value > 0 ? "positive" : "negative";
        return Optional.of(
                words.text("procedures.given", words.text(label), words.textOr(label + "." + way, label, size)));
    }

    private List<ExampleView.ExampleFigure> told(Map<String, Double> readings) {
        String taught = procedure.taught().get(0);
        var worked = procedure.work(readings, standing, new Repeat("try", 0, 1), taught);
        List<ExampleView.ExampleFigure> shown = new ArrayList<>();
        for (FigureId figure : figures) {
            Estimate estimate = worked.figures().get(figure);
            if (estimate != null) {
                List<String> steps = worked.stepsTo(figure, taught)
                        .map(all -> all.stream().map(working::step).toList())
                        .orElse(List.of());
                shown.add(new ExampleView.ExampleFigure(
                        words.name(figure), value(figure, estimate), steps, sources(estimate, figure)));
            }
        }
        return shown;
    }

    private String value(FigureId figure, Estimate estimate) {
        return words.text(
                "procedures.value",
                words.figure(estimate.value(), figure),
                words.doubt(Judgement.K * estimate.standardUncertainty(), figure));
    }

    /** Each source with what it alone would leave, and its share of the whole. */
    private List<String> sources(Estimate estimate, FigureId figure) {
        Map<String, Double> shares = new LinkedHashMap<>(estimate.budget().shares());
        return shares.entrySet().stream()
                .sorted(Map.Entry.comparingByValue(Comparator.reverseOrder()))
                .map(e -> words.text(
                        "procedures.source",
                        working.source(e.getKey()),
                        words.doubt(Judgement.K * estimate.standardUncertainty() * Math.sqrt(e.getValue()), figure),
                        Math.round(100 * e.getValue())))
                .toList();
    }
}
