package app.galdrin.web.procedure.internal;

import app.galdrin.core.figure.Measurand;
import app.galdrin.core.procedure.Family;
import java.util.List;

/** All procedures against what they see, how long they take and how sure they are on one vehicle. */
public record MatrixView(List<Measurand> columns, List<Row> rows) {

    /**
     * One procedure.
     *
     * @param cells where it sees each column's figure: key of a word, empty where it is blind to it
     * @param minutes to set it up, and for one reading of everything
     * @param sure how good its first figure is, read once, said
     */
    public record Row(
            String key, Family family, boolean first, List<String> cells, int toSet, int toRead, String sure) {}
}
