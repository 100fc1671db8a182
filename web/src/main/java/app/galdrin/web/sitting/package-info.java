/**
 * Sittings, their append-only entries and their stored mark sheets: the one place that writes and reads them. Uses task, library,
 * account and layout. Has no pages.
 */
@NullMarked
package app.galdrin.web.sitting;

import org.jspecify.annotations.NullMarked;
