package app.galdrin.web.gate.internal;

import ch.qos.logback.classic.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.availability.AvailabilityChangeEvent;
import org.springframework.boot.availability.ReadinessState;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Says on the console that requests are taken: anyone who started this reads it there, since a port can be answered by another. From then on
 * nothing is written there where a log file is named: that one is rotated and bounded, the console's is not.
 */
@Component
class ReadySign {

    /** The appender's name in Spring Boot. */
    private static final String CONSOLE = "CONSOLE";

    private final boolean hasLogFile;

    ReadySign(@Value("${logging.file.name:}") String logFile) {
        this.hasLogFile = !logFile.isEmpty();
    }

    @EventListener
    @SuppressWarnings("SystemOut")
    void changed(AvailabilityChangeEvent<ReadinessState> event) {
        if (event.getState() == ReadinessState.ACCEPTING_TRAFFIC) {
            System.out.println("ready");
            if (hasLogFile && LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME) instanceof Logger root) {
                root.detachAppender(CONSOLE);
            }
        }
    }
}
