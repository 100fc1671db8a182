package app.galdrin.core.figure;

import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Wheel;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One figure: what is measured, where and in which position. Its key is {@code toe.front.left}, {@code totalToe.front},
 * {@code turnOut.front.leftLock}.
 */
public record FigureId(Measurand measurand, Location where, FigurePosition at) implements Comparable<FigureId> {

    private static final Comparator<FigureId> ORDER = Comparator.comparing(FigureId::measurand)
            .thenComparing(FigureId::where)
            .thenComparing(FigureId::key);

    public FigureId {
        if (where.extent() != measurand.extent()) {
            throw new IllegalArgumentException(measurand.key() + " is no figure of a " + where.extent());
        }
    }

    /** Maps of figures are everywhere. */
    @Override
    public boolean equals(@Nullable Object other) {
        return this == other
                || other instanceof FigureId f && measurand == f.measurand && where == f.where && at.equals(f.at);
    }

    @Override
    public int hashCode() {
        return (measurand.ordinal() * 31 + where.ordinal()) * 31 + at.kind().ordinal() * 7 + at.amount();
    }

    /** Returns the figure of a measurand at a place of the vehicle, straight ahead. */
    public static FigureId of(Measurand measurand, Location where) {
        return new FigureId(measurand, where, FigurePosition.AHEAD);
    }

    /** Returns the figure of a measurand at a wheel, straight ahead. */
    public static FigureId of(Measurand measurand, Wheel wheel) {
        return of(measurand, Location.of(wheel));
    }

    /** Returns the figure of a measurand on an axle, straight ahead. */
    public static FigureId of(Measurand measurand, Axle axle) {
        return of(measurand, Location.of(axle));
    }

    /** The name in documents, the database and the end of ids. */
    public String key() {
        String straight = STRAIGHT[measurand.ordinal()][where.ordinal()];
        return at.equals(FigurePosition.AHEAD) ? straight : straight + dotted(at.key());
    }

    /** Every line of every sheet is looked up by a key of these: measurand by where. */
    private static final String[][] STRAIGHT = Arrays.stream(Measurand.values())
            .map(measurand -> Arrays.stream(Location.values())
                    .map(where -> measurand.key() + dotted(where.key()))
                    .toArray(String[]::new))
            .toArray(String[][]::new);

    private static String dotted(String key) {
        return key.isEmpty() ? "" : "." + key;
    }

    /** The figure of a key; empty where there is none of it. */
    public static Optional<FigureId> parse(String key) {
        int dot = key.indexOf('.');
        String head = dot < 0 ? key : key.substring(0, dot);
        String rest = dot < 0 ? "" : key.substring(dot + 1);
        return Measurand.named(head).flatMap(measurand -> {
            for (Location where : Location.values()) {
                Optional<FigureId> figure =
                        where.extent() == measurand.extent() ? at(measurand, where, rest) : Optional.empty();
                if (figure.isPresent()) {
                    return figure;
                }
            }
            return Optional.empty();
        });
    }

    private static Optional<FigureId> at(Measurand measurand, Location where, String rest) {
        if (rest.equals(where.key())) {
            return Optional.of(of(measurand, where));
        }
        String before = where.key().isEmpty() ? "" : where.key() + ".";
        return rest.startsWith(before)
                ? FigurePosition.parse(rest.substring(before.length())).map(at -> new FigureId(measurand, where, at))
                : Optional.empty();
    }

    /** The same figure of the other wheel; that of an axle or a vehicle is its own. */
    public FigureId otherSide() {
        return new FigureId(measurand, where.otherSide(), at);
    }

    /** Returns its axle; empty where it is the vehicle's. */
    public Optional<Axle> axle() {
        return where.axle();
    }

    /** Returns its wheel; empty where it is an axle's or the vehicle's. */
    public Optional<Wheel> wheel() {
        return where.wheel();
    }

    /** Returns whether it is made of the figures of both wheels. */
    public boolean ofBothWheels() {
        return measurand.form() != Measurand.Form.OWN;
    }

    /** Returns the figure of one wheel of a sum or a difference. */
    public FigureId part(Wheel wheel) {
        return new FigureId(measurand.base(), Location.of(wheel), at);
    }

    /** Returns how far the sides differ in this figure of a wheel; empty where nobody asks that of it. */
    public Optional<FigureId> sideDifference() {
        return wheel().flatMap(wheel -> measurand.madeOfIt().stream()
                .filter(m -> m.form() == Measurand.Form.DIFFERENCE)
                .findFirst()
                .map(m -> new FigureId(m, Location.of(wheel.axle()), at)));
    }

    /** Returns what this figure is adjusted with: the figures of one measurand on one axle share it. */
    public Adjustment adjustment() {
        return new Adjustment(measurand.base(), where.axle());
    }

    /** The figures that are moved together: one measurand on one axle, or on the vehicle. */
    public record Adjustment(Measurand measurand, Optional<Axle> axle) {
        /** The end of ids and message keys: {@code toe.front}. */
        public String key() {
            return measurand.key() + axle.map(a -> "." + a.key()).orElse("");
        }

        public boolean contains(FigureId figure) {
            return equals(figure.adjustment());
        }
    }

    @Override
    public int compareTo(FigureId other) {
        return ORDER.compare(this, other);
    }

    @Override
    public String toString() {
        return key();
    }
}
