package app.galdrin.web.gate.internal;

import org.springframework.boot.availability.AvailabilityChangeEvent;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Says on the console that requests are taken: whoever started this reads it there, since a port can be answered by another. */
@Component
class ReadySign {

    @EventListener
    @SuppressWarnings("SystemOut")
    void changed(AvailabilityChangeEvent<ReadinessState> event) {
        if (event.getState() == ReadinessState.ACCEPTING_TRAFFIC) {
            System.out.println("ready");
        }
    }
}
