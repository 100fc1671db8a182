package app.galdrin.web.marksheet.internal;

import app.galdrin.web.marksheet.MarkSheets;
import app.galdrin.web.sitting.Sittings;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Checks what has to hold before the first page is served: the application's role can't change the log, every released sitting has its marks
 * stored, and if it was asked for, what is known of sittings is made again from their entries.
 */
@Component
class AtStart implements SmartInitializingSingleton {

    private static final Logger LOG = LoggerFactory.getLogger(AtStart.class);

    private static final String MAY_CHANGE_THE_LOG =
            "select exists (select 1 from pg_class where relname = 'entry' and pg_has_role(current_user, relowner, 'member'))"
                    + " or has_table_privilege('entry', 'update') or has_table_privilege('entry', 'delete')"
                    + " or has_table_privilege('mark_sheet', 'update') or has_table_privilege('mark_line', 'delete')";

    private final JdbcTemplate jdbc;
    private final MarkSheets marks;
    private final Sittings sittings;
    private final boolean rebuild;

    AtStart(
            JdbcTemplate jdbc,
            MarkSheets marks,
            Sittings sittings,
            @Value("${galdrin.rebuild:false}") boolean rebuild) {
        this.jdbc = jdbc;
        this.marks = marks;
        this.sittings = sittings;
        this.rebuild = rebuild;
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (Boolean.TRUE.equals(jdbc.queryForObject(MAY_CHANGE_THE_LOG, Boolean.class))) {
            throw new IllegalStateException(
                    "The role of the application could change what was written: it owns the table entry or may"
                            + " update it. Give GALDRIN_DB_USER a role other than GALDRIN_DB_OWNER.");
        }
        if (rebuild) {
            LOG.info("rebuilt the state of {} sittings from their entries", sittings.rebuild());
        }
        int stored = marks.storeReleased();
        if (stored > 0) {
            LOG.info("mark sheets stored for {} sittings that were released before", stored);
        }
    }
}
