/**
 * The formats Galdrin reads and writes, for other programs: their schemas at fixed addresses. It knows no person and no data.
 */
@ApplicationModule(allowedDependencies = {"words"})
@NullMarked
package app.galdrin.web.formats;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
