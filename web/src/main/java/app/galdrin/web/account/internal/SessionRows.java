package app.galdrin.web.account.internal;

import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.PostgreSqlJdbcIndexedSessionRepositoryCustomizer;
import org.springframework.session.jdbc.config.annotation.web.http.EnableJdbcHttpSession;
import org.springframework.transaction.support.TransactionOperations;

/** Sessions in the database, written where something has changed: one that is only used is noted once a minute. */
@Configuration(proxyBeanMethods = false)
@EnableJdbcHttpSession
class SessionRows {

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> lasting(
            @Value("${galdrin.session.timeout}") Duration timeout) {
        return rows -> rows.setDefaultMaxInactiveInterval(timeout);
    }

    /** Two requests of one session may write the same of it at one moment, as when somebody presses twice: the last one stands. */
    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> pressedTwice() {
        return new PostgreSqlJdbcIndexedSessionRepositoryCustomizer();
    }

    /**
     * A session is read in one statement, which needs no transaction around it. Two are needed where one begins; if the second fails, what
     * stays is a session that lets nobody in, until it expires.
     */
    @Bean(defaultCandidate = false)
    TransactionOperations springSessionTransactionOperations() {
        return TransactionOperations.withoutTransaction();
    }

    @Bean
    @Primary
    SessionRepository<SessionUse> notedOnceAMinute(JdbcIndexedSessionRepository rows) {
        return noted(rows);
    }

    private static <S extends Session> SessionRepository<SessionUse> noted(SessionRepository<S> rows) {
        return new SessionRepository<>() {
            @Override
            public SessionUse createSession() {
                return new SessionUse(rows.createSession());
            }

            @Override
            @SuppressWarnings("unchecked") // it came from there
            public void save(SessionUse session) {
                rows.save((S) session.row());
            }

            @Override
            public @Nullable SessionUse findById(String id) {
                S row = rows.findById(id);
                return row == null ? null : new SessionUse(row);
            }

            @Override
            public void deleteById(String id) {
                rows.deleteById(id);
            }
        };
    }

    /** A session whose use is noted once a minute, or once in a tenth of the time it lasts unused. */
    record SessionUse(Session row) implements Session {

        private static final Duration LONGEST = Duration.ofMinutes(1);

        @Override
        public void setLastAccessedTime(Instant now) {
            Duration tenth = getMaxInactiveInterval().dividedBy(10);
            Duration pause = tenth.compareTo(LONGEST) < 0 ? tenth : LONGEST;
            if (!now.isBefore(getLastAccessedTime().plus(pause))) {
                row.setLastAccessedTime(now);
            }
        }

        @Override
        public String getId() {
            return row.getId();
        }

        @Override
        public String changeSessionId() {
            return row.changeSessionId();
        }

        @Override
        public <T> @Nullable T getAttribute(String name) {
            return row.getAttribute(name);
        }

        @Override
        public Set<String> getAttributeNames() {
            return row.getAttributeNames();
        }

        @Override
        public void setAttribute(String name, Object value) {
            row.setAttribute(name, value);
        }

        @Override
        public void removeAttribute(String name) {
            row.removeAttribute(name);
        }

        @Override
        public Instant getCreationTime() {
            return row.getCreationTime();
        }

        @Override
        public Instant getLastAccessedTime() {
            return row.getLastAccessedTime();
        }

        @Override
        public void setMaxInactiveInterval(Duration interval) {
            row.setMaxInactiveInterval(interval);
        }

        @Override
        public Duration getMaxInactiveInterval() {
            return row.getMaxInactiveInterval();
        }

        @Override
        public boolean isExpired() {
            return row.isExpired();
        }
    }
}
