/**
 * Tasks as they are set: the bench, a task's page, and its openings with their codes. A kind of step is edited by its
 * {@link app.galdrin.web.task.StepBench}.
 */
@ApplicationModule(allowedDependencies = {"account", "background", "bay", "layout", "library", "sketch", "words"})
@NullMarked
package app.galdrin.web.task;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
