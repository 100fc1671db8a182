/**
 * A line of JSON in, a line of JSON out, or a row of a table: the streaming of records. Out here lengths are mm and angles degrees, in
 * the frame and with the signs of {@code docs/conventions.md}.
 */
@NullMarked
package app.galdrin.core.evaluate;

import org.jspecify.annotations.NullMarked;
