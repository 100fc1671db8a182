/**
 * The marking desk and the feedback. Uses sitting, task, sketch.
 */
@NullMarked
package app.galdrin.web.marking;

import org.jspecify.annotations.NullMarked;
