package app.galdrin.web.task.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Mode;
import app.galdrin.core.task.Steering;
import app.galdrin.web.sketch.Sketch;
import app.galdrin.web.sketch.Sketches;
import app.galdrin.web.task.BenchDraft;
import app.galdrin.web.words.Words;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;

/** A measurement on the bench: what can be chosen for it, and what the apprentice gets. */
public final class MeasureFields {

    private final Measure measure;
    private final BenchDraft draft;
    private final Words words;

    MeasureFields(Measure measure, BenchDraft draft, Words words) {
        this.measure = measure;
        this.draft = draft;
        this.words = words;
    }

    /** The procedures of a measurement's family. */
    public List<Procedure> procedures() {
        return Procedures.all().stream()
                .filter(p -> p.family() == measure.procedure().family())
                .filter(p -> p.fits(draft.sheet().sheet())
                        || p.key().equals(measure.procedure().key()))
                .toList();
    }

    /** The figures that a measurement's procedure can tell or is asked for, or the others, which another of the family can tell. */
    public List<FigureId> figures(boolean itsOwn) {
        return procedures().stream()
                .flatMap(p -> p.sees().stream())
                .distinct()
                .filter(f -> itsOwn
                        == (measure.procedure().sees().contains(f)
                                || measure.figures().contains(f)))
                .sorted(Comparator.comparing((FigureId f) -> place(measure, f))
                        .thenComparing(Comparator.naturalOrder()))
                .toList();
    }

    /** Keeps what is asked already in its order, which is that of the form; the others follow. */
    private static int place(Measure measure, FigureId figure) {
        int at = measure.figures().indexOf(figure);
        return at < 0 ? measure.figures().size() : at;
    }

    public Sketch sketch() {
        Sketch sketch = Sketches.of(draft.sheet().id(), draft.sheet().sheet(), measure.procedure(), measure.figures());
        return draft.practical().mode() == Mode.PRACTICE ? sketch : sketch.silent(); // as the apprentice gets it
    }

    /** The tools of a measurement that can be chosen. */
    public List<ToolRow> tools() {
        Procedure procedure = measure.procedure();
        Set<String> asked =
                procedure.places(measure.figures()).stream().map(Place::tool).collect(Collectors.toSet());
        return procedure.instruments().entrySet().stream()
                .filter(e -> asked.contains(e.getKey())
                        && procedure.choiceOf(e.getKey()).size() > 1)
                .map(e -> new ToolRow(
                        e.getKey(), words.text("doubt." + e.getKey()), procedure.choiceOf(e.getKey()), e.getValue()))
                .toList();
    }

    /** Readings with one instrument, and the instruments that do for them. */
    public record ToolRow(String key, String name, List<CatalogueInstrument> choice, CatalogueInstrument now) {}

    /** Returns whether a measurement reads run-out, be it that the task has it taken off. */
    public boolean isRunningOut() {
        return measure.procedure().runsOut() || measure.procedure().isRunOutTakenOff();
    }

    /** Returns the ride height it asks for, mm; empty where it asks for none. */
    public String rideHeight() {
        return stated(measure.stance().rideHeight());
    }

    /** Returns the load it asks for, kg; empty where it asks for none. */
    public String load() {
        return stated(measure.stance().load());
    }

    private static String stated(OptionalDouble asked) {
        return asked.isPresent() ? String.valueOf(Math.round(asked.getAsDouble())) : "";
    }

    public Steering[] steerings() {
        return Steering.values();
    }

    /** Returns whether it matters to a measurement where the steering stands. */
    public boolean isSteered() {
        return measure.procedure().sees().stream().anyMatch(f -> !Steering.SQUARED.leaves(f));
    }

    /** Returns whether each figure of a measurement can be decided when it is read as asked. */
    public List<DecisionRow> decisions() {
        var standing = Assignment.of(draft.practical(), draft.sheet().sheet()).standing();
        return new Decisions(words, draft.practical().rule()).of(measure, standing);
    }

    public int places() {
        return measure.procedure().places(measure.figures()).size();
    }
}
