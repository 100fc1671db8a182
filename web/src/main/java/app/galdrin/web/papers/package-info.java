/** Pages as PDF. Other features hand over a template and what stands in it. */
@ApplicationModule(allowedDependencies = {"words"})
@NullMarked
package app.galdrin.web.papers;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
