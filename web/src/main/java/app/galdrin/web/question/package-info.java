/** A question on the sheet and on the bench. */
@ApplicationModule(allowedDependencies = {"baysheet", "task"})
@NullMarked
package app.galdrin.web.question;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
