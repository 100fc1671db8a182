package app.galdrin.web.task;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Practical;
import app.galdrin.web.library.SheetVersion;
import java.util.List;

/** A task while it is composed, as the bench shows it. */
public interface BenchDraft {

    /** The task as it stands. */
    Practical practical();

    /** The sheet of its vehicle. */
    SheetVersion sheet();

    /** Returns what a field shows: what was typed and refused, else what stands. */
    String value(String field, Object stands);

    /** Returns the items in words of their own that the centre has used before. */
    List<Checklist.Item> knownItems();

    /** Returns the name of a field of a step. */
    static String field(String step, String name) {
        return "steps." + step + "." + name;
    }

    /** Returns the name of a figure. */
    String name(FigureId figure);
}
