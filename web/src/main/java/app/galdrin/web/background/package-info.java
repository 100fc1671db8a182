/**
 * Work that no request waits for, such as trying a task out or re-marking. It is done a portion at a time, never on all processors, and
 * behind the requests of people. Anyone who has such work keeps its state in the database.
 */
@ApplicationModule(allowedDependencies = {"words"})
@NullMarked
package app.galdrin.web.background;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
