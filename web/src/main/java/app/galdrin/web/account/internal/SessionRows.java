package app.galdrin.web.account.internal;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/** Sessions in the database, written where something has changed: a session that is only used is noted once a minute, or once
 * in a tenth of the time it lasts unused. */
@Configuration(proxyBeanMethods = false)
class SessionRows {

    private static final String UPDATE = """
            with now (session_id, used, idle, ends, who, id) as
              (values (?::char(36), ?::bigint, ?::int, ?::bigint, ?::varchar, ?::char(36)))
            update spring_session s
            set session_id = now.session_id, last_access_time = now.used, max_inactive_interval = now.idle,
              expiry_time = now.ends, principal_name = now.who
            from now
            where s.primary_id = now.id and (now.used - s.last_access_time >= least(60000, now.idle * 100) or s.session_id <> now.session_id
              or s.max_inactive_interval <> now.idle or s.principal_name is distinct from now.who)
            """;

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> updatedOnceAMinute() {
        return repository -> repository.setUpdateSessionQuery(UPDATE);
    }
}
