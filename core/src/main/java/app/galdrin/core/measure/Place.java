package app.galdrin.core.measure;

/**
 * A place on the sketch where a reading is written.
 *
 * @param id the reading's name in the record format
 * @param readingClass its class in the record's {@code u}: readings that are taken alike and are equally good
 * @param eachRepeat whether it is read anew in every repeat, or once for the set-up
 * @param least smallest reading that can be real there, mm
 * @param most largest reading that can be real there, mm
 */
public record Place(String id, String readingClass, boolean eachRepeat, double least, double most) {

    /** A gap at a wheel, read anew in every repeat. */
    public static Place gap(String id, String readingClass) {
        return new Place(id, readingClass, true, 0, 1000);
    }
}
