package app.galdrin.web.marking;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.marking.Evidence;
import app.galdrin.core.marking.ReadingEvidence;
import app.galdrin.core.marking.WorkingEvidence;
import app.galdrin.core.procedure.paper.PrintedFigures;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.web.words.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * The figures of the evidence that is said together, as they are printed: a total adds up from the wheels beside it.
 *
 * @param own the apprentice's readings, rad or mm
 * @param reference the reference's, rad or mm
 * @param honest what the apprentice's readings give by the taught working, deg or mm
 */
record PrintedTotals(Map<FigureId, Double> own, Map<FigureId, Double> reference, Map<FigureId, Double> honest) {

    static PrintedTotals of(List<Evidence> evidence, Words words) {
        return new PrintedTotals(
                printed(evidence, e -> e.own().value(), words),
                printed(evidence, e -> e.reference().value(), words),
                honest(evidence));
    }

    private static Map<FigureId, Double> printed(
            List<Evidence> evidence, Function<ReadingEvidence, Double> value, Words words) {
        Map<FigureId, Double> values = new LinkedHashMap<>();
        all(evidence, ReadingEvidence.class).forEach(e -> values.put(e.figure(), value.apply(e)));
        return PrintedFigures.of(values, words::printed);
    }

    double own(ReadingEvidence e) {
        return own.getOrDefault(e.figure(), e.own().value());
    }

    double reference(ReadingEvidence e) {
        return reference.getOrDefault(e.figure(), e.reference().value());
    }

    double honest(WorkingEvidence e) {
        return honest.getOrDefault(e.figure(), e.honest());
    }

    /** Returns the totals of angles as printed. A sum asked in millimetres has none: its two shares are angles over a length. */
    private static Map<FigureId, Double> honest(List<Evidence> evidence) {
        Map<FigureId, Double> honest = new LinkedHashMap<>();
        all(evidence, WorkingEvidence.class).stream()
                .collect(Collectors.groupingBy(WorkingEvidence::unit))
                .forEach((unit, worked) -> honest.putAll(honest(unit, worked)));
        return honest;
    }

    private static Map<FigureId, Double> honest(AnswerUnit unit, List<WorkingEvidence> worked) {
        Map<FigureId, Double> values = new LinkedHashMap<>();
        worked.forEach(e -> values.put(e.figure(), e.honest()));
        return unit.quantity() == Quantity.ANGLE
                ? PrintedFigures.of(values, (value, figure) -> Math.rint(value / unit.step()) * unit.step())
                : values;
    }

    private static <E extends Evidence> List<E> all(List<Evidence> evidence, Class<E> kind) {
        return evidence.stream().filter(kind::isInstance).map(kind::cast).toList();
    }
}
