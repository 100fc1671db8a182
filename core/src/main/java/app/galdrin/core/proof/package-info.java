/**
 * Proof of the marking on simulated people: honest hands, and slips made on purpose. The hands are those
 * of {@code docs/honest-hands.md} and not those the engine counts with.
 */
@NullMarked
package app.galdrin.core.proof;

import org.jspecify.annotations.NullMarked;
