/**
 * Values of the figures of a vehicle's states, from everybody who read them and from what was moved between them. Figures are mm and rad. No entries and
 * no marks: the marking package asks for values, and leaves out the readings of whom it marks.
 */
@NullMarked
package app.galdrin.core.reference;

import org.jspecify.annotations.NullMarked;
