/**
 * Steps that are a form: points with a tick, a choice, a number or a text each, of which a task takes those it asks for. What is right at a point may
 * follow from the task, the vehicle and the other points.
 */
@NullMarked
package app.galdrin.core.form;

import org.jspecify.annotations.NullMarked;
