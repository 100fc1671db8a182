package app.galdrin.web.layout.internal.types;

import java.sql.Array;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.jspecify.annotations.Nullable;

/** PostgreSQL's array of text as a list. */
public class TextArrayTypeHandler extends BaseTypeHandler<List<String>> {

    @Override
    public void setNonNullParameter(PreparedStatement statement, int i, List<String> texts, @Nullable JdbcType type)
            throws SQLException {
        statement.setArray(i, statement.getConnection().createArrayOf("text", texts.toArray()));
    }

    private static @Nullable List<String> list(@Nullable Array array) throws SQLException {
        return array == null ? null : List.of((String[]) array.getArray());
    }

    @Override
    public @Nullable List<String> getNullableResult(ResultSet row, String column) throws SQLException {
        return list(row.getArray(column));
    }

    @Override
    public @Nullable List<String> getNullableResult(ResultSet row, int column) throws SQLException {
        return list(row.getArray(column));
    }

    @Override
    public @Nullable List<String> getNullableResult(CallableStatement statement, int column) throws SQLException {
        return list(statement.getArray(column));
    }
}
