/** Kind of step that asks a question: a number, one of several or words, and why. */
@NullMarked
package app.galdrin.core.question;

import org.jspecify.annotations.NullMarked;
