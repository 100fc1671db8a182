/** Kind of step that takes the job in: the vehicle as it came, why it came, and which angles have to be read for this repair. */
@NullMarked
package app.galdrin.core.jobcard;

import org.jspecify.annotations.NullMarked;
