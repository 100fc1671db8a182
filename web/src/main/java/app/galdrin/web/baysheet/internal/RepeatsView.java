package app.galdrin.web.baysheet.internal;

import app.galdrin.web.sitting.Entry;
import app.galdrin.web.sketch.Sketch.SketchPlace;
import java.util.List;

/** One place with its repeats beside one another and what was struck out there. */
public record RepeatsView(SketchPlace place, List<Cell> cells, List<Entry> struck) {

    /** One repeat; {@code now} where it is the one being written. */
    public record Cell(FieldView field, boolean now) {

        /** The figure before its decimal sign; with {@link #part()} it is set so that decimal signs stand in a line. */
        public String whole() {
            return figure().replaceFirst("\\..*", "");
        }

        /** The decimal sign and what follows it. */
        public String part() {
            return figure().contains(".") ? figure().replaceFirst("[^.]*", "") : "";
        }

        private String figure() {
            return field.echo().replace("\u00a0mm", "");
        }
    }
}
