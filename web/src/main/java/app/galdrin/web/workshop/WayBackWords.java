package app.galdrin.web.workshop;

import app.galdrin.core.sitting.NetMoves;
import app.galdrin.core.sitting.NetMoves.Basis;
import app.galdrin.core.sitting.NetMoves.NetMove;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.web.bay.PartMove;
import app.galdrin.web.words.PartWords;
import app.galdrin.web.words.StepWords;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

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

    /** Returns a sentence for each part that has to be turned back, with what to slacken and tighten. */
    List<VehicleCard.PartBack> parts(NetMoves since, SpecificationSheet sheet) {
        return since.moved().stream()
                .map(move -> new VehicleCard.PartBack(move.part().id(), of(move, sheet)))
                .toList();
    }

    /** Returns what else there is to say: that a sheet is silent, or that nothing has to be turned back. */
    Optional<String> note(NetMoves since) {
        if (!since.isComplete()) {
            return Optional.of(words.text("vehicle.wayBack.missing"));
        }
        return since.moved().isEmpty() ? Optional.of(words.text("vehicle.wayBack.none")) : Optional.empty();
    }

    private String of(NetMove move, SpecificationSheet sheet) {
        String name = names.adjuster(move.part().id());
        if (move.basis() == Basis.UNKNOWN) {
            return words.text("vehicle.wayBack.unknown", name);
        }
        String back = move.basis() == Basis.DIRECTION
                ? words.text("way." + move.wayBack().key())
                : parts.move(move.part(), -move.amount());
        return words.text(
                "vehicle.wayBack." + move.basis().name().toLowerCase(Locale.ROOT),
                name,
                back,
                String.join(" ", parts.steps(sheet, move.part())));
    }

    /** Returns a sentence for each part that was moved for a setting. */
    List<String> turned(List<PartMove> moves, SpecificationSheet sheet) {
        List<String> sentences = new ArrayList<>();
        for (Adjuster part : sheet.adjusters()) {
            for (PartMove move : moves) {
                if (move.amount() != null && move.part().equals(part.id())) {
                    sentences.add(
                            words.text("vehicle.turned", names.adjuster(part.id()), parts.move(part, move.amount())));
                }
            }
        }
        return sentences;
    }
}
