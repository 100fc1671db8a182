package app.galdrin.web.sitting;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.web.account.Role;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;
import org.apache.ibatis.type.TypeHandler;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Reads an entry from the columns of its row, whatever else the row has: one place for all statements that read entries. A nested result map
 * would put rows together that share a part, and look columns up by name with every row.
 */
@Component
@MappedTypes(Entry.class)
class EntryColumns implements TypeHandler<Entry> {

    @Override
    public Entry getResult(ResultSet row, String column) throws SQLException {
        return new Entry(
                row.getInt("seq"),
                row.getString("key"),
                new LineKey(
                        row.getString("step"), row.getString("line"), row.getInt("repeat_no"), row.getInt("round_no")),
                row.getString("written"),
                row.getBigDecimal("value"),
                row.getBigDecimal("resolution"),
                row.getBoolean("is_strike"),
                List.of((String[]) row.getArray("saw").getArray()),
                row.getBoolean("late"),
                row.getObject("person_id", UUID.class),
                Role.valueOf(row.getString("role")),
                row.getString("device"),
                row.getLong("device_seq"),
                row.getObject("written_at", OffsetDateTime.class).toInstant(),
                row.getObject("received_at", OffsetDateTime.class).toInstant());
    }

    @Override
    public Entry getResult(ResultSet row, int column) {
        throw new UnsupportedOperationException("an entry is read by the names of its columns");
    }

    @Override
    public Entry getResult(CallableStatement statement, int column) {
        throw new UnsupportedOperationException("an entry is read by the names of its columns");
    }

    @Override
    public void setParameter(PreparedStatement statement, int i, @Nullable Entry entry, @Nullable JdbcType type) {
        throw new UnsupportedOperationException("an entry is written column by column");
    }
}
