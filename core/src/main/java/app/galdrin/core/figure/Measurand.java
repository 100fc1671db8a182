package app.galdrin.core.figure;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.Location.Extent;
import app.galdrin.core.quantity.Quantity;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * The trade's quantities, in the order in which they stand on a sheet. Signs are those of the package page.
 *
 * <p>A sum or a difference is made of the figures of both wheels of an axle: total toe is the sum of two toes, the side difference
 * of camber is left less right.
 */
public enum Measurand implements Keyed {
    CASTER("caster", Quantity.ANGLE, Extent.WHEEL, Form.OWN, null),
    CASTER_DIFFERENCE("casterDifference", Quantity.ANGLE, Extent.AXLE, Form.DIFFERENCE, CASTER),
    CAMBER("camber", Quantity.ANGLE, Extent.WHEEL, Form.OWN, null),
    CAMBER_DIFFERENCE("camberDifference", Quantity.ANGLE, Extent.AXLE, Form.DIFFERENCE, CAMBER),
    KPI("kpi", Quantity.ANGLE, Extent.WHEEL, Form.OWN, null),
    INCLUDED_ANGLE("includedAngle", Quantity.ANGLE, Extent.WHEEL, Form.OWN, null),
    TOE("toe", Quantity.ANGLE, Extent.WHEEL, Form.OWN, null),
    TOTAL_TOE("totalToe", Quantity.ANGLE, Extent.AXLE, Form.SUM, TOE),
    THRUST("thrust", Quantity.ANGLE, Extent.AXLE, Form.OWN, TOE),
    /** Slip of a wheel on a sliding plate, mm for each metre driven. Toe-in pushes the plate outward, which is positive. */
    SIDESLIP("sideslip", Quantity.LENGTH, Extent.WHEEL, Form.OWN, null),
    SETBACK("setback", Quantity.LENGTH, Extent.AXLE, Form.OWN, null),
    TURN_OUT("turnOut", Quantity.ANGLE, Extent.AXLE, Form.OWN, null),
    /** Knuckle against pad of a beam axle. */
    KINGPIN_TWIST("kingpinTwist", Quantity.ANGLE, Extent.WHEEL, Form.OWN, null),
    RUN_OUT("runOut", Quantity.ANGLE, Extent.WHEEL, Form.OWN, null),
    THREADS("threads", Quantity.LENGTH, Extent.VEHICLE, Form.OWN, null),
    RACK("rack", Quantity.LENGTH, Extent.VEHICLE, Form.OWN, null),
    WHEEL_OFFSET("wheelOffset", Quantity.ANGLE, Extent.VEHICLE, Form.OWN, null),
    TRACK_DIFFERENCE("trackDifference", Quantity.LENGTH, Extent.VEHICLE, Form.OWN, null),
    BUMP_STEER("bumpSteer", Quantity.ANGLE, Extent.WHEEL, Form.OWN, null);

    /** Relation of a figure to the wheels of an axle. */
    public enum Form {
        /** Read by itself. */
        OWN(0),
        /** Left and right together. */
        SUM(1),
        /** Left less right. */
        DIFFERENCE(-1);

        private final int right;

        Form(int right) {
            this.right = right;
        }

        /** The factor of the right wheel's figure: +1 of a sum, −1 of a difference. */
        public int rightFactor() {
            return right;
        }
    }

    private final String key;
    private final Quantity quantity;
    private final Extent extent;
    private final Form form;
    private final @Nullable Measurand base;

    Measurand(String key, Quantity quantity, Extent extent, Form form, @Nullable Measurand base) {
        this.key = key;
        this.quantity = quantity;
        this.extent = extent;
        this.form = form;
        this.base = base;
    }

    @Override
    public String key() {
        return key;
    }

    /** {@link Quantity#LENGTH} is mm, {@link Quantity#ANGLE} is rad. */
    public Quantity quantity() {
        return quantity;
    }

    /** Returns whether it is a wheel's, an axle's or the vehicle's. */
    public Extent extent() {
        return extent;
    }

    /** Returns how it follows from the wheels of an axle. */
    public Form form() {
        return form;
    }

    /** Returns what is adjusted: of a sum, a difference or the thrust the measurand it is made of, else itself. */
    public Measurand base() {
        return base == null ? this : base;
    }

    /**
     * Returns whether the steering shares it between the front wheels: one of them by itself means something only with the steering clamped, and is
     * told from the line that the rear wheels set.
     */
    public boolean isSharedBySteering() {
        return this == TOE;
    }

    /** Returns whether the rear axle's figures set the line from which those of the front wheels are told. */
    public boolean isDatum() {
        return base() == TOE;
    }

    /** Returns whether it only shows that something is off, and nothing sets it by itself. */
    public boolean isScreen() {
        return this == SIDESLIP;
    }

    /** The sum or the difference that is made of this one. */
    public List<Measurand> madeOfIt() {
        return List.of(values()).stream()
                .filter(m -> m.base == this && m.form != Form.OWN)
                .toList();
    }

    /** The measurand of a name. */
    public static Optional<Measurand> named(String key) {
        return Keyed.find(values(), key);
    }
}
