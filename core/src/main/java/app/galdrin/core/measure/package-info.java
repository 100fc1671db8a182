/**
 * One class a measuring method: the evaluation of its readings and, beside it, the forward model that makes readings from
 * a true state. Lengths are millimetres, angles radians; axes and signs are those of {@code docs/conventions.md}.
 */
@NullMarked
package app.galdrin.core.measure;

import org.jspecify.annotations.NullMarked;
