package app.galdrin.core.task;

/**
 * A place on the sketch where a reading is written.
 *
 * @param id the reading's name in the record format
 * @param eachRepeat whether it is read anew in every repeat, or once for the set-up
 * @param least smallest reading that can be real there, mm
 * @param most largest reading that can be real there, mm
 */
public record Place(String id, boolean eachRepeat, double least, double most) {}
