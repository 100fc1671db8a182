/**
 * What every request passes before anything is asked about it, in this order: its id ({@code layout}), the page for when the database is
 * away, assets, the share of its address, its body as a whole, its texts ({@code layout}); then sessions and sign-in. Uses layout only.
 */
@NullMarked
package app.galdrin.web.gate;

import org.jspecify.annotations.NullMarked;
