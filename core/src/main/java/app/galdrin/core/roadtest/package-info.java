/** Kind of step that reports a road test and decides what follows from it. */
@NullMarked
package app.galdrin.core.roadtest;

import org.jspecify.annotations.NullMarked;
