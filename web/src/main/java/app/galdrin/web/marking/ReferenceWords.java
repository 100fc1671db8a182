package app.galdrin.web.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.FigureValue;
import app.galdrin.core.reference.ReferencePart;
import app.galdrin.core.reference.ReferencePart.Kind;
import app.galdrin.core.spec.Judgement;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Says what a reference rests on. */
@Component
public class ReferenceWords {

    private final Words words;

    ReferenceWords(Words words) {
        this.words = words;
    }

    /** Says how many readings and moves a reference comes from, and how well it is known. */
    public String rests(List<ReferencePart> parts, FigureValue reference, FigureId figure) {
        List<String> kinds = new ArrayList<>();
        for (Kind kind : Kind.values()) {
            List<ReferencePart> such =
                    parts.stream().filter(part -> part.kind() == kind).toList();
            if (!such.isEmpty()) {
                String key = "evidence.rests." + kind.key();
                kinds.add(
                        such.size() == 1
                                ? words.text(key, expanded(such.get(0).doubt(), figure))
                                : words.text(key + ".several", such.size()));
            }
        }
        long far = parts.stream().filter(part -> part.share() < 1).count();
        String rests = words.text("evidence.rests", String.join(", ", kinds), expanded(reference.doubt(), figure));
        return far == 0 ? rests : rests + " " + words.text("evidence.rests.far", far);
    }

    /** Writes U of a standard uncertainty, rad or mm. */
    String expanded(double standard, FigureId figure) {
        return words.doubt(Judgement.K * standard, figure);
    }
}
