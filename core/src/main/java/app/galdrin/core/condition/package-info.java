/** Kind of step that looks for worn parts, tyres and heights before anything is measured: alignment on worn parts is wasted. */
@NullMarked
package app.galdrin.core.condition;

import org.jspecify.annotations.NullMarked;
