/** Steps that are a form, on the sheet and on the bench. */
@ApplicationModule(allowedDependencies = {"baysheet", "library", "sketch", "task", "words"})
@NullMarked
package app.galdrin.web.form;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
