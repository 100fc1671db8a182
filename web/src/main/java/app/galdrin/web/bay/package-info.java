/** The bays of a workshop with the surveys of their floors, and the pages for them. */
@ApplicationModule(allowedDependencies = {"account", "layout", "words"})
@NullMarked
package app.galdrin.web.bay;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
