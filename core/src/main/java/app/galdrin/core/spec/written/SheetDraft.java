package app.galdrin.core.spec.written;

import java.util.List;
import java.util.Map;

/** A sheet as it was written, right or wrong. */
public record SheetDraft(List<Row> rows) {

    /** Longest text of a cell. */
    public static final int LONGEST_CELL = 80;

    public SheetDraft {
        rows = List.copyOf(rows);
    }

    /**
     * A row.
     *
     * @param at where it stands for anyone who wrote it: {@code figures.3} on a page and in JSON, {@code 14} for a line of CSV
     * @param cells what is written in it; a cell that is left empty is not there
     */
    public record Row(RowKind kind, String at, Map<Cell, String> cells) {
        public Row {
            cells = Map.copyOf(cells);
        }

        /** Empty where nothing is written. */
        public String text(Cell cell) {
            return cells.getOrDefault(cell, "");
        }
    }

    public List<Row> of(RowKind kind) {
        return rows.stream().filter(row -> row.kind() == kind).toList();
    }
}
