package app.galdrin.web.layout.internal;

import app.galdrin.core.Keyed;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Arrays;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.jspecify.annotations.Nullable;

/** Constants by the key they have in documents, forms and words; one without a key of its own by its name. */
public class KeyedTypeHandler<E extends Enum<E>> extends BaseTypeHandler<E> {

    private final E[] constants;

    public KeyedTypeHandler(Class<E> type) {
        this.constants = type.getEnumConstants();
    }

    private static String key(Enum<?> constant) {
        return constant instanceof Keyed keyed ? keyed.key() : constant.name();
    }

    @Override
    public void setNonNullParameter(PreparedStatement statement, int i, E constant, @Nullable JdbcType type)
            throws SQLException {
        statement.setString(i, key(constant));
    }

    private @Nullable E constant(@Nullable String key) {
        return key == null
                ? null
                : Arrays.stream(constants)
                        .filter(c -> key(c).equals(key))
                        .findFirst()
                        .orElseThrow(() -> new IllegalStateException("no constant with key " + key));
    }

    @Override
    public @Nullable E getNullableResult(ResultSet row, String column) throws SQLException {
        return constant(row.getString(column));
    }

    @Override
    public @Nullable E getNullableResult(ResultSet row, int column) throws SQLException {
        return constant(row.getString(column));
    }

    @Override
    public @Nullable E getNullableResult(CallableStatement statement, int column) throws SQLException {
        return constant(statement.getString(column));
    }
}
