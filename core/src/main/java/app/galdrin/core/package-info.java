/**
 * The rules of the job: measuring, judging and marking wheel alignment. Plain Java without framework, database or interface.
 */
@NullMarked
package app.galdrin.core;

import org.jspecify.annotations.NullMarked;
