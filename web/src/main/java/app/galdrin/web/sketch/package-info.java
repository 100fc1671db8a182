/** The dimensioned sketch and the tolerance rule. View models are made here, and one fragment draws each. */
@ApplicationModule(allowedDependencies = {"words"})
@NullMarked
package app.galdrin.web.sketch;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
