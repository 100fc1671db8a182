package app.galdrin.web.baysheet.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.procedure.MeasuringContext;
import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Source;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Part;
import app.galdrin.core.task.Measure;
import app.galdrin.web.baysheet.WrittenSheet;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Facts of the vehicle and the bay that a working on paper needs. */
final class Facts {

    private final MeasuringContext standing;
    private final Words words;

    Facts(WrittenSheet written) {
        this.standing = written.assignment().standing();
        this.words = written.words();
    }

    /**
     * Returns what the taught working of a procedure takes as known; what has no words of its own is asked of nobody on paper.
     *
     * @param found with the figures that steps before came to
     */
    List<WorkView.GivenDatum> of(Measure measure, MeasuringContext found) {
        Procedure procedure = measure.procedure();
        List<WorkView.GivenDatum> given = new ArrayList<>();
        procedure
                .baseline()
                .apply(standing)
                .ifPresent(b -> given.add(fact("baseline." + procedure.key(), words.length(b))));
        for (Source.KnownBeforehand known : procedure.given(measure.taught(), measure.figures())) {
            known.known(found).flatMap(v -> said(known, v)).ifPresent(given::add);
        }
        return given;
    }

    private WorkView.GivenDatum fact(String label, String value) {
        return new WorkView.GivenDatum(words.text(label), value);
    }

    private Optional<WorkView.GivenDatum> said(Source.KnownBeforehand known, double value) {
        if (known instanceof Source.EarlierFigure own) {
            FigureId figure = own.figure();
            String label = words.text("given.own", words.name(figure));
            return Optional.of(
                    new WorkView.GivenDatum(label, words.figure(known.unit().toCore(value), figure)));
        }
        String label = "given." + known.key();
        return words.has(label) ? Optional.of(fact(label, size(known, value))) : Optional.empty();
    }

    /** A length, or an angle whose way is said in words. */
    private String size(Source.KnownBeforehand known, double value) {
        if (known.unit().quantity() == Quantity.LENGTH) {
            return words.length(value);
        }
        String size = words.angleSize(known.unit().toCore(value));
        String way = size.equals(words.angleSize(0)) ? "level" : value > 0 ? "positive" : "negative";
        return words.text("given." + known.key() + "." + way, size);
    }

    /** Returns what a rod's turns are worked from; empty where no rod is turned. */
    List<WorkView.GivenDatum> ofRods(List<Adjuster> adjusters) {
        if (adjusters.stream().noneMatch(a -> a.part() == Part.ROD)) {
            return List.of();
        }
        var g = standing.sheet().geometry();
        return List.of(
                fact("given.linkage", words.text("linkage." + g.linkage().key())),
                fact("given.lead", lengthOf(g.lead())),
                fact("given.armLength", lengthOf(g.armLength())));
    }

    private String lengthOf(OptionalDouble known) {
        return known.isPresent() ? words.length(known.getAsDouble()) : words.text("given.unknown");
    }
}
