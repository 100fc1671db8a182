/**
 * The measurement-record format at the level of one record: what fields a kind has, the checking of an input, the figures
 * of a result, CSV headers and the JSON schema. Records carry degrees; {@link app.galdrin.core.record.Input} and
 * {@link app.galdrin.core.record.Figures} are the one place where they become radians and back.
 */
@NullMarked
package app.galdrin.core.record;

import org.jspecify.annotations.NullMarked;
