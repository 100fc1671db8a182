package app.galdrin.core.draft;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.task.Band;
import app.galdrin.core.task.Criterion;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.Scheme;
import app.galdrin.core.task.SchemeDefaults;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Edits the marks of a task, and has them follow its steps. */
final class SchemeEditor {

    private SchemeEditor() {}

    static Scheme marks(Scheme scheme, String key, String typed) throws FieldRefusal {
        int marks = FieldText.whole(typed, 0, Criterion.MOST_MARKS);
        return changed(scheme, key, c -> new Criterion(c.id(), marks, c.mustPass(), c.bands()));
    }

    static Scheme mustPass(Scheme scheme, String key, String typed) {
        return changed(scheme, key, c -> new Criterion(c.id(), c.marks(), FieldText.isTicked(typed), c.bands()));
    }

    private static Scheme changed(Scheme scheme, String key, UnaryOperator<Criterion> change) {
        return with(
                scheme,
                scheme.criteria().stream()
                        .map(c -> c.id().key().equals(key) ? change.apply(c) : c)
                        .toList());
    }

    private static Scheme with(Scheme scheme, List<Criterion> criteria) {
        return new Scheme(criteria, scheme.slipKeepsPercent(), scheme.grades());
    }

    /**
     * Changes the band of one figure of a criterion.
     *
     * @param name key of the criterion, a dot, key of the figure
     * @param typed the usual one where it is empty
     */
    static Scheme band(Practical practical, SpecificationSheet sheet, String name, String typed) throws FieldRefusal {
        for (Criterion criterion : practical.scheme().criteria()) {
            for (Map.Entry<FigureId, Band> standing : criterion.bands().entrySet()) {
                FigureId figure = standing.getKey();
                if (name.equals(criterion.id().key() + "." + figure.key())) {
                    Band band = typed.isEmpty()
                            ? usual(practical, sheet, criterion.id(), figure).orElse(standing.getValue())
                            : read(figure, typed);
                    Map<FigureId, Band> bands = new LinkedHashMap<>(criterion.bands());
                    bands.put(figure, band);
                    return changed(
                            practical.scheme(),
                            criterion.id().key(),
                            c -> new Criterion(c.id(), c.marks(), c.mustPass(), bands));
                }
            }
        }
        return practical.scheme();
    }

    private static Optional<Band> usual(
            Practical practical, SpecificationSheet sheet, Criterion.Id criterion, FigureId figure) {
        return SchemeDefaults.of(practical, sheet).criterion(criterion).flatMap(c -> c.band(figure));
    }

    private static Band read(FigureId figure, String typed) throws FieldRefusal {
        Quantity quantity = figure.measurand().quantity();
        var text = new BandText(quantity);
        return text.read(typed)
                .orElseThrow(() -> new FieldRefusal(
                        "bench.band." + quantity.key(), typed, text.narrowest(), text.widest(), Band.MOST_STEPS));
    }

    /**
     * Returns the scheme of other steps: what stood as it is usual stays usual, what was chosen stays as it was chosen.
     *
     * @param usualBefore the usual scheme of the steps before
     * @param usual that of the steps now
     */
    static Scheme following(Scheme scheme, Scheme usualBefore, Scheme usual) {
        List<Criterion> criteria = new ArrayList<>();
        for (Criterion one : usual.criteria()) {
            Optional<Criterion> now = scheme.criterion(one.id());
            Optional<Criterion> before = usualBefore.criterion(one.id());
            if (now.isPresent()) {
                criteria.add(before.map(b -> following(now.get(), b, one)).orElse(now.get()));
            } else if (before.isEmpty()) {
                criteria.add(one);
            }
        }
        return with(scheme, criteria);
    }

    private static Criterion following(Criterion now, Criterion before, Criterion usual) {
        Map<FigureId, Band> bands = new LinkedHashMap<>();
        usual.bands().forEach((figure, band) -> {
            Optional<Band> chosen = now.band(figure)
                    .filter(b -> before.band(figure).filter(b::isAlike).isEmpty());
            bands.put(figure, chosen.orElse(band));
        });
        return new Criterion(
                now.id(),
                now.marks() == before.marks() ? usual.marks() : now.marks(),
                now.mustPass() == before.mustPass() ? usual.mustPass() : now.mustPass(),
                bands);
    }
}
