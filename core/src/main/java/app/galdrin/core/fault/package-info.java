/** Faults that an instructor sets on a vehicle: what to turn so that it reads as wanted, and what the vehicle reads then. */
@NullMarked
package app.galdrin.core.fault;

import org.jspecify.annotations.NullMarked;
