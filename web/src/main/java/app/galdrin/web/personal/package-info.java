/**
 * Data held about one person: given out as a file, and erased. It reads the tables of {@code task}, {@code sitting} and
 * {@code moderation}.
 */
@ApplicationModule(allowedDependencies = {"account", "layout", "words"})
@NullMarked
package app.galdrin.web.personal;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
