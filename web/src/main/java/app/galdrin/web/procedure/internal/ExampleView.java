package app.galdrin.web.procedure.internal;

import app.galdrin.core.procedure.Choice;
import app.galdrin.web.sketch.Sketch;
import app.galdrin.web.words.Sentence;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A worked example that can be changed: readings, what they come to, and what the doubt of it comes from.
 *
 * @param sketch with the places that are read
 * @param given what is known beforehand, said
 */
public record ExampleView(
        Sketch sketch,
        List<ExampleChoice> chosen,
        List<Field> fields,
        List<String> given,
        List<ExampleFigure> figures,
        boolean typed) {

    /** Choice that is made before anything is read. */
    public record ExampleChoice(Choice choice, String now) {}

    /**
     * A reading as typed.
     *
     * @param sense the way that is chosen; empty where there is none
     * @param echo as it was understood, with its unit
     */
    public record Field(
            Sketch.SketchPlace place,
            String typed,
            String sense,
            List<String> senses,
            String echo,
            @Nullable Sentence fault) {

        /** The name of its field in the form. */
        public String name() {
            return "at." + place.id();
        }
    }

    /**
     * A figure.
     *
     * @param value with its doubt, said
     * @param steps its working, a sentence a step
     * @param sources where its doubt comes from, said, the largest first
     */
    public record ExampleFigure(String name, String value, List<String> steps, List<String> sources) {}
}
