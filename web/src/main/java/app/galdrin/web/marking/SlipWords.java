package app.galdrin.web.marking;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.marking.Drills;
import app.galdrin.core.procedure.PlaceId;
import app.galdrin.core.procedure.Procedures;
import app.galdrin.core.procedure.slip.SenseSlips;
import app.galdrin.web.words.Words;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Slips by name, with why each is one and what is practised against it. */
@Component
final class SlipWords {

    private final Words words;

    SlipWords(Words words) {
        this.words = words;
    }

    String name(String slip) {
        return words.text("slip." + slip);
    }

    /** Sets of slips, any of which explains a figure; each set is all that has to come together. */
    List<EvidenceText.SlipText> all(List<Set<String>> slips, FigureId figure) {
        Measurand measurand = figure.measurand();
        return all(slips, "." + (figure.ofBothWheels() ? measurand.base() : measurand).key());
    }

    /** The same where the slip was made at some places alone, which are named. */
    List<EvidenceText.SlipText> all(List<Set<String>> slips, FigureId figure, List<PlaceId> places) {
        return places.isEmpty() || !slips.equals(List.of(Set.of(SenseSlips.WRONG_SENSE)))
                ? all(slips, figure)
                : all(slips, figure).stream()
                        .map(slipped -> slipped.named(words.text("slip.wrongSense.at", named(places))))
                        .toList();
    }

    private String named(List<PlaceId> places) {
        return places.stream()
                .map(id -> Procedures.named(id.procedure()).orElseThrow().place(id.place()))
                .map(place -> words.text(place.words(), words.text(place.wheelWords())))
                .collect(Collectors.joining(", "));
    }

    /** The same where no figure is known. */
    List<EvidenceText.SlipText> all(List<Set<String>> slips) {
        return all(slips, "");
    }

    private List<EvidenceText.SlipText> all(List<Set<String>> slips, String figure) {
        return slips.stream().map(together -> together(together, figure)).toList();
    }

    /** Returns why it is one, said of the measurand where that has words of its own. */
    private String why(String slip, String figure) {
        String why = "slip." + slip + ".why";
        return words.textOr(why + figure, why);
    }

    private EvidenceText.SlipText together(Set<String> slips, String figure) {
        List<String> keys = slips.stream().sorted().toList();
        return new EvidenceText.SlipText(
                keys.stream().map(this::name).collect(Collectors.joining(" " + words.text("and") + " ")),
                keys.stream().map(key -> why(key, figure)).toList(),
                keys.stream()
                        .flatMap(key -> Drills.against(key).stream())
                        .map(drill -> words.text("drill." + drill.key()))
                        .distinct()
                        .collect(Collectors.joining("; ")));
    }

    /** The names alone, in one line. */
    String names(List<Set<String>> slips) {
        return all(slips).stream().map(EvidenceText.SlipText::name).collect(Collectors.joining("; "));
    }
}
