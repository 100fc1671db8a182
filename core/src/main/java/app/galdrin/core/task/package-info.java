/**
 * What an apprentice is asked to do: quantity, method, repeats, unit, decision rule and marking scheme; and what each method
 * can see.
 */
@NullMarked
package app.galdrin.core.task;

import org.jspecify.annotations.NullMarked;
