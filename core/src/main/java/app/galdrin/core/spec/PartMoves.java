package app.galdrin.core.spec;

import app.galdrin.core.figure.FigureId;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Moves of parts and what they do to the figures of a vehicle. Effects add.
 *
 * @param units amount by part, in the unit of the part, positive the way that counts as positive
 */
public record PartMoves(Map<Adjuster, Double> units) {

    public PartMoves {
        units = Collections.unmodifiableMap(new LinkedHashMap<>(units));
    }

    /**
     * Returns what moves do to a figure, rad or mm with its sign; a part of which only the way is known counts ±1 a unit.
     *
     * @param units amount by part, in the unit of the part, with its sign
     */
    public static double change(Map<Adjuster, Double> units, FigureId figure) {
        double sum = 0;
        for (Map.Entry<Adjuster, Double> move : units.entrySet()) {
            sum += move.getKey().changePerUnit(figure) * move.getValue();
        }
        return sum;
    }

    /**
     * Returns the same as far as it is known, rad or mm with its sign.
     *
     * @param units amount by part, in the unit of the part, with its sign
     */
    public static double knownChange(Map<Adjuster, Double> units, FigureId figure) {
        double sum = 0;
        for (Map.Entry<Adjuster, Double> move : units.entrySet()) {
            sum += move.getKey().knownChangePerUnit(figure) * move.getValue();
        }
        return sum;
    }

    /** Returns what they do to a figure as far as it is known, rad or mm with its sign. */
    public double change(FigureId figure) {
        return knownChange(units, figure);
    }

    /**
     * Returns the standard uncertainty of a change, rad or mm, 0 or more: each part's effect is known to a share, and each part is set to the
     * nearest step.
     */
    public double doubt(FigureId figure) {
        double variance = 0;
        for (Map.Entry<Adjuster, Double> move : units.entrySet()) {
            if (move.getValue() != 0) {
                variance += Math.pow(move.getKey().doubtPerUnit(figure) * move.getValue(), 2)
                        + Math.pow(PartDoubt.ofOneMove(move.getKey()).in(figure), 2);
            }
        }
        return Math.sqrt(variance);
    }

    /** Returns the same moves the other way round. */
    public PartMoves back() {
        Map<Adjuster, Double> back = new LinkedHashMap<>(units);
        back.replaceAll((part, amount) -> 0 - amount);
        return new PartMoves(back);
    }
}
