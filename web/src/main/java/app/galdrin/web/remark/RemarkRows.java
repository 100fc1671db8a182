package app.galdrin.web.remark;

import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.marking.MarkSheet;
import app.galdrin.core.marking.Marker;
import app.galdrin.web.marksheet.EvidenceJson;
import app.galdrin.web.marksheet.MarkSheetRow;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.postgresql.PGConnection;

/** Rows of re-marked sheets on their way into the database by COPY; the lines of a sheet only where a mark of it changes. */
final class RemarkRows {

    private static final String SHEETS =
            "copy remark_sheet (centre_id, remark_id, sitting_id, person_id, old_number, engine, entry_seq,"
                    + " reference_seqs, total, available, percent, competent, complete, old_total, old_percent, old_competent, changed) from stdin";
    private static final String LINES =
            "copy remark_line (centre_id, remark_id, sitting_id, person_id, ordinal, step, aspect, available,"
                    + " must_pass, credit, computed, given, reason, evidence_version, evidence) from stdin";

    private final EvidenceJson json;
    private final UUID centre;
    private final UUID id;
    private final CopyText sheets = new CopyText();
    private final CopyText lines = new CopyText();
    private int changed;

    RemarkRows(EvidenceJson json, UUID centre, UUID id) {
        this.json = json;
        this.centre = centre;
        this.id = id;
    }

    /** Adds the sheets of a sitting as they are marked now. */
    void add(RemarkItem one, MarkSheet marked) {
        for (RemarkMapper.StoredSheetRow before : one.people()) {
            boolean other = isOther(before, marked);
            sheet(one, before, marked, other);
            if (other) {
                lines(before, one.withSteps(marked));
                changed++;
            }
        }
    }

    /** Returns how many sheets change. */
    int changed() {
        return changed;
    }

    /** Copies all into the database. */
    void copy(Connection connection) throws SQLException, IOException {
        var copy = connection.unwrap(PGConnection.class).getCopyAPI();
        copy.copyIn(SHEETS, new ByteArrayInputStream(sheets.bytes()));
        copy.copyIn(LINES, new ByteArrayInputStream(lines.bytes()));
    }

    /** Returns whether anything of it comes out otherwise: a mark of any line, or whether it is competent. */
    private static boolean isOther(RemarkMapper.StoredSheetRow before, MarkSheet now) {
        Map<String, String> old = new HashMap<>();
        for (String line : before.marks().split(" ", -1)) {
            int at = line.indexOf('=');
            if (at > 0) {
                old.put(line.substring(0, at), line.substring(at + 1));
            }
        }
        return old.size() != now.lines().size()
                || before.competent() != now.competent()
                || now.lines().stream().anyMatch(l -> {
                    String was = old.get(l.criterion().key());
                    return was == null || new BigDecimal(was).compareTo(l.marks()) != 0;
                });
    }

    private void sheet(RemarkItem one, RemarkMapper.StoredSheetRow before, MarkSheet now, boolean changed) {
        sheets.column(centre).column(id).column(before.sittingId()).column(before.personId());
        sheets.column(before.number())
                .column(Marker.ENGINE)
                .column(one.log().lastSeq())
                .column(json.seqs(one.seqs()));
        sheets.column(now.total()).column(now.available()).column(now.percent());
        sheets.column(now.competent()).column(now.complete());
        sheets.column(before.total()).column(before.percent()).column(before.competent());
        sheets.column(changed).end();
    }

    private void lines(RemarkMapper.StoredSheetRow before, MarkSheet now) {
        int ordinal = 0;
        for (MarkLine line : now.lines()) {
            MarkSheetRow.LineRow row = json.toRow(line, ++ordinal);
            lines.column(centre)
                    .column(id)
                    .column(before.sittingId())
                    .column(before.personId())
                    .column(ordinal);
            lines.column(row.step())
                    .column(row.aspect().key())
                    .column(row.available())
                    .column(row.mustPass());
            lines.column(row.credit())
                    .column(row.computed())
                    .column(row.given())
                    .column(row.reason());
            lines.column(row.evidenceVersion()).column(row.evidence()).end();
        }
    }
}
