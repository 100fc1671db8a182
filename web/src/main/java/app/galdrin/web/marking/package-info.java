/**
 * The marking desk and the feedback. Uses sitting, task, sketch, and moderation, whose decisions stand on the evidence.
 */
@NullMarked
package app.galdrin.web.marking;

import org.jspecify.annotations.NullMarked;
