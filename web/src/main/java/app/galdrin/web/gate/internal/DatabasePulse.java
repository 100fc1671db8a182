package app.galdrin.web.gate.internal;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.Properties;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.jdbc.autoconfigure.DataSourceProperties;
import org.springframework.stereotype.Component;

/**
 * Feels every half second whether the database answers, on a connection of its own. While it does not, nobody waits for it: a database
 * that hangs would otherwise hold every thread for as long as a socket waits.
 */
@Component
class DatabasePulse implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(DatabasePulse.class);
    private static final long EVERY_MILLIS = 500;
    private static final String SECONDS = "1";

    private final String url;
    private final Properties access = new Properties();
    private final ScheduledExecutorService clock;
    private volatile boolean away;
    private @Nullable Connection connection;

    DatabasePulse(DataSourceProperties database) {
        this.url = database.determineUrl();
        access.setProperty("user", database.determineUsername());
        access.setProperty("password", database.determinePassword());
        access.setProperty("connectTimeout", SECONDS);
        access.setProperty("loginTimeout", SECONDS);
        access.setProperty("socketTimeout", SECONDS);
        access.setProperty("ApplicationName", "galdrin pulse");
        clock = Executors.newSingleThreadScheduledExecutor(work -> {
            var thread = new Thread(work, "database-pulse");
            thread.setDaemon(true);
            return thread;
        });
        var unused = clock.scheduleWithFixedDelay(this::beat, EVERY_MILLIS, EVERY_MILLIS, TimeUnit.MILLISECONDS);
    }

    boolean isAway() {
        return away;
    }

    private void beat() {
        boolean answers = answers();
        if (!answers) {
            answers = answers(); // a connection that was ended says nothing of the next
        }
        if (answers == away) {
            LOG.warn("database {}", answers ? "is back" : "is away");
        }
        away = !answers;
    }

    private boolean answers() {
        try {
            Connection open = connection;
            if (open == null) {
                open = DriverManager.getConnection(url, access);
                connection = open;
            }
            try (var statement = open.createStatement()) {
                return statement.execute("select 1");
            }
        } catch (SQLException e) {
            close();
            return false;
        }
    }

    private void close() {
        Connection broken = connection;
        connection = null;
        if (broken != null) {
            try {
                broken.close();
            } catch (SQLException e) {
                LOG.debug("the pulse's connection did not close", e);
            }
        }
    }

    @Override
    public void destroy() {
        clock.shutdownNow();
        close();
    }
}
