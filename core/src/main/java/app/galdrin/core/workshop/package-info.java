/**
 * A workshop of points, lines and rotations, in which people read a vehicle with their tools: what the marking is tried on. It knows nothing of how
 * readings are worked or marked, and shares no formula with that. How people hold their tools is in {@code docs/honest-hands.md}.
 *
 * <p>Frame [ISO8855]: x forward, y to the left, z up, mm; the origin is at the left front hub's station, on the centre line, at hub height.
 * Angles are rad, lengths mm; what is read is deg or mm by place, with its sign.
 */
@NullMarked
package app.galdrin.core.workshop;

import org.jspecify.annotations.NullMarked;
