/**
 * The dimensioned sketch and the tolerance rule: view models made here, drawn by one fragment each. Uses the core only.
 */
@NullMarked
package app.galdrin.web.sketch;

import org.jspecify.annotations.NullMarked;
