package app.galdrin.web.gate.internal;

import static org.junit.jupiter.api.Assertions.assertEquals;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.Appender;
import ch.qos.logback.core.read.ListAppender;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.slf4j.LoggerFactory;
import org.springframework.boot.availability.AvailabilityChangeEvent;
import org.springframework.boot.availability.ReadinessState;

/** What a start prints is not rotated: once requests are taken, the log file has everything and the console nothing. */
class ReadySignTest {

    private static final String CONSOLE = "CONSOLE";
    private static final String LINE = "a line of this test";

    @ParameterizedTest(name = "log file {0}: {1} lines on the console")
    @CsvSource({"galdrin.log, 0", "'', 1"})
    void onceReady_theConsoleIsQuietWhereAFileIsNamed(String file, int lines) {
        var root = (Logger) LoggerFactory.getLogger(org.slf4j.Logger.ROOT_LOGGER_NAME);
        Appender<ILoggingEvent> usual = root.getAppender(CONSOLE);
        var console = new ListAppender<ILoggingEvent>();
        console.setName(CONSOLE);
        console.start();
        root.detachAppender(CONSOLE);
        root.addAppender(console);
        try {
            new ReadySign(file).changed(new AvailabilityChangeEvent<>(this, ReadinessState.ACCEPTING_TRAFFIC));
            root.error(LINE);
            // others may log at the same moment
            assertEquals(
                    lines,
                    console.list.stream()
                            .filter(e -> LINE.equals(e.getMessage()))
                            .count());
        } finally {
            root.detachAppender(console);
            if (usual != null) {
                root.addAppender(usual);
            }
        }
    }
}
