/**
 * What may be written on a line of a sheet, and the one parser that reads any text for any line. Quantities come out in mm, degrees
 * or a count; an answer with a sense carries the sign of the place it is written at.
 */
@NullMarked
package app.galdrin.core.answer;

import org.jspecify.annotations.NullMarked;
