/** People, signing in and joining, and what a signed-in person may do. */
@ApplicationModule(allowedDependencies = {"gate", "layout", "words"})
@NullMarked
package app.galdrin.web.account;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
