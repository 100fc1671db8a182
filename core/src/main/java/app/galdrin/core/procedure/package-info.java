/**
 * Procedures of the trade, as data over the kinds of {@link app.galdrin.core.measure}. A procedure is a walk of places
 * and the evaluations that make figures of what is read there; a family lists its procedures and registers itself.
 *
 * <p>Readings are in the units of records, mm and degrees, with the sign of their place; figures are in the core's, mm and rad.
 */
@NullMarked
package app.galdrin.core.procedure;

import org.jspecify.annotations.NullMarked;
