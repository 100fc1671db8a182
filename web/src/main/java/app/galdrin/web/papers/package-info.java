/** Pages as PDF. Uses nothing of the other features: they hand over a template and what stands in it. */
@NullMarked
package app.galdrin.web.papers;

import org.jspecify.annotations.NullMarked;
