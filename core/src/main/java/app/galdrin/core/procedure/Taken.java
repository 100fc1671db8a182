package app.galdrin.core.procedure;

import app.galdrin.core.record.Figures;
import app.galdrin.core.record.InputForm;
import app.galdrin.core.uncertainty.Budget;
import app.galdrin.core.uncertainty.Estimate;
import app.galdrin.core.uncertainty.Parts;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReferenceArray;
import java.util.function.Function;

/** What one run of an evaluation works with: readings on a vehicle where it stands, and what of their doubt goes into each figure. */
final class Taken {

    private final Prepared of;
    private final Map<String, Double> readings;
    private final Standing standing;
    private final Function<Place, String> ofReading;

    /** By the index of its field: every figure asks for those of all, and from several threads. */
    private final AtomicReferenceArray<Parts> parts;

    /**
     * For one repeat.
     *
     * @param readings mm or deg by place, with their signs
     * @param ofReading the name of a place's reading as a source of doubt
     */
    Taken(Prepared of, Map<String, Double> readings, Standing standing, Function<Place, String> ofReading) {
        this.of = of;
        this.readings = readings;
        this.standing = standing;
        this.ofReading = ofReading;
        this.parts = new AtomicReferenceArray<>(of.fields().size());
    }

    Standing standing() {
        return standing;
    }

    /** The input of the kind, without doubts. */
    InputForm form() {
        InputForm form = of.form();
        for (Prepared.Filled field : of.fields()) {
            valueOf(field).ifPresent(value -> form.put(field.blank(), value));
        }
        return form;
    }

    private Optional<Object> valueOf(Prepared.Filled field) {
        return field.source().value(readings, standing);
    }

    private Parts partsOf(Prepared.Filled field) {
        Parts known = parts.get(field.index());
        if (known == null) {
            known = partsOf(field.source());
            parts.set(field.index(), known);
        }
        return known;
    }

    Parts partsOf(Source source) {
        var all = new Parts(2);
        source.parts(readings, ofReading, standing, all::add);
        return all;
    }

    /** A figure of a result, rad or mm; {@code value} is in the record's unit. */
    Estimate estimate(Prepared.Told told, double value, Figures result) {
        return told.at().in(result.doubts()) instanceof Figures.Doubt known
                ? Estimate.lazily(
                        known.estimate().value(),
                        () -> bySlopes(known.estimate().budget()))
                : Estimate.lazily(told.unit().toCore(value), () -> byMoving(told));
    }

    /** Where the kind says what one unit of every field's doubt contributes. */
    private Budget bySlopes(Budget slopes) {
        var all = new Parts(slopes.size());
        slopes.forEach((path, slope) -> {
            if (slope != 0) { // a wheel's figure has little to do with what was read at the others
                of.field(path).ifPresent(field -> all.addAll(partsOf(field), slope / field.inCore()));
            }
        });
        return all.budget();
    }

    /** Where the kind lists no uncertainty: every field is moved by its own doubt, both ways. */
    private Budget byMoving(Prepared.Told told) {
        var all = new Parts(2 * of.fields().size());
        for (Prepared.Filled field : of.fields()) {
            double u = partsOf(field).budget().standardUncertainty();
            if (u > 0 && valueOf(field).orElse("") instanceof Double value) {
                double step = u / field.inCore();
                Optional<Double> up = moved(told, field, value + step);
                Optional<Double> down = moved(told, field, value - step);
                if (up.isPresent() && down.isPresent()) {
                    all.addAll(partsOf(field), told.unit().toCore(up.get() - down.get()) / (2 * u));
                }
            }
        }
        return all.budget();
    }

    private Optional<Double> moved(Prepared.Told told, Prepared.Filled moved, double value) {
        return form().put(moved.blank(), value)
                .input()
                .flatMap(of::work)
                .flatMap(answer -> told.at().numberIn(answer.figures().values()));
    }
}
