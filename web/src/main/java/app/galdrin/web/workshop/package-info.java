/**
 * The workshop seen from above: which vehicle stands in which bay and in which state, and an instructor's word on each. Other pages show
 * one of its vehicles by {@link app.galdrin.web.workshop.VehicleCards}.
 */
@ApplicationModule(
        allowedDependencies = {
            "account",
            "bay",
            "equipment",
            "layout",
            "library",
            "marksheet",
            "papers",
            "sitting",
            "sketch",
            "task",
            "words"
        })
@NullMarked
package app.galdrin.web.workshop;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
