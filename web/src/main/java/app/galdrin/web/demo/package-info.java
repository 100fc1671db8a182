/**
 * Demo data for a first look; loaded by the demo profile only.
 */
@NullMarked
package app.galdrin.web.demo;

import org.jspecify.annotations.NullMarked;
