/**
 * Vehicles and their versioned specification sheets. Uses account, layout and the sketches.
 */
@NullMarked
package app.galdrin.web.library;

import org.jspecify.annotations.NullMarked;
