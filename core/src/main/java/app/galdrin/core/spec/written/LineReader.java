package app.galdrin.core.spec.written;

import app.galdrin.core.figure.AnswerUnit;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Location.Extent;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityParser;
import app.galdrin.core.quantity.QuantityText;
import app.galdrin.core.quantity.TextFault;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.SheetLine;
import app.galdrin.core.spec.SideDifference;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;

/**
 * Reads the row of one figure. Its limits are two of least, preferred and greatest, or a preferred with its tolerance; an angle may be
 * written in millimetres over a length.
 */
final class LineReader {

    private static final List<Cell> FIGURES =
            List.of(Cell.MIN, Cell.PREFERRED, Cell.MAX, Cell.TOLERANCE, Cell.DIFFERENCE, Cell.INTENDED);
    private static final List<Cell> TYPED = List.of(
            Cell.MIN, Cell.PREFERRED, Cell.MAX, Cell.TOLERANCE, Cell.OVER, Cell.OF, Cell.DIFFERENCE, Cell.INTENDED);
    private static final List<Measurand> IN_MILLIMETRES = List.of(Measurand.TOE, Measurand.TOTAL_TOE, Measurand.CAMBER);
    private static final double MOST_LENGTH = 300;
    private static final double MOST_ANGLE = 60;
    private static final double MOST_TOE = 10;
    /** Measurands that nobody sets and most makers print without a tolerance: they are known, and not judged. */
    private static final Set<Measurand> WITHOUT_TOLERANCE = EnumSet.of(Measurand.KPI, Measurand.INCLUDED_ANGLE);

    private static final double LEAST_INNER = 5;
    private static final double MOST_INNER = 50;
    private static final double SHORTEST = 100;
    private static final double LONGEST = 12000;

    private final Cells c;
    private final Map<Cell, Double> written = new EnumMap<>(Cell.class);
    private final Map<Cell, Quantity> quantities = new EnumMap<>(Cell.class);

    LineReader(Cells cells) {
        c = cells;
    }

    /** The line; empty, with its faults, where it is not known which figure it is. */
    Optional<SheetLine> read() {
        Optional<Measurand> measurand = c.neededWord(Cell.FIGURE, Measurand.values());
        Optional<Axle> axle = c.word(Cell.AXLE, Axle.values());
        Adjustable adjustable = adjustable(measurand);
        if (measurand.isEmpty() || !placed(measurand.get(), axle)) {
            return Optional.empty();
        }
        FIGURES.forEach(cell -> figure(cell, measurand.get()));
        Optional<Double> over = over(measurand.get());
        return Optional.of(new SheetLine(
                axle,
                measurand.get(),
                limits(measurand.get(), axle, over),
                difference(measurand.get(), axle, over),
                adjustable,
                innerAngle(measurand.get()),
                isAlone()
                        ? inCore(written, Cell.PREFERRED, figure(measurand.get(), axle), over)
                        : OptionalDouble.empty(),
                typed()));
    }

    /** Whole degrees; empty where the turn-out is given at the locks. */
    private OptionalInt innerAngle(Measurand measurand) {
        if (c.has(Cell.INNER_ANGLE) && measurand != Measurand.TURN_OUT) {
            c.fault(Cell.INNER_ANGLE, SheetFaultCode.NO_INNER_ANGLE);
            return OptionalInt.empty();
        }
        OptionalDouble angle = c.quantity(Cell.INNER_ANGLE, Unit.DEG, LEAST_INNER, MOST_INNER);
        if (angle.isPresent() && angle.getAsDouble() != Math.rint(angle.getAsDouble())) {
            c.malformed(Cell.INNER_ANGLE, TextFault.LEFT_OVER);
            return OptionalInt.empty();
        }
        return angle.isPresent() ? OptionalInt.of((int) angle.getAsDouble()) : OptionalInt.empty();
    }

    private Adjustable adjustable(Optional<Measurand> measurand) {
        Adjustable adjustable = c.word(Cell.ADJUSTABLE, Adjustable.values()).orElse(Adjustable.NO);
        if (adjustable != Adjustable.NO && measurand.filter(Measurand::isScreen).isPresent()) {
            c.fault(Cell.ADJUSTABLE, SheetFaultCode.ONLY_A_SCREEN);
        }
        return adjustable;
    }

