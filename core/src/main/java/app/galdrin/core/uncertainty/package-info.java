/**
 * First-order propagation of standard uncertainties through a calculation [GUM].
 */
@NullMarked
package app.galdrin.core.uncertainty;

import org.jspecify.annotations.NullMarked;
