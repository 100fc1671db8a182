/**
 * Practicals as they are set: the task bench, a task's page, and its openings with their codes. Uses library and sketch.
 */
@NullMarked
package app.galdrin.web.task;

import org.jspecify.annotations.NullMarked;
