package app.galdrin.core.procedure;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.CatalogueInstrument.Surface;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import java.util.List;
import java.util.Optional;

/**
 * A place on the vehicle where a reading is taken.
 *
 * @param id its line on the sheet, unlike any other of its procedure
 * @param wheel the wheel it is at, if it is at one
 * @param end which end of that wheel, or of the vehicle
 * @param reading what is read there: names its words and groups the sources of doubt
 * @param answer what is written
 * @param instrument what it is read with
 * @param surface what it is read from
 * @param eachRepeat whether it is read anew in every repeat, or once for the set-up
 * @param compared whether it is compared with the same reading at the other end
 */
public record Place(
        String id,
        Optional<Wheel> wheel,
        Optional<End> end,
        String reading,
        AnswerType answer,
        CatalogueInstrument instrument,
        Surface surface,
        boolean eachRepeat,
        boolean compared) {

    private static final double WIDEST_GAP = 1000;

    /** A length across or along the vehicle, mm. */
    static Place length(String id, End end, String reading, double least, double most, CatalogueInstrument with) {
        var answer = new Amount(Quantity.LENGTH, Unit.MM, least, most);
        return new Place(id, Optional.empty(), Optional.of(end), reading, answer, with, Surface.RIM, true, false);
    }

    /** A gap at a wheel, mm. */
    static Place gap(String id, Wheel wheel, End end, String reading) {
        var answer = new Amount(Quantity.LENGTH, Unit.MM, 0, WIDEST_GAP);
        return new Place(
                id,
                Optional.of(wheel),
                Optional.of(end),
                reading,
                answer,
                CatalogueInstrument.RULE_MILLIMETRES,
                Surface.RIM,
                true,
                end != End.HUB);
    }

    /** A length at a wheel, mm. */
    static Place lengthAt(String id, Wheel wheel, String reading, double least, double most, CatalogueInstrument with) {
        var answer = new Amount(Quantity.LENGTH, Unit.MM, least, most);
        return new Place(id, Optional.of(wheel), Optional.empty(), reading, answer, with, Surface.RIM, true, false);
    }

    /** An angle at a wheel, deg, 0 or more. */
    static Place angle(String id, Wheel wheel, String reading, double most, CatalogueInstrument with) {
        return new Place(
                id,
                Optional.of(wheel),
                Optional.empty(),
                reading,
                new Amount(Quantity.ANGLE, Unit.DEG, 0, most),
                with,
                Surface.RIM,
                true,
                false);
    }

    /** An angle at a wheel, deg, with the way it is meant. */
    static Place sensed(
            String id, Wheel wheel, String reading, double most, CatalogueInstrument with, Sense... senses) {
        var size = new Amount(Quantity.ANGLE, Unit.DEG, 0, most);
        return new Place(
                id,
                Optional.of(wheel),
                Optional.empty(),
                reading,
                new SizeAndSense(size, List.of(senses), wheel.side()),
                with,
                Surface.RIM,
                true,
                false);
    }

    /** The same place, read with another instrument. */
    Place readWith(CatalogueInstrument with) {
        return new Place(id, wheel, end, reading, answer, with, surface, eachRepeat, compared);
    }

    /** The same place, read once for all repeats. */
    Place once() {
        return new Place(id, wheel, end, reading, answer, instrument, surface, false, compared);
    }

    /** The same place, compared with that at the other end. */
    Place comparedAcross() {
        return new Place(id, wheel, end, reading, answer, instrument, surface, eachRepeat, true);
    }

    /** Key of its words, in which the wheel's name is filled. */
    public String words() {
        return "place." + reading + end.map(e -> "." + e.key()).orElse("");
    }

    /** Standard uncertainty of one reading in trained hands, mm or rad. */
    public double standardUncertainty() {
        return instrument.standardUncertainty(surface);
    }

    /** The range of what can be real there, mm or deg. */
    public Amount amount() {
        return answer instanceof SizeAndSense sized ? sized.size() : (Amount) answer;
    }
}
