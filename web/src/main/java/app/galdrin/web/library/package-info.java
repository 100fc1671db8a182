/** Vehicles and the issues of their specification sheets. */
@ApplicationModule(allowedDependencies = {"account", "layout", "sketch", "words"})
@NullMarked
package app.galdrin.web.library;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
