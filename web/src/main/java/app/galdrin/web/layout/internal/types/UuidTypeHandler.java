package app.galdrin.web.layout.internal.types;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.UUID;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;
import org.jspecify.annotations.Nullable;

/** PostgreSQL's uuid as Java's. */
@MappedTypes(UUID.class)
public class UuidTypeHandler extends BaseTypeHandler<UUID> {

    @Override
    public void setNonNullParameter(PreparedStatement statement, int i, UUID id, @Nullable JdbcType type)
            throws SQLException {
        statement.setObject(i, id);
    }

    @Override
    public @Nullable UUID getNullableResult(ResultSet row, String column) throws SQLException {
        return row.getObject(column, UUID.class);
    }

    @Override
    public @Nullable UUID getNullableResult(ResultSet row, int column) throws SQLException {
        return row.getObject(column, UUID.class);
    }

    @Override
    public @Nullable UUID getNullableResult(CallableStatement statement, int column) throws SQLException {
        return statement.getObject(column, UUID.class);
    }
}
