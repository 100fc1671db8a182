package app.galdrin.core.simulated;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.procedure.Hands;
import app.galdrin.core.procedure.InstrumentSetup;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.OwnFigures;
import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Measure;
import app.galdrin.core.task.Practical;
import java.util.Map;
import java.util.function.Supplier;

/**
 * Simulated apprentice, with hands and a habit that the marker should recognise. What the apprentice reads comes from the procedures'
 * own forward models; the same hands read the same.
 */
public final class Apprentice {

    private final Assignment assignment;
    private final Pen pen;
    private final Supplier<Hands> hands;
    private final Sheet sheet;

    /** {@code hands} set everything up again each time they are asked for. */
    public Apprentice(Assignment assignment, Pen pen, Supplier<Hands> hands) {
        this.assignment = assignment;
        this.pen = pen;
        this.hands = hands;
        this.sheet = new Sheet(assignment);
    }

    /** Returns the task on its vehicle and in its bay. */
    public Assignment assignment() {
        return assignment;
    }

    /** Returns the task that is sat. */
    public Practical practical() {
        return assignment.practical();
    }

    /** Returns what everything is written with. */
    public Pen pen() {
        return pen;
    }

    Sheet sheet() {
        return sheet;
    }

    OwnFigures own() {
        return new OwnFigures(assignment, pen.answers());
    }

    /** Every place of some repeats of a measurement, written as it is read. */
    public void read(Measure measure, int round, Truth truth, int repeats) {
        measure.procedure().choices().forEach(c -> pen.write(new LineKey(measure.id(), c.id(), 0, round), c.usual()));
        InstrumentSetup laying =
                measure.procedure().lay(truth, measure.procedure().asUsual(assignment.standing()), hands.get());
        for (int repeat = 1; repeat <= repeats; repeat++) {
            write(measure, round, repeat, laying.read());
        }
    }

    /** Writes the readings of one repeat, mm or deg by place. */
    void write(Measure measure, int round, int repeat, Map<String, Double> read) {
        for (Place place : assignment.places(measure)) {
            if (place.eachRepeat() || repeat == 1) {
                var key = new LineKey(measure.id(), place.id(), place.eachRepeat() ? repeat : 0, round);
                pen.write(key, text(place.answer(), place.amount(), read.getOrDefault(place.id(), 0.0)));
            }
        }
    }

    /**
     * A reading as a person writes it: mm or deg.
     *
     * @param value mm or deg, with its sign
     */
    public static String text(AnswerType answer, Amount amount, double value) {
        boolean sized = answer instanceof SizeAndSense;
        double size = sized ? Math.abs(value) : value;
        boolean length = amount.quantity() == Quantity.LENGTH;
        Unit unit = length ? Unit.MM : Unit.DEG;
        String sign = amount.defaultUnit() == unit ? "" : length ? " mm" : "°";
        String figure = QuantityFormat.decimal(length ? size : Math.abs(size), length ? 1 : 2, false) + sign;
        return answer instanceof SizeAndSense s
                ? LineText.withSense(
                        figure, Sense.of(value, s.senses(), s.side()).key())
                : figure;
    }
}
