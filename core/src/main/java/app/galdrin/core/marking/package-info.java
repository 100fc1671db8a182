/**
 * Marks with their evidence: from the entries of a sitting and a reference to a mark sheet, and the slips behind a wrong
 * figure. Pure functions: the same inputs give the same mark sheet.
 */
@NullMarked
package app.galdrin.core.marking;

import org.jspecify.annotations.NullMarked;
