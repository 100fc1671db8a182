/**
 * Lengths and angles as people write them: reading a text, and writing a figure back. This is the core's edge, so
 * figures here are millimetres and decimal degrees; everything behind it works in millimetres and radians.
 */
@NullMarked
package app.galdrin.core.quantity;

import org.jspecify.annotations.NullMarked;
