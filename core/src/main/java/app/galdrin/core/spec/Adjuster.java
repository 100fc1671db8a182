package app.galdrin.core.spec;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import java.util.Arrays;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;

/**
 * A part that moves figures.
 *
 * @param where the wheel, axle or vehicle it belongs to
 * @param unit what its amount is counted in
 * @param most greatest amount either way, in its unit, positive
 * @param smallestStep least amount that can be set, in its unit, positive
 * @param effects what one unit the positive way does to each figure it moves
 * @param rereadAfter whether the figures have to be read again once it is tightened
 * @param fastener name of what is slackened before and tightened after; empty where the sheet does not say
 * @param spare by how much it can be lengthened from where it stood when its sheet was written, and still hold by as much thread as the maker asks,
 *     in its unit, 0 or more; empty where the sheet does not say
 */
public record Adjuster(
        Part part,
        Location where,
        AdjusterUnit unit,
        double most,
        double smallestStep,
        Map<FigureId, Effect> effects,
        boolean rereadAfter,
        Optional<String> fastener,
        OptionalDouble spare) {

    /** One whose fastener the sheet does not name. */
    public Adjuster(
            Part part,
            Location where,
            AdjusterUnit unit,
            double most,
            double smallestStep,
            Map<FigureId, Effect> effects,
            boolean rereadAfter) {
        this(part, where, unit, most, smallestStep, effects, rereadAfter, Optional.empty(), OptionalDouble.empty());
    }

    /**
     * Returns the same with thread to spare.
     *
     * @param turns in its unit, 0 or more
     */
    public Adjuster withSpare(double turns) {
        return new Adjuster(
                part, where, unit, most, smallestStep, effects, rereadAfter, fastener, OptionalDouble.of(turns));
    }

    /** Returns whether its parts are screwed into one another, so that it can be lengthened too far. */
    public static boolean isThreaded(Part part) {
        return part == Part.ROD || part == Part.SLEEVE;
    }

    /**
     * Effect on a figure of one unit the positive way.
     *
     * @param sign +1 or −1: the way the figure goes
     * @param perUnit change of the figure, rad or mm a unit, with the same sign; absent where only the way is known
     * @param doubt standard uncertainty of it, rad or mm a unit, 0 or more
     */
    public record Effect(int sign, OptionalDouble perUnit, double doubt) {
        /**
         * Rad or mm a unit, with its sign; its standard uncertainty, 0 or more, likewise.
         *
         * @param perUnit rad or mm a unit, with the sign of the figure
         * @param doubt standard uncertainty, rad or mm a unit, 0 or more
         */
        public static Effect of(double perUnit, double doubt) {
            return new Effect((int) Math.signum(perUnit), OptionalDouble.of(perUnit), doubt);
        }

        /** An effect of which only the way is known. */
        public static Effect way(int sign) {
            return new Effect(sign, OptionalDouble.empty(), 0);
        }
    }

    public Adjuster {
        // in the order of the figures: what is drawn or added along the effects comes out the same in every run
        effects = Collections.unmodifiableMap(new TreeMap<>(effects));
        if (!(most > 0) || !(smallestStep > 0)) {
            throw new IllegalArgumentException("adjuster " + part.key() + ": most (" + most + ") and smallestStep ("
                    + smallestStep + ") must be positive");
        }
    }

    /** Plans and rounds are kept by part. */
    @Override
    public int hashCode() {
        return 31 * part.ordinal() + where.ordinal();
    }

    /** The name in lines, documents and the database: {@code rod.front.left}. */
    public String id() {
        return IDS[part.ordinal()][where.ordinal()];
    }

    /** Every line of a plan is looked up by one of these: part by where. */
    private static final String[][] IDS = Arrays.stream(Part.values())
            .map(part -> Arrays.stream(Location.values())
                    .map(where -> where.key().isEmpty() ? part.key() : part.key() + "." + where.key())
                    .toArray(String[]::new))
            .toArray(String[][]::new);

    /** Returns what one unit the positive way does to a figure; empty where it does not move it. */
    public Optional<Effect> effectOn(FigureId figure) {
        return Optional.ofNullable(effects.get(figure));
    }

    /**
     * Returns what one unit the positive way does to a figure, also to a sum or difference of both wheels: rad or mm with its sign; ±1 where only the
     * way is known; 0 where it does nothing.
     */
    public double changePerUnit(FigureId figure) {
        return sum(figure, effect -> effect.perUnit().orElse(effect.sign()));
    }

    /** Returns the same as far as it is known, rad or mm with its sign; 0 where only the way is known. */
    public double knownChangePerUnit(FigureId figure) {
        return sum(figure, effect -> effect.perUnit().orElse(0));
    }

    /** Returns the standard uncertainty of {@link #knownChangePerUnit}, rad or mm a unit, 0 or more; both wheels' effects share no source. */
    public double doubtPerUnit(FigureId figure) {
        if (!figure.ofBothWheels()) {
            return effectOn(figure).map(Effect::doubt).orElse(0.0);
        }
        double variance = 0;
        for (Map.Entry<FigureId, Effect> effect : effects.entrySet()) {
            if (isPart(effect.getKey(), figure)) {
                variance += effect.getValue().doubt() * effect.getValue().doubt();
            }
        }
        return Math.sqrt(variance);
    }

    private static boolean isPart(FigureId wheel, FigureId ofBoth) {
        return wheel.measurand() == ofBoth.measurand().base() && wheel.axle().equals(ofBoth.axle());
    }

    private double sum(FigureId figure, ToDoubleFunction<Effect> oneUnit) {
        if (!figure.ofBothWheels()) {
            return effectOn(figure).map(oneUnit::applyAsDouble).orElse(0.0);
        }
        double sum = 0;
        for (Map.Entry<FigureId, Effect> effect : effects.entrySet()) {
            FigureId moved = effect.getKey();
            if (isPart(moved, figure)) {
                boolean left = moved.wheel().orElseThrow().left();
                sum += (left ? 1 : figure.measurand().form().rightFactor()) * oneUnit.applyAsDouble(effect.getValue());
            }
        }
        return sum;
    }

    /** Returns whether the data say how far it moves anything; else only its way is asked. */
    public boolean amountKnown() {
        for (Effect effect : effects.values()) {
            if (effect.perUnit().isPresent()) {
                return true;
            }
        }
        return false;
    }

    /** Returns whether it moves a figure of this adjustment. */
    public boolean moves(FigureId.Adjustment adjustment) {
        return effects.keySet().stream().anyMatch(adjustment::contains);
    }
}
