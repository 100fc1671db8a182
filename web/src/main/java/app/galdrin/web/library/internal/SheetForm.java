package app.galdrin.web.library.internal;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.written.Cell;
import app.galdrin.core.spec.written.RowKind;
import app.galdrin.core.spec.written.SheetDraft;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.util.MultiValueMap;

/** Form of a sheet as it is typed, blank rows too. Its fields are named by kind, row and cell: {@code figures.3.min}. */
final class SheetForm {

    private static final Pattern FIELD = Pattern.compile("([a-zA-Z]{1,20})\\.(?:([0-9]{1,3})\\.)?([a-zA-Z]{1,20})");
    private static final Pattern ROW = Pattern.compile("([a-zA-Z]{1,20})\\.([0-9]{1,3})");

    /** Rows that most sheets give; an instructor starts from them. */
    private static final Map<Axle, List<Measurand>> USUAL = Map.of(
            Axle.FRONT,
            List.of(Measurand.CASTER, Measurand.CAMBER, Measurand.KPI, Measurand.TOE, Measurand.TOTAL_TOE),
            Axle.REAR,
            List.of(Measurand.CAMBER, Measurand.TOE, Measurand.TOTAL_TOE));

    private final Map<RowKind, List<Map<Cell, String>>> rows = new EnumMap<>(RowKind.class);

    private SheetForm() {
        for (RowKind kind : RowKind.values()) {
            rows.put(kind, new ArrayList<>());
        }
    }

    List<Map<Cell, String>> rows(RowKind kind) {
        return rows.getOrDefault(kind, List.of());
    }

    static SheetForm of(SheetDraft draft) {
        var form = new SheetForm();
        draft.rows().forEach(row -> form.rows(row.kind()).add(new EnumMap<>(Map.copyOf(row.cells()))));
        return form;
    }

    /** Returns a form with the rows that most sheets have, all empty. */
    static SheetForm blank() {
        var form = new SheetForm();
        form.rows(RowKind.VEHICLE).add(new EnumMap<>(Cell.class));
        form.rows(RowKind.GEOMETRY).add(new EnumMap<>(Cell.class));
        for (Axle axle : Axle.values()) {
            form.rows(RowKind.WHEELS).add(new EnumMap<>(Map.of(Cell.AXLE, axle.key())));
            for (Measurand figure : USUAL.getOrDefault(axle, List.of())) {
                form.rows(RowKind.FIGURE)
                        .add(new EnumMap<>(Map.of(
                                Cell.FIGURE,
                                figure.key(),
                                Cell.AXLE,
                                axle.key(),
                                Cell.ADJUSTABLE,
                                Adjustable.NOT_KNOWN.key())));
            }
        }
        return form;
    }

    /** Returns what came from the page; rows keep their order, numbers that are left out close up. */
    static SheetForm typed(MultiValueMap<String, String> fields) {
        Map<RowKind, TreeMap<Integer, Map<Cell, String>>> numbered = new EnumMap<>(RowKind.class);
        fields.forEach((name, values) -> {
            Matcher field = FIELD.matcher(name);
            if (field.matches() && !values.isEmpty() && values.get(0) != null) {
                Optional<RowKind> kind = Keyed.find(RowKind.values(), field.group(1));
                Optional<Cell> cell = Keyed.find(Cell.values(), field.group(3));
                if (kind.isPresent() && cell.isPresent() && kind.get().cells().contains(cell.get())) {
                    int number = field.group(2) == null ? 0 : Integer.parseInt(field.group(2));
                    numbered.computeIfAbsent(kind.get(), k -> new TreeMap<>())
                            .computeIfAbsent(number, n -> new EnumMap<>(Cell.class))
                            .put(cell.get(), values.get(0).strip());
                }
            }
        });
        var form = new SheetForm();
        numbered.forEach((kind, byNumber) -> form.rows(kind)
                .addAll(byNumber.values().stream().limit(kind.most() + 1L).toList()));
        return form;
    }

    /** One more row of a kind, if it has room. */
    void add(String kind) {
        Keyed.find(RowKind.values(), kind)
                .filter(k -> rows(k).size() < k.most())
                .ifPresent(k -> rows(k).add(blankRow(k)));
    }

    private static Map<Cell, String> blankRow(RowKind kind) {
        Map<Cell, String> row = new EnumMap<>(Cell.class);
        if (kind == RowKind.FIGURE) {
            row.put(Cell.ADJUSTABLE, Adjustable.NOT_KNOWN.key());
        }
        return row;
    }

    /** Takes a row out: {@code figures.3}. */
    void remove(String row) {
        Matcher name = ROW.matcher(row);
        if (name.matches()) {
            int number = Integer.parseInt(name.group(2));
            Keyed.find(RowKind.values(), name.group(1))
                    .filter(k -> !k.single() && number < rows(k).size())
                    .ifPresent(k -> rows(k).remove(number));
        }
    }

    /** Returns whether anybody has written in a row: what it is for was there before, and that nobody knows whether a figure can be adjusted. */
    private static boolean isTouched(RowKind kind, Map<Cell, String> cells) {
        Map<Cell, String> left = new EnumMap<>(Cell.class);
        left.putAll(cells);
        if (kind == RowKind.WHEELS) {
            left.remove(Cell.AXLE);
        } else if (kind == RowKind.FIGURE) {
            left.remove(Cell.FIGURE);
            left.remove(Cell.AXLE);
            left.remove(Cell.ADJUSTABLE, Adjustable.NOT_KNOWN.key());
            left.remove(Cell.ADJUSTABLE, "");
        }
        return !left.isEmpty();
    }

    /** Returns what is written; a row that nobody has touched is none. */
    SheetDraft draft() {
        List<SheetDraft.Row> written = new ArrayList<>();
        rows.forEach((kind, all) -> {
            for (int i = 0; i < all.size(); i++) {
                Map<Cell, String> cells = new EnumMap<>(Cell.class);
                all.get(i).forEach((cell, text) -> {
                    if (!text.isBlank()) {
                        cells.put(cell, text);
                    }
                });
                if (isTouched(kind, cells) || kind.single()) {
                    written.add(new SheetDraft.Row(kind, at(kind, i), cells));
                }
            }
        });
        return new SheetDraft(written);
    }

    static String at(RowKind kind, int number) {
        return kind.single() ? kind.key() : kind.key() + "." + number;
    }
}
