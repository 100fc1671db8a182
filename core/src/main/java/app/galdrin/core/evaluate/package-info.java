/**
 * A line of JSON in, a line of JSON out, or a row of a table: the streaming of records.
 */
@NullMarked
package app.galdrin.core.evaluate;

import org.jspecify.annotations.NullMarked;
