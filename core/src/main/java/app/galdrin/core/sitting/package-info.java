/**
 * What was written on a sheet, by line: when a step is complete, in which state of the vehicle a reading was taken, and the figures
 * that an apprentice's own readings come to. Written values are mm, degrees or a count; figures are mm and rad.
 */
@NullMarked
package app.galdrin.core.sitting;

import org.jspecify.annotations.NullMarked;
