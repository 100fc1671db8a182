/**
 * First-order propagation of standard uncertainties through a calculation [GUM]. A doubt is in the unit of its figure, mm or rad; each
 * part of it stands under its source's name with the sign of what that source does to the figure, so that parts of one name add
 * before they are squared.
 */
@NullMarked
package app.galdrin.core.uncertainty;

import org.jspecify.annotations.NullMarked;