    private boolean placed(Measurand measurand, Optional<Axle> axle) {
        if (measurand.form() == Measurand.Form.DIFFERENCE) {
            c.fault(Cell.FIGURE, SheetFaultCode.DIFFERENCE_OF, measurand.base().key());
            return false;
        }
        if ((measurand.extent() == Extent.VEHICLE) == axle.isPresent()) {
            c.fault(Cell.AXLE, SheetFaultCode.WRONG_AXLE);
            return false;
        }
        return true;
    }

    private void figure(Cell cell, Measurand measurand) {
        if (!c.has(cell)) {
            return;
        }
        Quantity own = measurand.quantity();
        QuantityText read = parse(cell, own);
        if (own == Quantity.ANGLE && read instanceof QuantityText.Rejection r && r.reason() == TextFault.WRONG_UNIT) {
            read = parse(cell, Quantity.LENGTH);
            own = Quantity.LENGTH;
        }
        if (read instanceof QuantityText.Rejection r) {
            c.malformed(cell, r.reason());
            return;
        }
        double value = ((QuantityText.ParsedQuantity) read).value();
        boolean size = cell == Cell.TOLERANCE || cell == Cell.DIFFERENCE;
        double most = own == Quantity.LENGTH ? MOST_LENGTH : measurand.base() == Measurand.TOE ? MOST_TOE : MOST_ANGLE;
        if (c.inRange(cell, value, size ? 0 : -most, most, unit(own).key()).isPresent()) {
            written.put(cell, value);
            quantities.put(cell, own);
        }
    }

    private QuantityText parse(Cell cell, Quantity quantity) {
        return QuantityParser.parse(c.text(cell), quantity, unit(quantity));
    }

    private static Unit unit(Quantity quantity) {
        return quantity == Quantity.LENGTH ? Unit.MM : Unit.DEG;
    }

    /** The length that an angle written in millimetres is over, mm; empty where it is written as itself. */
    private Optional<Double> over(Measurand measurand) {
        boolean asLength = measurand.quantity() == Quantity.ANGLE && quantities.containsValue(Quantity.LENGTH);
        if (!asLength) {
            notNeeded(Cell.OVER);
            notNeeded(Cell.OF);
            return Optional.empty();
        }
        if (quantities.containsValue(Quantity.ANGLE)) {
            c.fault(first(Quantity.LENGTH), SheetFaultCode.MIXED_UNITS);
            return Optional.empty();
        }
        if (!IN_MILLIMETRES.contains(measurand)) {
            c.fault(first(Quantity.LENGTH), SheetFaultCode.NEVER_A_LENGTH);
            return Optional.empty();
        }
        share(measurand);
        if (!c.has(Cell.OVER)) {
            c.fault(Cell.OVER, SheetFaultCode.NEEDS_LENGTH);
        }
        OptionalDouble over = c.quantity(Cell.OVER, Unit.MM, SHORTEST, LONGEST);
        if (over.isEmpty()) {
            return Optional.empty();
        }
        double most = Math.floor(over.getAsDouble() * Math.sin(Math.toRadians(MOST_TOE)));
        written.forEach((cell, value) -> c.inRange(cell, value, -most, most, Unit.MM.key()));
        return Optional.of(over.getAsDouble());
    }

    private void notNeeded(Cell cell) {
        if (c.has(cell)) {
            c.fault(cell, SheetFaultCode.NOT_IN_MILLIMETRES);
        }
    }

    private Cell first(Quantity quantity) {
        return FIGURES.stream()
                .filter(cell -> quantities.get(cell) == quantity)
                .findFirst()
                .orElse(Cell.MIN);
    }

    /** Millimetres of toe are of both wheels or of each, and say so; each has a line of its own. */
    private void share(Measurand measurand) {
        boolean total = measurand == Measurand.TOTAL_TOE;
        if (!c.has(Cell.OF) && measurand.base() == Measurand.TOE) {
            c.fault(Cell.OF, SheetFaultCode.NEEDS_OF);
        }
        c.word(Cell.OF, Share.values()).ifPresent(share -> {
            if ((share == Share.TOTAL) != total) {
                c.fault(Cell.OF, total ? SheetFaultCode.BELONGS_TO_EACH : SheetFaultCode.BELONGS_TO_TOTAL);
            }
        });
    }

