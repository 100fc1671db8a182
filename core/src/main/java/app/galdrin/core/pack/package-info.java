/** What workshops share: a task with the sheet of the vehicle it is sat on, in one document. */
@NullMarked
package app.galdrin.core.pack;

import org.jspecify.annotations.NullMarked;
