/**
 * Types of the text that a line of a sheet takes, and the one parser of that text. Quantities come out in mm, degrees
 * or a count; an answer with a sense carries the sign of the place it is written at.
 */
@NullMarked
package app.galdrin.core.answer;

import org.jspecify.annotations.NullMarked;
