/** Java types in columns of PostgreSQL. */
@NullMarked
package app.galdrin.web.layout.internal.types;

import org.jspecify.annotations.NullMarked;
