package app.galdrin.core.spec;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityParser;
import app.galdrin.core.quantity.QuantityText;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.uncertainty.Estimate;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Predicate;

/**
 * The unit in which a sheet limits a figure, and so the place to which the figure is shown and judged there: converted and rounded once, so
 * that what is printed is what was judged.
 *
 * @param unit degrees to hundredths, whole minutes or tenths of a millimetre
 * @param over length over which an angle is given in millimetres, mm; 1 where nobody does
 */
public record SheetScale(AnswerUnit unit, double over) {

    private static final SheetScale DEGREES = new SheetScale(AnswerUnit.DEGREES, 1);

    /** Digits of what a conversion leaves behind the last that counts; a tie is one in every unit. */
    private static final int NOISE = 9;

    private static final double FINEST = Math.pow(10, -NOISE);

    /** The distance from a whole number within which noise makes no tie. */
    private static final double CLEAR = 0.499_999;

    /** A doubt is shown to one place more. */
    private static final double FINER = 10;

    private static final List<String> LIMITS = List.of("min", "preferred", "max", "tolerance", "difference");

    /** Returns the usual scale of a figure that is not on the sheet. */
    static SheetScale usual(FigureId figure) {
        return figure.measurand().quantity() == Quantity.LENGTH ? new SheetScale(AnswerUnit.MILLIMETRES, 1) : DEGREES;
    }

    /** Returns the scale as the maker prints it, from the cells of a line as they were typed. */
    static SheetScale of(SheetLine line) {
        if (line.measurand().quantity() == Quantity.LENGTH) {
            return new SheetScale(AnswerUnit.MILLIMETRES, 1);
        }
        OptionalDouble over = length(line.typed().getOrDefault("over", ""));
        if (over.isPresent() && typed(line, text -> !isAngle(text))) {
            return new SheetScale(AnswerUnit.MILLIMETRES, over.getAsDouble());
        }
        return typed(line, text -> text.matches(".*['\\u2032\\u2019].*"))
                ? new SheetScale(AnswerUnit.DEGREES_MINUTES, 1)
                : DEGREES;
    }

    private static boolean typed(SheetLine line, Predicate<String> as) {
        return LIMITS.stream()
                .map(cell -> line.typed().getOrDefault(cell, ""))
                .anyMatch(text -> !text.isEmpty() && as.test(text));
    }

    private static boolean isAngle(String text) {
        return QuantityParser.parse(text, Quantity.ANGLE, Unit.DEG) instanceof QuantityText.ParsedQuantity read
                && (text.contains("°") || text.contains("'") || read.unit() != Unit.DEG);
    }

    private static OptionalDouble length(String text) {
        return QuantityParser.parse(text, Quantity.LENGTH, Unit.MM) instanceof QuantityText.ParsedQuantity read
                        && read.value() > 0
                ? OptionalDouble.of(read.value())
                : OptionalDouble.empty();
    }

    /**
     * A figure as it is shown beside its limits.
     *
     * @param value in the unit, rounded to its place
     * @param expanded uncertainty U, rad or mm, to one place more
     */
    public record DisplayedFigure(AnswerUnit unit, double value, double expanded) {
        Estimate estimate() {
            return new Estimate(value, expanded / Judgement.K);
        }
    }

    /** A figure, rad or mm, as it is shown. */
    public DisplayedFigure shown(FigureId figure, Estimate value) {
        double there = unit.ofFigure(value.value(), figure, over);
        double beyond = unit.ofFigure(value.value() + Judgement.K * value.standardUncertainty(), figure, over);
        return new DisplayedFigure(unit, rounded(there, unit.step()), rounded(beyond - there, unit.step() / FINER));
    }

    /**
     * A value as it is shown, both rad or mm.
     *
     * @param value rad or mm
     */
    public double printed(FigureId figure, double value) {
        return unit.toFigure(rounded(unit.ofFigure(value, figure, over), unit.step()), figure, over);
    }

    /** Judges a figure, rad or mm, by its limits, rad or mm, as it is shown. */
    public Judgement judge(FigureId figure, Estimate value, Limits limits, DecisionRule rule) {
        var inUnit =
                new Limits(limit(figure, limits.min()), limit(figure, limits.preferred()), limit(figure, limits.max()));
        return Judgement.of(shown(figure, value).estimate(), inUnit, Judgement.K, rule);
    }

    /** A limit stands as it was typed. */
    private OptionalDouble limit(FigureId figure, OptionalDouble limit) {
        return limit.isEmpty()
                ? limit
                : OptionalDouble.of(rounded(unit.ofFigure(limit.getAsDouble(), figure, over), FINEST));
    }

    private static double rounded(double value, double step) {
        double plain = Math.rint(value / step);
        if (Math.abs(value / step - plain) < CLEAR) {
            return plain * step + 0.0; // nothing has no sign
        }
        BigDecimal steps = new BigDecimal(value / step).setScale(NOISE, RoundingMode.HALF_UP);
        return steps.setScale(0, RoundingMode.HALF_UP).doubleValue() * step;
    }
}
