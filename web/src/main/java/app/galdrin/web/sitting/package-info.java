/**
 * Sittings and their append-only entries: the one place that writes and reads them. It has no pages.
 */
@ApplicationModule(
        allowedDependencies = {"account", "background", "bay", "equipment", "layout", "library", "task", "words"})
@NullMarked
package app.galdrin.web.sitting;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
