/**
 * Pages about the procedures: a matrix to choose by, and a page for each with its picture, how it is done, how it is worked, how well it
 * tells a figure, and an example to try. They are made from the same data and words as the sheet at the bay, and write nothing.
 */
@ApplicationModule(allowedDependencies = {"account", "layout", "library", "sitting", "sketch", "task", "words"})
@NullMarked
package app.galdrin.web.procedure;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
