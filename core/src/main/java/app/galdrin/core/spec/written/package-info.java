/**
 * A specification sheet as people write it: rows of texts, whether they were typed on a page or came as JSON or CSV, and the one reading
 * that makes a sheet of them or names everything that is wrong at once.
 *
 * <p>Not here: words for the faults, and where a sheet is kept.
 */
@NullMarked
package app.galdrin.core.spec.written;

import org.jspecify.annotations.NullMarked;
