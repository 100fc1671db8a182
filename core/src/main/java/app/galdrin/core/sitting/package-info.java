/**
 * Entries on a sheet, by line: when a step is complete, the state of the vehicle of each reading, and the figures of the apprentice's own readings.
 * Written values are mm, degrees or a count; figures are mm and rad.
 */
@NullMarked
package app.galdrin.core.sitting;

import org.jspecify.annotations.NullMarked;
