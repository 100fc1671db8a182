/** The torque of fasteners on the sheet and on the bench. */
@ApplicationModule(allowedDependencies = {"baysheet", "library", "sketch", "task", "words"})
@NullMarked
package app.galdrin.web.tightening;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
