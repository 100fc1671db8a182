/** Pack that workshops share: a task with the sheet of its vehicle, in one document. */
@NullMarked
package app.galdrin.core.pack;

import org.jspecify.annotations.NullMarked;
