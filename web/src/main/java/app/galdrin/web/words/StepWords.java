package app.galdrin.web.words;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.spec.Part;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Step;
import org.springframework.stereotype.Component;

/** The names of steps, parts and what is adjusted together; templates reach it as {@code @steps}. */
@Component("steps")
public class StepWords {

    private final Words words;

    StepWords(Words words) {
        this.words = words;
    }

    /** The title of a step: its own where it is a ready-made one, else by its kind. */
    public String title(Step step) {
        if (step instanceof Measure measure) {
            return words.text(
                    "step.measure.title",
                    words.text("family." + measure.procedure().family().key()),
                    words.text("procedure." + measure.procedure().key()));
        }
        return words.textOr(
                "step." + step.id().replaceFirst("[0-9]+$", "") + ".title", "step." + step.kind() + ".title");
    }

    /** The title of a step among the others: numbered where one before it has the same. */
    private String title(Practical practical, Step step) {
        String title = title(step);
        long before = practical
                .allSteps()
                .takeWhile(s -> !s.id().equals(step.id()))
                .filter(s -> title(s).equals(title))
                .count();
        return before == 0 ? title : words.text("step.numbered", title, before + 1);
    }

    /** The name of a criterion: its aspect, and its step where several steps are marked under it. */
    public String criterion(Practical practical, Criterion.Id id) {
        if (id.equals(MarkSheet.STOPPED)) {
            return words.text("criterion.stopped");
        }
        String aspect = words.text("aspect." + id.aspect().key());
        boolean several = practical.scheme().criteria().stream()
                        .filter(c -> c.id().aspect() == id.aspect())
                        .count()
                > 1;
        return several
                ? words.text(
                        "criterion.of",
                        aspect,
                        practical
                                .step(id.step())
                                .map(step -> title(practical, step))
                                .orElse(id.step()))
                : aspect;
    }

    /** A part with its place: {@code rod.front.left}. */
    public String adjuster(String id) {
        int dot = id.indexOf('.');
        String part = dot < 0 ? id : id.substring(0, dot);
        Keyed.of(Part.values(), part);
        return dot < 0
                ? words.text("part." + part)
                : words.text("part.at", words.text("part." + part), words.text("where." + id.substring(dot + 1)));
    }

    /** Figures that are adjusted together: {@code toe.front}. */
    public String adjustment(String key) {
        int dot = key.indexOf('.');
        Measurand measurand =
                Measurand.named(dot < 0 ? key : key.substring(0, dot)).orElseThrow();
        String name = words.text("measurand." + measurand.key());
        return dot < 0
                ? name
                : words.text(
                        "part.at",
                        name,
                        words.text("where."
                                + Keyed.of(Location.values(), key.substring(dot + 1))
                                        .key()));
    }

    public String adjustment(FigureId.Adjustment adjustment) {
        return adjustment(adjustment.key());
    }
}
