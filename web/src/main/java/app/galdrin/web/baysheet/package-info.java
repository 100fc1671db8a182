/**
 * The apprentice's sheet at the bay, and the instructor's own readings on the same sketch. Uses sitting, task, sketch.
 */
@NullMarked
package app.galdrin.web.baysheet;

import org.jspecify.annotations.NullMarked;
