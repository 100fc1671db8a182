/** The pages of equipment. */
@NullMarked
package app.galdrin.web.equipment.internal;

import org.jspecify.annotations.NullMarked;
