package app.galdrin.web.baysheet.internal;

import app.galdrin.core.procedure.Procedure;
import app.galdrin.core.procedure.Source;
import app.galdrin.core.procedure.Standing;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Part;
import app.galdrin.web.layout.Words;
import java.util.ArrayList;
import java.util.List;

/** What is known of the vehicle and the bay and has to stand beside a working, so that it can be done on paper. */
final class Facts {

    private final Standing standing;
    private final Words words;

    Facts(Standing standing, Words words) {
        this.standing = standing;
        this.words = words;
    }

    /** What the taught working of a procedure takes as known; what has no words of its own is asked of nobody on paper. */
    List<WorkView.Given> of(Procedure procedure, String taught) {
        List<WorkView.Given> given = new ArrayList<>();
        procedure
                .baseline()
                .apply(standing)
                .ifPresent(b -> given.add(new WorkView.Given("baseline." + procedure.key(), words.length(b))));
        procedure.given(taught).stream()
                .filter(known -> words.has("given." + known.key()))
                .forEach(known -> known.known(standing)
                        .ifPresent(v -> given.add(new WorkView.Given("given." + known.key(), said(known, v)))));
        return given;
    }

    /** A length, or an angle whose way is said in words. */
    private String said(Source.Given known, double value) {
        if (known.unit().quantity() == Quantity.LENGTH) {
            return words.length(value);
        }
        String size = words.angleSize(known.unit().toCore(value));
        String way = size.equals(words.angleSize(0)) ? "level" : value > 0 ? "positive" : "negative";
        return words.text("given." + known.key() + "." + way, size);
    }

    /** What a rod's turns are worked from; empty where no rod is turned. */
    List<WorkView.Given> ofRods(List<Adjuster> adjusters) {
        if (adjusters.stream().noneMatch(a -> a.part() == Part.ROD)) {
            return List.of();
        }
        var g = standing.sheet().geometry();
        return List.of(
                new WorkView.Given(
                        "given.linkage", words.text("linkage." + g.linkage().key())),
                new WorkView.Given("given.lead", words.length(g.lead())),
                new WorkView.Given("given.armLength", words.length(g.armLength())));
    }
}
