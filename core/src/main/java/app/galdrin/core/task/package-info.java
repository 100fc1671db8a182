/**
 * A practical as it is set: a list of steps of lines, how they are marked, and the document that carries it. Figures are those of
 * {@link app.galdrin.core.figure}; bands are in the core's units, rad and mm, and in documents in degrees and mm.
 */
@NullMarked
package app.galdrin.core.task;

import org.jspecify.annotations.NullMarked;
