/**
 * What the marking does to people, tried on simulated ones: hands that are honest, and slips that are made on purpose. The hands are those
 * of {@code docs/honest-hands.md} and not those the engine counts with.
 */
@NullMarked
package app.galdrin.core.proof;

import org.jspecify.annotations.NullMarked;
