/**
 * Sittings and their append-only entries: the one place that writes and reads them. Uses task. Has no pages.
 */
@NullMarked
package app.galdrin.web.sitting;

import org.jspecify.annotations.NullMarked;
