/**
 * Results of a class in a task: people by criteria, from the signed mark sheets, and readings that are alike. It only reads.
 */
@ApplicationModule(allowedDependencies = {"account", "layout", "library", "marksheet", "sitting", "task", "words"})
@NullMarked
package app.galdrin.web.classes;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
