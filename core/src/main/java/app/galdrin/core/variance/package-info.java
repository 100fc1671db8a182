/** Sources of variation where several people have read the same vehicles several times. Uses the numerics library and nothing else. */
@NullMarked
package app.galdrin.core.variance;

import org.jspecify.annotations.NullMarked;
