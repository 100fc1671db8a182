/**
 * The apprentice's sheet at the bay, and the instructor's own readings on the same sketch. A kind of step stands on it by its
 * {@link app.galdrin.web.baysheet.StepSheet}.
 */
@ApplicationModule(
        allowedDependencies = {
            "account",
            "bay",
            "equipment",
            "layout",
            "library",
            "marking",
            "marksheet",
            "papers",
            "sitting",
            "sketch",
            "task",
            "words",
            "workshop"
        })
@NullMarked
package app.galdrin.web.baysheet;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
