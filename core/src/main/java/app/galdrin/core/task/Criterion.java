package app.galdrin.core.task;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/**
 * A step under an aspect, and what it is worth.
 *
 * @param marks whole marks, 0 to {@link #MOST_MARKS}; a criterion of 0 is shown where it has to be passed
 * @param mustPass whether nobody is competent without it
 * @param bands by figure, rad or mm; for the aspects that compare differences
 */
public record Criterion(Id id, int marks, boolean mustPass, Map<FigureId, Band> bands) {

    public static final int MOST_MARKS = 100;

    /** Step and aspect of a criterion; its key is {@code step.aspect}. */
    public record Id(String step, Aspect aspect) {
        /** Returns its name: {@code step.aspect}. */
        public String key() {
            return step + "." + aspect.key();
        }

        /** Reads the name of a criterion. */
        public static Optional<Id> parse(String key) {
            int dot = key.lastIndexOf('.');
            return dot < 0
                    ? Optional.empty()
                    : Keyed.find(Aspect.values(), key.substring(dot + 1))
                            .map(aspect -> new Id(key.substring(0, dot), aspect));
        }
    }

    public Criterion {
        bands = new LinkedHashMap<>(bands);
    }

    /** Returns the band of a figure, rad or mm. */
    public Optional<Band> band(FigureId figure) {
        return Optional.ofNullable(bands.get(figure));
    }
}
