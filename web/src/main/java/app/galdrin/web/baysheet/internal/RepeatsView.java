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
            return hasDecimals() ? figure().replaceFirst("\\..*", "") : figure();
        }

        /** The decimal sign and what follows it. */
        public String part() {
            return hasDecimals() ? figure().replaceFirst("[^.]*", "") : "";
        }

        /** Whether it is an inch fraction, which has no decimal sign of its own to line up. */
        public boolean fraction() {
            return field.echo().contains("\u2033");
        }

        private boolean hasDecimals() {
            return figure().contains(".") && !fraction();
        }

        private String figure() {
            return fraction() ? field.echo() : field.echo().replace("\u00a0mm", "");
        }
    }
}
