package app.galdrin.web.layout.internal.types;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.util.OptionalDouble;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;
import org.apache.ibatis.type.TypeHandler;
import org.jspecify.annotations.Nullable;

/** A number that may be unknown: null in the database, empty here. */
@MappedTypes(OptionalDouble.class)
public class OptionalDoubleTypeHandler implements TypeHandler<OptionalDouble> {

    @Override
    public void setParameter(
            PreparedStatement statement, int i, @Nullable OptionalDouble value, @Nullable JdbcType type)
            throws SQLException {
        if (value == null || value.isEmpty()) {
            statement.setNull(i, Types.DOUBLE);
        } else {
            statement.setDouble(i, value.getAsDouble());
        }
    }

    @Override
    public OptionalDouble getResult(ResultSet row, String column) throws SQLException {
        double value = row.getDouble(column);
        return row.wasNull() ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    @Override
    public OptionalDouble getResult(ResultSet row, int column) throws SQLException {
        double value = row.getDouble(column);
        return row.wasNull() ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    @Override
    public OptionalDouble getResult(CallableStatement call, int column) throws SQLException {
        double value = call.getDouble(column);
        return call.wasNull() ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
