/** Counts the requests that are being answered. */
@NullMarked
package app.galdrin.web.background.internal;

import org.jspecify.annotations.NullMarked;
