/** A thin command line over {@code core.evaluate}. */
@NullMarked
package app.galdrin.compute;

import org.jspecify.annotations.NullMarked;
