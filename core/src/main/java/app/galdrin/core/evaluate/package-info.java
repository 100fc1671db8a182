/**
 * A line of JSON in, a line of JSON out: the kinds of record there are and the streaming of records.
 */
@NullMarked
package app.galdrin.core.evaluate;

import org.jspecify.annotations.NullMarked;
