/**
 * Specification sheets of a vehicle, and the judgement of a value against limits [14253-1].
 */
@NullMarked
package app.galdrin.core.spec;

import org.jspecify.annotations.NullMarked;
