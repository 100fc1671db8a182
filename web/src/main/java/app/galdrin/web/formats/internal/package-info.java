@NullMarked
package app.galdrin.web.formats.internal;

import org.jspecify.annotations.NullMarked;
