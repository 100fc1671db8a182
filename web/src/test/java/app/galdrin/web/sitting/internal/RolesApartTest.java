package app.galdrin.web.sitting.internal;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import app.galdrin.web.GaldrinTest;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.jdbc.DataSourceBuilder;
import org.springframework.jdbc.core.JdbcTemplate;

/** A start with one role for both is refused before it can do harm. */
@GaldrinTest
class RolesApartTest {

    private static final String MAY_UPDATE = "select has_table_privilege(?, 'entry', 'update')";

    @Autowired
    private Flyway flyway;

    @Value("${spring.flyway.url}")
    private String url;

    @Value("${spring.flyway.user}")
    private String owner;

    @Value("${spring.flyway.password}")
    private String password;

    @Value("${spring.datasource.username}")
    private String application;

    @Test
    void oneRoleForBoth_isRefused_beforeTheMigrationTakesTheOwnersRights() {
        var asOwner = new JdbcTemplate(DataSourceBuilder.create()
                .url(url)
                .username(owner)
                .password(password)
                .build());
        Flyway both = Flyway.configure()
                .configuration(flyway.getConfiguration())
                .placeholders(Map.of("application", owner))
                .callbacks(new RolesApart(owner))
                .load();
        var refused = assertThrows(RuntimeException.class, both::migrate);
        assertTrue(words(refused).contains("a role other than GALDRIN_DB_OWNER"), words(refused));
        assertEquals(true, asOwner.queryForObject(MAY_UPDATE, Boolean.class, owner));
        assertEquals(false, asOwner.queryForObject(MAY_UPDATE, Boolean.class, application));
    }

    /** As a start of an older version left it. */
    @Test
    void anOwnerWithoutRights_getsThemBack() {
        var asOwner = new JdbcTemplate(DataSourceBuilder.create()
                .url(url)
                .username(owner)
                .password(password)
                .build());
        asOwner.execute("revoke update, delete on entry from " + owner);
        assertEquals(false, asOwner.queryForObject(MAY_UPDATE, Boolean.class, owner));
        Flyway.configure()
                .configuration(flyway.getConfiguration())
                .callbacks(new RolesApart(application))
                .load()
                .migrate();
        assertEquals(true, asOwner.queryForObject(MAY_UPDATE, Boolean.class, owner));
        assertEquals(false, asOwner.queryForObject(MAY_UPDATE, Boolean.class, application));
    }

    private static String words(Throwable refused) {
        StringBuilder words = new StringBuilder();
        for (Throwable t = refused; t != null; t = t.getCause()) {
            words.append(t.getMessage()).append('\n');
        }
        return words.toString();
    }
}
