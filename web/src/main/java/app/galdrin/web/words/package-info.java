/**
 * The trade's vocabulary on pages and papers: message texts, and figures, steps, readings, parts, targets and workings in words. It knows no
 * feature.
 */
@ApplicationModule(allowedDependencies = {})
@NullMarked
package app.galdrin.web.words;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
