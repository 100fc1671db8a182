package app.galdrin.web.remark;

import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Rows that come in the order of their sittings, handed out a sitting at a time. */
final class GroupedRows<T> {
    private final Iterator<T> rows;
    private final Function<T, UUID> sitting;
    private @Nullable T waiting;

    GroupedRows(Iterator<T> rows, Function<T, UUID> sitting) {
        this.rows = rows;
        this.sitting = sitting;
        this.waiting = rows.hasNext() ? rows.next() : null;
    }

    /** The sitting of the row that comes next; null behind the last. */
    @Nullable
    UUID next() {
        T row = waiting;
        return row == null ? null : sitting.apply(row);
    }

    List<T> of(UUID wanted) {
        List<T> all = new ArrayList<>();
        for (T row = waiting; row != null && sitting.apply(row).equals(wanted); row = waiting) {
            all.add(row);
            waiting = rows.hasNext() ? rows.next() : null;
        }
        return all;
    }
}
