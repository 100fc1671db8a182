/**
 * Ready-made practicals to begin from, in the trade's own choice of figures. Tasks, sittings and marking know none of these figures by
 * name; this package uses theirs, and nothing in the core uses it.
 */
@NullMarked
package app.galdrin.core.start;

import org.jspecify.annotations.NullMarked;
