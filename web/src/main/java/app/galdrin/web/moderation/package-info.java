/** A verifier's samples of mark sheets, and what was decided on them. */
@ApplicationModule(allowedDependencies = {"account", "layout", "papers", "sitting", "task", "words"})
@NullMarked
package app.galdrin.web.moderation;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
