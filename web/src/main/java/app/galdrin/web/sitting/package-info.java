/**
 * Sittings, their append-only entries and their stored mark sheets: the one place that writes and reads them. It has no pages.
 */
@ApplicationModule(allowedDependencies = {"account", "background", "bay", "layout", "library", "task"})
@NullMarked
package app.galdrin.web.sitting;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
