/**
 * What every page shares: ids, words for figures, headers, error pages. Knows no feature.
 */
@NullMarked
package app.galdrin.web.layout;

import org.jspecify.annotations.NullMarked;
