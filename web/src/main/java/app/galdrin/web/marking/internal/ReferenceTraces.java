package app.galdrin.web.marking.internal;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.reference.ReferencePart;
import app.galdrin.core.reference.ReferencePart.Kind;
import app.galdrin.core.spec.Judgement;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.NotThere;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Traces of references: whose readings each figure of a mark sheet was compared with, so that a mark can be worked again by hand. */
@Component
class ReferenceTraces {

    private final Sittings sittings;
    private final Words words;

    ReferenceTraces(Sittings sittings, Words words) {
        this.sittings = sittings;
        this.words = words;
    }

    /**
     * Part of a reference.
     *
     * @param sheet id of the sheet with the reading; empty for moves
     */
    record TracePart(String sheet, String who, String value, String share) {}

    /** Parts of the reference of one figure, of one step. */
    record TracedFigure(String name, List<TracePart> parts) {}

    List<TracedFigure> of(SignedIn me, MarkSheet sheet) {
        List<TracedFigure> traced = new ArrayList<>();
        Map<String, String> names = new HashMap<>();
        sheet.lines().stream().flatMap(line -> line.evidence().stream()).forEach(e -> {
            if (e instanceof ReadingEvidence reading && !reading.parts().isEmpty()) {
                traced.add(traced(me, reading.figure(), reading.parts(), names));
            } else if (e instanceof Evidence.AsLeft left && !left.parts().isEmpty()) {
                traced.add(traced(me, left.figure(), left.parts(), names));
            }
        });
        return traced;
    }

    private TracedFigure traced(SignedIn me, FigureId figure, List<ReferencePart> parts, Map<String, String> names) {
        return new TracedFigure(
                words.name(figure),
                parts.stream()
                        .map(part -> new TracePart(
                                part.kind() == Kind.MOVE ? "" : part.source(),
                                part.kind() == Kind.MOVE
                                        ? words.text("desk.rests.move")
                                        : names.computeIfAbsent(part.source(), id -> name(me, id)),
                                words.figure(part.value(), figure) + " ±"
                                        + words.doubt(Judgement.K * part.doubt(), figure),
                                part.share() < 1
                                        ? words.text("desk.rests.share.part", Math.round(100 * part.share()))
                                        : words.text("desk.rests.share.full")))
                        .toList());
    }

    private String name(SignedIn me, String sheet) {
        try {
            return sittings.sitting(me, UUID.fromString(sheet)).names();
        } catch (NotThere e) {
            return words.text("desk.rests.gone");
        }
    }
}