    private Optional<Limits> limits(Measurand measurand, Optional<Axle> axle, Optional<Double> over) {
        Map<Cell, Double> set = new HashMap<>(written);
        if (c.has(Cell.TOLERANCE)) {
            if (c.has(Cell.MIN) || c.has(Cell.MAX)) {
                c.fault(Cell.TOLERANCE, SheetFaultCode.TOLERANCE_AND_LIMITS);
            } else if (!c.has(Cell.PREFERRED)) {
                c.fault(Cell.PREFERRED, SheetFaultCode.NO_PREFERRED);
            } else if (set.containsKey(Cell.PREFERRED) && set.containsKey(Cell.TOLERANCE)) {
                set.put(Cell.MIN, set.get(Cell.PREFERRED) - set.get(Cell.TOLERANCE));
                set.put(Cell.MAX, set.get(Cell.PREFERRED) + set.get(Cell.TOLERANCE));
            }
        } else if (isAlone() && !WITHOUT_TOLERANCE.contains(measurand)) {
            c.fault(Cell.PREFERRED, SheetFaultCode.NO_LIMITS);
        }
        double min = set.getOrDefault(Cell.MIN, Double.NEGATIVE_INFINITY);
        double max = set.getOrDefault(Cell.MAX, Double.POSITIVE_INFINITY);
        double preferred = set.getOrDefault(Cell.PREFERRED, Math.max(min, Math.min(max, 0)));
        if (min > max) {
            c.fault(Cell.MAX, SheetFaultCode.WRONG_WAY_ROUND, c.text(Cell.MIN));
            return Optional.empty();
        }
        if (preferred < min || preferred > max) {
            c.fault(Cell.PREFERRED, SheetFaultCode.OUTSIDE_LIMITS);
            return Optional.empty();
        }
        if (!set.containsKey(Cell.MIN) && !set.containsKey(Cell.MAX)) {
            return Optional.empty();
        }
        FigureId figure = figure(measurand, axle);
        return Optional.of(new Limits(
                inCore(set, Cell.MIN, figure, over),
                inCore(set, Cell.PREFERRED, figure, over),
                inCore(set, Cell.MAX, figure, over)));
    }

    /** Returns whether a value to set stands there with nothing to judge it by. */
    private boolean isAlone() {
        return c.has(Cell.PREFERRED) && !c.has(Cell.MIN) && !c.has(Cell.MAX) && !c.has(Cell.TOLERANCE);
    }

    private Optional<SideDifference> difference(Measurand measurand, Optional<Axle> axle, Optional<Double> over) {
        if (measurand.extent() != Extent.WHEEL) {
            noDifference(Cell.DIFFERENCE);
            noDifference(Cell.INTENDED);
            return Optional.empty();
        }
        if (c.has(Cell.INTENDED) && !c.has(Cell.DIFFERENCE)) {
            c.fault(Cell.DIFFERENCE, SheetFaultCode.MISSING);
        }
        FigureId figure = figure(measurand, axle);
        OptionalDouble most = inCore(written, Cell.DIFFERENCE, figure, over);
        return most.isPresent()
                ? Optional.of(new SideDifference(
                        inCore(written, Cell.INTENDED, figure, over).orElse(0), most.getAsDouble()))
                : Optional.empty();
    }

    private void noDifference(Cell cell) {
        if (c.has(cell)) {
            c.fault(cell, SheetFaultCode.NO_DIFFERENCE);
        }
    }

    private static FigureId figure(Measurand measurand, Optional<Axle> axle) {
        return switch (measurand.extent()) {
            case VEHICLE -> FigureId.of(measurand, Location.VEHICLE);
            case AXLE -> FigureId.of(measurand, axle.orElseThrow());
            case WHEEL -> FigureId.of(measurand, Wheel.of(axle.orElseThrow(), Side.LEFT));
        };
    }

    /** Rad or mm. */
    private static OptionalDouble inCore(Map<Cell, Double> set, Cell cell, FigureId figure, Optional<Double> over) {
        Double value = set.get(cell);
        if (value == null) {
            return OptionalDouble.empty();
        }
        AnswerUnit unit = over.isPresent() ? AnswerUnit.MILLIMETRES : AnswerUnit.DEGREES;
        return OptionalDouble.of(unit.toFigure(value, figure, over.orElse(1.0)));
    }

    private Map<String, String> typed() {
        Map<String, String> typed = new HashMap<>();
        TYPED.stream().filter(c::has).forEach(cell -> typed.put(cell.key(), c.text(cell)));
        return typed;
    }
}
