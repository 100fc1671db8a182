package app.galdrin.web.library.internal;

import app.galdrin.core.Keyed;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.figure.Location;
import app.galdrin.core.figure.Measurand;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.spec.Adjustable;
import app.galdrin.core.spec.FastenerUse;
import app.galdrin.core.spec.Linkage;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.Suspension;
import app.galdrin.core.spec.written.Cell;
import app.galdrin.core.spec.written.RowKind;
import app.galdrin.core.spec.written.Share;
import app.galdrin.core.spec.written.SheetFault;
import app.galdrin.web.library.internal.SheetFormView.Fault;
import app.galdrin.web.library.internal.SheetFormView.Field;
import app.galdrin.web.library.internal.SheetFormView.Group;
import app.galdrin.web.library.internal.SheetFormView.Option;
import app.galdrin.web.library.internal.SheetFormView.Row;
import app.galdrin.web.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/** Lays out the rows of a sheet that is being written. */
final class SheetFormMaker {

    private static final List<Measurand> MOVED = List.of(
            Measurand.CASTER,
            Measurand.CAMBER,
            Measurand.KPI,
            Measurand.TOE,
            Measurand.BUMP_STEER,
            Measurand.SETBACK,
            Measurand.WHEEL_OFFSET,
            Measurand.RACK,
            Measurand.THREADS);

    private final Words words;
    private final SheetFaultWords faultWords;

    SheetFormMaker(Words words) {
        this.words = words;
        this.faultWords = new SheetFaultWords(words);
    }

    List<Fault> faults(List<SheetFault> faults) {
        return faults.stream()
                .map(f -> new Fault(SheetFaultWords.field(f), faultWords.say(f)))
                .toList();
    }

    /** The groups of a form; a vehicle that stands is not written again. */
    List<Group> groups(SheetForm form, boolean withVehicle, List<SheetFault> faults) {
        return Stream.of(RowKind.values())
                .filter(kind -> withVehicle || kind != RowKind.VEHICLE)
                .map(kind -> group(kind, form.rows(kind), faults))
                .toList();
    }

    private Group group(RowKind kind, List<Map<Cell, String>> cells, List<SheetFault> faults) {
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < cells.size(); i++) {
            rows.add(row(kind, i, cells.get(i), faults));
        }
        return new Group(
                kind.key(),
                words.text("rowKind." + kind.key()),
                words.text("rowKind." + kind.key() + ".help"),
                kind.cells().stream().map(this::label).toList(),
                rows,
                kind.single(),
                !kind.single() && rows.size() < kind.most());
    }

    private String label(Cell cell) {
        return words.text("cell." + cell.key());
    }

    private Row row(RowKind kind, int number, Map<Cell, String> cells, List<SheetFault> faults) {
        String at = SheetForm.at(kind, number);
        List<SheetFault> own = faults.stream().filter(f -> f.at().equals(at)).toList();
        String name = kind.single()
                ? words.text("rowKind." + kind.key())
                : words.text("sheetFault.row", words.text("rowKind." + kind.key()), number + 1);
        List<Field> fields = kind.cells().stream()
                .map(cell -> new Field(
                        at + "." + cell.key(),
                        name + ": " + label(cell),
                        cells.getOrDefault(cell, ""),
                        options(kind, cell, cells.getOrDefault(cell, "")),
                        own.stream()
                                .anyMatch(f -> f.cell().filter(c -> c == cell).isPresent())))
                .toList();
        return new Row(at, name, fields, faults(own));
    }

    /** Returns what can be chosen; a word that is none of it stays there to be seen. */
    private List<Option> options(RowKind kind, Cell cell, String typed) {
        List<Option> options = new ArrayList<>(
                switch (cell) {
                    case DRIVEN, AXLE -> of("axle.", Axle.values());
                    case DRIVER -> of("side.", Side.values());
                    case LINKAGE -> of("linkage.", Linkage.values());
                    case FRONT_SUSPENSION, REAR_SUSPENSION -> of("suspension.", Suspension.values());
                    case FIGURE -> kind == RowKind.FIGURE ? figures() : moved();
                    case OF -> of("share.", Share.values());
                    case ADJUSTABLE -> of("adjustable.", Adjustable.values());
                    case PART -> of("part.", Part.values());
                    case WHERE ->
                        Arrays.stream(Location.values())
                                .filter(w -> w != Location.VEHICLE)
                                .map(w -> new Option(w.key(), words.text("where." + w.key())))
                                .toList();
                    case USE -> of("fastenerUse.", FastenerUse.values());
                    case DOUBLE_THREAD, REREAD, SINGLE_USE, CHECKED ->
                        Stream.of("yes", "no")
                                .map(k -> new Option(k, words.text("yesNo." + k)))
                                .toList();
                    default -> List.<Option>of();
                });
        if (!options.isEmpty()) {
            options.add(0, new Option("", cell == Cell.WHERE ? words.text("sheet.theVehicle") : "–"));
            if (options.stream().noneMatch(o -> o.key().equals(typed))) {
                options.add(new Option(typed, typed));
            }
        }
        return options;
    }

    private List<Option> figures() {
        return Arrays.stream(Measurand.values())
                .filter(m -> m.form() != Measurand.Form.DIFFERENCE)
                .map(m -> new Option(m.key(), words.text("measurand." + m.key())))
                .toList();
    }

    /** Returns what a part can move. */
    private List<Option> moved() {
        return Arrays.stream(Location.values())
                .flatMap(where ->
                        MOVED.stream().filter(m -> m.extent() == where.extent()).map(m -> FigureId.of(m, where)))
                .map(f -> new Option(f.key(), words.name(f)))
                .toList();
    }

    private List<Option> of(String family, Keyed[] keys) {
        return Arrays.stream(keys)
                .map(k -> new Option(k.key(), words.text(family + k.key())))
                .toList();
    }
}
