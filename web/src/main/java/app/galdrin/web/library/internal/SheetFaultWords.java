package app.galdrin.web.library.internal;

import app.galdrin.core.Keyed;
import app.galdrin.core.spec.written.Cell;
import app.galdrin.core.spec.written.RowKind;
import app.galdrin.core.spec.written.SheetFault;
import app.galdrin.core.spec.written.SheetFaultCode;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Says what is wrong with a sheet as it is written: where, what was read, why it can't be and what to do. */
final class SheetFaultWords {

    private static final Set<Cell> TORQUES = Set.of(Cell.LEAST, Cell.MOST);
    private static final Set<Cell> COUNTS = Set.of(Cell.STEERING_RATIO, Cell.SMALLEST, Cell.SPARE, Cell.LOAD);
    private static final Set<Cell> ANGLES = Set.of(
            Cell.MIN,
            Cell.PREFERRED,
            Cell.MAX,
            Cell.TOLERANCE,
            Cell.DIFFERENCE,
            Cell.INTENDED,
            Cell.AMOUNT,
            Cell.ANGLE);

    private final Words words;

    SheetFaultWords(Words words) {
        this.words = words;
    }

    /** The field of a page that a fault is about: {@code figures.3.min}. */
    static String field(SheetFault fault) {
        return fault.cell().map(cell -> fault.at() + "." + cell.key()).orElse("");
    }

    /** The whole sentence, with its place. */
    String say(SheetFault fault) {
        String where = place(fault);
        return where.isEmpty() ? why(fault) : words.text("sheetFault.at", where, why(fault));
    }

    private String place(SheetFault fault) {
        List<String> parts = new ArrayList<>();
        String[] at = fault.at().split("\\.", -1);
        Optional<RowKind> kind = Keyed.find(RowKind.values(), at[0]);
        if (kind.isPresent()) {
            String title = words.text("rowKind." + kind.get().key());
            parts.add(at.length == 2 ? words.text("sheetFault.row", title, Integer.parseInt(at[1]) + 1) : title);
        } else if (!fault.at().isEmpty()) {
            parts.add(words.text("sheetFault.line", fault.at()));
        }
        fault.cell().ifPresent(cell -> parts.add(words.text("cell." + cell.key())));
        return String.join(", ", parts);
    }

    private String why(SheetFault fault) {
        String read = Words.quote(fault.value());
        if (fault.reason() == SheetFaultCode.MALFORMED) {
            return words.text(
                    "field." + fault.more().get(0),
                    read,
                    words.text(example(fault.cell().orElse(Cell.MIN))));
        }
        List<Object> args = new ArrayList<>();
        args.add(fault.reason() == SheetFaultCode.MISSING ? rowKind(read) : read);
        fault.more().forEach(one -> args.add(said(fault.reason(), one)));
        return words.text(
                "sheetFault." + fault.reason().key() + (fault.cell().isEmpty() ? wholeRow(fault) : ""), args.toArray());
    }

    private static String wholeRow(SheetFault fault) {
        return fault.reason() == SheetFaultCode.MISSING ? ".row" : "";
    }

    private String rowKind(String key) {
        return Keyed.find(RowKind.values(), key)
                .map(kind -> words.text("rowKind." + kind.key()))
                .orElse("");
    }

    private String said(SheetFaultCode reason, String more) {
        return switch (reason) {
            case DIFFERENCE_OF -> words.text("measurand." + more);
            case OUT_OF_RANGE -> words.textOr("sheetUnit." + (more.isEmpty() ? "none" : more), "sheetUnit.plain", more);
            default -> more;
        };
    }

    private static String example(Cell cell) {
        if (TORQUES.contains(cell)) {
            return "sheetFault.example.torque";
        }
        return "field.example." + (COUNTS.contains(cell) ? "count" : ANGLES.contains(cell) ? "angle" : "length");
    }
}
