/** Sittings and their marks as JSON, for programs: {@code docs/marks-format.md}. Angles are degrees, lengths mm. */
@NullMarked
package app.galdrin.core.marking.written;

import org.jspecify.annotations.NullMarked;
