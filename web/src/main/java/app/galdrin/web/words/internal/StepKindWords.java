package app.galdrin.web.words.internal;

import app.galdrin.core.task.StepKinds;
import org.springframework.context.support.AbstractResourceBasedMessageSource;
import org.springframework.stereotype.Component;

/** Adds the words of every kind of step, {@code messages/step/<kind>.properties}, to those of all pages. */
@Component
class StepKindWords {

    StepKindWords(AbstractResourceBasedMessageSource messages) {
        StepKinds.all().forEach(kind -> messages.addBasenames("messages/step/" + kind.key()));
    }
}
