/** The marking desk and the feedback. A verifier's decisions from {@code moderation} stand beside the evidence. */
@ApplicationModule(
        allowedDependencies = {
            "account",
            "layout",
            "library",
            "marksheet",
            "moderation",
            "papers",
            "remark",
            "sitting",
            "sketch",
            "task",
            "words"
        })
@NullMarked
package app.galdrin.web.marking;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
