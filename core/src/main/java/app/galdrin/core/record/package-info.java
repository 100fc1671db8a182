/**
 * The measurement-record format at the level of one record: reading fields strictly, naming the first fault, writing
 * figures. Records carry degrees; {@link app.galdrin.core.record.Fields} and {@link app.galdrin.core.record.Figures} are the
 * one place where they become radians and back.
 */
@NullMarked
package app.galdrin.core.record;

import org.jspecify.annotations.NullMarked;
