package app.galdrin.core.task;

import java.util.List;
import java.util.Optional;

/**
 * Marking scheme of a practical.
 *
 * @param criteria in the order of the work
 * @param slipKeepsPercent share of the working's marks kept where one known slip explains a wrong figure, 0 to 100
 * @param grades by where they begin, the lowest that is a pass first; none where nobody grades
 */
public record Scheme(List<Criterion> criteria, int slipKeepsPercent, List<Grade> grades) {

    /** Creates a scheme without grades. */
    public Scheme(List<Criterion> criteria, int slipKeepsPercent) {
        this(criteria, slipKeepsPercent, List.of());
    }

    public Scheme {
        criteria = List.copyOf(criteria);
        grades = List.copyOf(grades);
        if (slipKeepsPercent < 0 || slipKeepsPercent > 100) {
            throw new IllegalArgumentException("slipKeepsPercent (" + slipKeepsPercent + ") must be 0 to 100");
        }
    }

    /** Returns what a step is worth under an aspect. */
    public Optional<Criterion> criterion(Criterion.Id id) {
        return criteria.stream().filter(c -> c.id().equals(id)).findFirst();
    }

    /** Marks there are in all. */
    public int available() {
        return criteria.stream().mapToInt(Criterion::marks).sum();
    }
}
