/**
 * Re-marking: the signed sheets of a task marked again by another version of it or of a specification sheet, looked through and then applied. It has no pages.
 */
@ApplicationModule(
        allowedDependencies = {
            "account",
            "background",
            "bay",
            "layout",
            "library",
            "marksheet",
            "sitting",
            "task",
            "words"
        })
@NullMarked
package app.galdrin.web.remark;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
