package app.galdrin.web.baysheet.internal;

import app.galdrin.core.sitting.NetMoves;
import app.galdrin.core.sitting.NetMoves.Basis;
import app.galdrin.core.sitting.NetMoves.NetMove;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.words.PartWords;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Words for turning back what was moved on a vehicle. */
final class WayBackWords {

    private final Words words;
    private final StepWords names;
    private final PartWords parts;

    WayBackWords(Words words, StepWords names) {
        this.words = words;
        this.names = names;
        this.parts = new PartWords(words);
    }

    /** Returns a sentence for each part that has to be turned back, with what to slacken and tighten; one sentence where none has. */
    List<String> of(NetMoves since, SpecificationSheet sheet) {
        List<String> sentences = new ArrayList<>();
        since.moved().forEach(move -> sentences.add(of(move, sheet)));
        if (!since.isComplete()) {
            sentences.add(words.text("task.wayBack.missing"));
        } else if (sentences.isEmpty()) {
            sentences.add(words.text("task.wayBack.none"));
        }
        return sentences;
    }

    private String of(NetMove move, SpecificationSheet sheet) {
        String name = names.adjuster(move.part().id());
        if (move.basis() == Basis.UNKNOWN) {
            return words.text("task.wayBack.unknown", name);
        }
        String way = words.text("way." + move.wayBack().key());
        String amount = move.basis() == Basis.DIRECTION
                ? way
                : words.text(
                        "move",
                        way,
                        words.turns(move.amount()),
                        words.text("adjusterUnit." + move.part().unit().key()));
        return words.text(
                "task.wayBack." + move.basis().name().toLowerCase(Locale.ROOT),
                name,
                amount,
                String.join(" ", parts.steps(sheet, move.part())));
    }
}
