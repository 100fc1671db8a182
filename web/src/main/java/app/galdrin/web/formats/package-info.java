/** The formats Galdrin reads and writes, for other programs: their schemas at fixed addresses. Knows no person and no data. */
@NullMarked
package app.galdrin.web.formats;

import org.jspecify.annotations.NullMarked;
