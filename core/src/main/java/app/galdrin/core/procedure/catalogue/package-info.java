/** The procedures there are, by family. */
@NullMarked
package app.galdrin.core.procedure.catalogue;

import org.jspecify.annotations.NullMarked;
