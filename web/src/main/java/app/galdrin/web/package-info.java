/** The application, organised by feature; which feature may use which is verified by a test. */
@NullMarked
package app.galdrin.web;

import org.jspecify.annotations.NullMarked;
