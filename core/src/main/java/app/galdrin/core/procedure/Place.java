package app.galdrin.core.procedure;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.figure.Location;
import app.galdrin.core.geometry.Wheel;
import app.galdrin.core.measure.CatalogueInstrument;
import app.galdrin.core.measure.CatalogueInstrument.Surface;
import app.galdrin.core.measure.Use;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.uncertainty.DoubtSource;
import java.util.List;
import java.util.Optional;
import java.util.function.ObjDoubleConsumer;
import java.util.function.UnaryOperator;

/**
 * A place on the vehicle where a reading is taken.
 *
 * @param id its line on the sheet, unlike any other of its procedure
 * @param where the wheel or the axle it is at, or the vehicle
 * @param end which end of that wheel, or of the vehicle
 * @param reading what is read there
 * @param answer what is written
 * @param use what its instrument is used for
 * @param instrument what it is read with
 * @param surface what it is read from
 * @param eachRepeat whether it is read again in every repeat, or once for the set-up
 * @param compared whether it is compared with the same reading at the other end
 */
public record Place(
        String id,
        Location where,
        Optional<End> end,
        ReadingType reading,
        AnswerType answer,
        Use use,
        CatalogueInstrument instrument,
        Surface surface,
        boolean eachRepeat,
        boolean compared) {

    private static final double WIDEST_GAP = 1000;

    /** Hashes the id alone, which tells the places of a procedure apart; hashing every component took an eighth of a page's time. */
    @Override
    public int hashCode() {
        return id.hashCode();
    }

    private static Place at(String id, Location where, String reading, AnswerType answer, Use use) {
        CatalogueInstrument usual = CatalogueInstrument.usualFor(use);
        return new Place(
                id,
                where,
                Optional.empty(),
                ReadingType.of(reading),
                inUnitOf(usual, answer),
                use,
                usual,
                Surface.RIM,
                true,
                false);
    }

    /**
     * A length of the vehicle, of an axle or at a wheel, mm.
     *
     * @param least mm
     * @param most mm
     */
    public static Place length(String id, Location where, String reading, double least, double most, Use use) {
        return at(id, where, reading, new Amount(Quantity.LENGTH, Unit.MM, least, most), use);
    }

    /** A gap at a wheel, mm, 0 or more. */
    public static Place gap(String id, Wheel wheel, End end, String reading) {
        Place gap =
                length(id, Location.of(wheel), reading, 0, WIDEST_GAP, Use.GAP).at(end);
        return end == End.HUB ? gap : gap.comparedAcross();
    }

    /**
     * An angle at a wheel, deg, between the two.
     *
     * @param least deg
     * @param most deg
     */
    public static Place angle(String id, Wheel wheel, String reading, double least, double most, Use use) {
        return at(id, Location.of(wheel), reading, new Amount(Quantity.ANGLE, Unit.DEG, least, most), use);
    }

    /**
     * An angle at a wheel, deg, 0 or more, with the way it is meant.
     *
     * @param most deg, 0 or more
     */
    public static Place sensed(String id, Wheel wheel, String reading, double most, Use use, Sense... senses) {
        return sensed(id, wheel, reading, 0, most, use, senses);
    }

    /**
     * An angle at a wheel, deg, between the two in size, with the way it is meant.
     *
     * @param least deg, 0 or more
     * @param most deg, 0 or more
     */
    public static Place sensed(
            String id, Wheel wheel, String reading, double least, double most, Use use, Sense... senses) {
        var size = new Amount(Quantity.ANGLE, Unit.DEG, least, most);
        return at(id, Location.of(wheel), reading, new SizeAndSense(size, List.of(senses), wheel.side()), use);
    }

    /**
     * A length at a wheel, mm, with the way it is meant.
     *
     * @param most mm, 0 or more
     */
    public static Place sensedLength(String id, Wheel wheel, String reading, double most, Use use, Sense... senses) {
        var size = new Amount(Quantity.LENGTH, Unit.MM, 0, most);
        return at(id, Location.of(wheel), reading, new SizeAndSense(size, List.of(senses), wheel.side()), use);
    }

    /** Returns the same place, with what its reading tells besides. */
    public Place reading(UnaryOperator<ReadingType> change) {
        return new Place(id, where, end, change.apply(reading), answer, use, instrument, surface, eachRepeat, compared);
    }

    /** The same place at an end of its wheel, axle or vehicle. */
    public Place at(End there) {
        return new Place(
                id, where, Optional.of(there), reading, answer, use, instrument, surface, eachRepeat, compared);
    }

    /** The same place, read with another instrument and in its unit. */
    public Place readWith(CatalogueInstrument with) {
        return new Place(id, where, end, reading, inUnitOf(with, answer), use, with, surface, eachRepeat, compared);
    }

    private static AnswerType inUnitOf(CatalogueInstrument with, AnswerType answer) {
        if (answer instanceof SizeAndSense sized) {
            return new SizeAndSense(sized.size().in(with.unit()), sized.senses(), sized.side());
        }
        return answer instanceof Amount amount ? amount.in(with.unit()) : answer;
    }

    /** The same place, read from another surface. */
    public Place readFrom(Surface other) {
        return new Place(id, where, end, reading, answer, use, instrument, other, eachRepeat, compared);
    }

    /** The same place, read once for all repeats. */
    public Place once() {
        return new Place(id, where, end, reading, answer, use, instrument, surface, false, compared);
    }

    /** The same place, compared with that at the other end. */
    public Place comparedAcross() {
        return new Place(id, where, end, reading, answer, use, instrument, surface, eachRepeat, true);
    }

    /** The wheel it is at; empty where it is an axle's or the vehicle's. */
    public Optional<Wheel> wheel() {
        return where.wheel();
    }

    /** Returns whether the same is read there at the other end of its wheel, axle or vehicle. */
    boolean isAtOtherEnd(Place other) {
        return where == other.where
                && reading.equals(other.reading)
                && end.map(End::other).equals(other.end);
    }

    /** Returns whether the same is read there at the other wheel of its axle. */
    boolean isOnOtherSide(Place other) {
        return wheel().map(Wheel::opposite).equals(other.wheel())
                && reading.equals(other.reading)
                && end.equals(other.end);
    }

    /** Key of its words, in which the name of where it is is filled. */
    public String words() {
        return "place." + reading.key() + end.map(e -> "." + e.key()).orElse("");
    }

    /** Key of the words of the wheel or the axle. */
    public String wheelWords() {
        return wheel().map(w -> "wheel." + w.key())
                .or(() -> where().axle().map(a -> "axle." + a.key()))
                .orElse("wheel.none");
    }

    /** Returns what it is read with, by one name for all places of a procedure that are read with the same. */
    public String tool() {
        return reading.tool();
    }

    /** Returns the reading here as a source of doubt where there is only one. */
    public DoubtSource asInput() {
        return DoubtSource.input(id);
    }

    /**
     * Returns a reading here without what its instrument shows too much.
     *
     * @param shown mm or deg, with its sign
     */
    double corrected(double shown, MeasuringContext standing) {
        return standing.kit().corrected(instrument, shown, signOfOffset());
    }

    /**
     * Returns how an offset of the instrument stands in a reading here: 1, −1 or 0. An instrument is held with the same side towards every wheel, so that one
     * that shows the top too far out does so on both sides; it then shows a floor that falls away from the wheel, and on the right an axis that leans
     * forward.
     */
    private int signOfOffset() {
        return reading.zero().factor() * (answer instanceof SizeAndSense sized ? sized.signOfOffset() : 1);
    }

    /** Passes on the sources of one reading here, {@code factor} times each, mm or rad. */
    void parts(DoubtSource reads, double factor, MeasuringContext standing, ObjDoubleConsumer<DoubtSource> each) {
        each.accept(reads, factor * standing.kit().standardUncertainty(instrument, surface));
        standing.kit().parts(instrument, factor * signOfOffset(), each);
    }

    /** Standard uncertainty of one reading in trained hands with the usual instrument, mm or rad. */
    public double standardUncertainty() {
        return instrument.standardUncertainty(surface);
    }

    /** The range of what can be real there, mm or deg. */
    public Amount amount() {
        return answer instanceof SizeAndSense sized ? sized.size() : (Amount) answer;
    }
}
