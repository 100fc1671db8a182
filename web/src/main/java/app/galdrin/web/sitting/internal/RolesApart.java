package app.galdrin.web.sitting.internal;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.flywaydb.core.api.callback.Callback;
import org.flywaydb.core.api.callback.Context;
import org.flywaydb.core.api.callback.Event;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Checks before anything is migrated that the role of the application is not the one that owns the tables, and no member of it. The
 * migration would take the owner's own rights away, and leave the database to nobody.
 */
@Component
class RolesApart implements Callback {

    private static final String MEMBER =
            "select coalesce((select pg_has_role(oid, current_user, 'member') from pg_roles"
                    + " where rolname = ?), false)";

    private final String application;

    RolesApart(@Value("${spring.datasource.username}") String application) {
        this.application = application;
    }

    @Override
    public boolean supports(Event event, Context context) {
        return event == Event.BEFORE_MIGRATE;
    }

    @Override
    public boolean canHandleInTransaction(Event event, Context context) {
        return true;
    }

    @Override
    public String getCallbackName() {
        return "rolesApart";
    }

    @Override
    public void handle(Event event, Context context) {
        try {
            if (isMember(context.getConnection())) {
                throw new IllegalStateException(
                        "The role of the application could change what was written: it owns the tables or belongs to their owner."
                                + " Give GALDRIN_DB_USER a role other than GALDRIN_DB_OWNER. Nothing was changed.");
            }
        } catch (SQLException e) {
            throw new IllegalStateException("the roles of the database could not be read", e);
        }
    }

    private boolean isMember(Connection owner) throws SQLException {
        try (PreparedStatement asked = owner.prepareStatement(MEMBER)) {
            asked.setString(1, application);
            try (ResultSet answer = asked.executeQuery()) {
                return answer.next() && answer.getBoolean(1);
            }
        }
    }
}
