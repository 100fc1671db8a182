/**
 * Vehicles and their versioned specification sheets. Uses account and layout.
 */
@NullMarked
package app.galdrin.web.library;

import org.jspecify.annotations.NullMarked;
