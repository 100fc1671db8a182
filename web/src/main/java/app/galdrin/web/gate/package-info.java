/**
 * Filters that every request passes first, in this order: its id ({@code layout}), the page for a database outage, assets, the share of its
 * address, its body as a whole, its texts ({@code layout}). Sessions and sign-in come after it.
 */
@ApplicationModule(allowedDependencies = "layout")
@NullMarked
package app.galdrin.web.gate;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
