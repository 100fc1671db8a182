/**
 * Work that no request waits for, such as trying a task out and marking anew: done a portion at a time, never on all processors, and behind
 * the requests of people. Knows no feature and uses none. Whoever has such work keeps its state in the database; here is only who does it.
 */
@NullMarked
package app.galdrin.web.background;

import org.jspecify.annotations.NullMarked;
