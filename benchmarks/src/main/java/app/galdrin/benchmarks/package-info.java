/** Measurements: what docs/performance.md reports is made with these. */
@NullMarked
package app.galdrin.benchmarks;

import org.jspecify.annotations.NullMarked;
