/** Parts that every page shares: ids, headers, error pages. It knows no feature. */
@ApplicationModule(allowedDependencies = {})
@NullMarked
package app.galdrin.web.layout;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
