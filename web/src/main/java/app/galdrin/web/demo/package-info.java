/** Demo data for a first look. Only the demo profile loads it. */
@ApplicationModule(
        allowedDependencies = {
            "account",
            "bay",
            "equipment",
            "layout",
            "library",
            "marksheet",
            "moderation",
            "sitting",
            "task",
            "words"
        })
@NullMarked
package app.galdrin.web.demo;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
