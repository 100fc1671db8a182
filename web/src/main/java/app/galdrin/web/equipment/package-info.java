/** The equipment of a centre: what is known of each piece, the checks done on it, and the pages for both. */
@ApplicationModule(allowedDependencies = {"account", "layout", "words"})
@NullMarked
package app.galdrin.web.equipment;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
