/**
 * What is held about one person: given out as a file, and erased. Uses account; reads the tables of task, sitting and moderation.
 */
@NullMarked
package app.galdrin.web.personal;

import org.jspecify.annotations.NullMarked;
