package app.galdrin.web.library.internal;

import app.galdrin.web.library.SheetVersion;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The page on which a sheet is written.
 *
 * @param after the version it comes after; null for a new vehicle
 * @param issue the letter it will have
 * @param changes against the version before, once everything can be read
 * @param faults everything that is wrong, each with the id of its field
 */
public record SheetFormView(
        @Nullable SheetVersion after,
        String issue,
        String reason,
        String note,
        List<Group> groups,
        List<Fault> faults,
        List<SheetView.SheetChange> changes,
        boolean checked) {

    /** Rows of a kind under their heads. */
    public record Group(
            String key, String title, String help, List<String> heads, List<Row> rows, boolean single, boolean room) {}

    /** A row; its faults in one list below it. */
    public record Row(String at, String name, List<Field> fields, List<Fault> faults) {}

    /**
     * A cell.
     *
     * @param options what can be chosen; empty where it is typed
     */
    public record Field(String id, String label, String text, List<Option> options, boolean bad) {}

    public record Option(String key, String word) {}

    /** A sentence and the field it is about; empty where it is about the whole. */
    public record Fault(String field, String sentence) {}
}
