/**
 * Mark sheets of sittings: as they stand, and as they were stored when they were signed. It has no pages.
 */
@ApplicationModule(
        allowedDependencies = {"account", "background", "bay", "layout", "library", "sitting", "task", "words"})
@NullMarked
package app.galdrin.web.marksheet;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
