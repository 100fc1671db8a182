package app.galdrin.web.marking.internal;

import app.galdrin.core.marking.MarkLine;
import app.galdrin.web.marking.EvidenceText;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * First part of a feedback, and the parts of the rest that stand open.
 *
 * @param slip what went wrong first: what a slip explains before what more than a word is said of, and that before the rest; empty where
 *     nothing did
 * @param well what was right, by name
 * @param wrong the lines that lost marks or wait
 * @param right the others
 * @param drawn the measurements in which something was not right
 */
record FirstThings(
        Optional<EvidenceText> slip,
        List<String> well,
        List<LineView> wrong,
        List<LineView> right,
        List<Places> drawn) {

    static FirstThings of(List<LineView> lines, List<Places> places) {
        Predicate<LineView> isRight = l -> l.line().status() == MarkLine.Status.FULL;
        List<LineView> wrong = lines.stream().filter(isRight.negate()).toList();
        List<EvidenceText> texts = wrong.stream()
                .flatMap(l -> l.texts().stream())
                .filter(t -> t.right().isPresent() && !t.right().get())
                .toList();
        Set<String> steps = wrong.stream().map(l -> l.line().criterion().step()).collect(Collectors.toSet());
        List<LineView> right = lines.stream().filter(isRight).toList();
        return new FirstThings(
                texts.stream()
                        .filter(t -> !t.slips().isEmpty())
                        .findFirst()
                        .or(() ->
                                texts.stream().filter(t -> t.lines().size() > 1).findFirst())
                        .or(() -> texts.stream().findFirst()),
                right.stream().map(LineView::name).toList(),
                wrong,
                right,
                places.stream()
                        .filter(p -> p.slipped() || steps.contains(p.step()))
                        .toList());
    }
}
