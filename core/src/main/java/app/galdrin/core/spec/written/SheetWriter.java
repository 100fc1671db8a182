package app.galdrin.core.spec.written;

import app.galdrin.core.figure.FigureId;
import app.galdrin.core.geometry.Axle;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Fastener;
import app.galdrin.core.spec.FastenerUse;
import app.galdrin.core.spec.Limits;
import app.galdrin.core.spec.Part;
import app.galdrin.core.spec.SheetLine;
import app.galdrin.core.spec.SpecificationSheet;
import app.galdrin.core.spec.Stance;
import app.galdrin.core.spec.Suspension;
import app.galdrin.core.spec.Vehicle;
import app.galdrin.core.spec.VehicleGeometry;
import app.galdrin.core.spec.WheelSize;
import app.galdrin.core.spec.written.SheetDraft.Row;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** Writes a sheet down again: figures as they were typed, everything else in millimetres, degrees and newton metres. */
public final class SheetWriter {

    private final List<Row> rows = new ArrayList<>();

    private SheetWriter() {}

    /** The one way of writing a sheet; reading it again gives the same sheet. */
    public static SheetDraft draft(Vehicle vehicle, SpecificationSheet sheet) {
        var writer = new SheetWriter();
        writer.vehicle(vehicle);
        writer.geometry(sheet.geometry(), sheet.stance());
        sheet.lines().forEach(writer::line);
        sheet.adjusters().forEach(writer::part);
        sheet.adjusters().forEach(writer::effects);
        sheet.fasteners().forEach(writer::fastener);
        return new SheetDraft(writer.rows);
    }

    private static String axle(SheetLine line) {
        return line.axle().map(Axle::key).orElse("");
    }

    /** Cells of one row; what is empty is left out. */
    private final class RowBuilder {
        private final RowKind kind;
        private final Map<Cell, String> cells = new EnumMap<>(Cell.class);

        RowBuilder(RowKind kind) {
            this.kind = kind;
        }

        RowBuilder with(Cell cell, String text) {
            if (!text.isEmpty()) {
                cells.put(cell, text);
            }
            return this;
        }

        RowBuilder with(Cell cell, OptionalDouble value) {
            return value.isPresent() ? with(cell, number(value.getAsDouble())) : this;
        }

        RowBuilder flag(Cell cell, boolean yes) {
            return with(cell, yes ? "yes" : "no");
        }

        void add() {
            long before = rows.stream().filter(r -> r.kind() == kind).count();
            rows.add(new Row(kind, kind.single() ? kind.key() : kind.key() + "." + before, cells));
        }
    }

    /** Returns what was printed: the way there and back leaves nothing in the last digits. */
    private static String number(double value) {
        return Cells.plain(Math.rint(value * 1e9) / 1e9);
    }

    private static OptionalDouble printed(OptionalDouble core, boolean angle) {
        return core.isPresent() && angle ? OptionalDouble.of(Quantity.ANGLE.toDocument(core.getAsDouble())) : core;
    }

    private void vehicle(Vehicle v) {
        new RowBuilder(RowKind.VEHICLE)
                .with(Cell.MAKE, v.make())
                .with(Cell.MODEL, v.model())
                .with(Cell.BODY, v.body())
                .with(Cell.REGISTRATION, v.registration())
                .with(Cell.DRIVEN, v.drivenAxle().key())
                .with(Cell.DRIVER, v.driverSide().key())
                .add();
    }

    private void geometry(VehicleGeometry g, Stance stance) {
        new RowBuilder(RowKind.GEOMETRY)
                .with(Cell.WHEELBASE, number(g.wheelbase()))
                .with(Cell.FRONT_TRACK, number(g.frontTrack()))
                .with(Cell.REAR_TRACK, number(g.rearTrack()))
                .with(Cell.LINKAGE, g.linkage().key())
                .with(Cell.ROD_PITCH, g.rodPitch())
                .flag(Cell.DOUBLE_THREAD, g.doubleThread())
                .with(Cell.ARM_LENGTH, g.armLength())
                .with(Cell.STEERING_RATIO, g.steeringRatio())
                .with(
                        Cell.FRONT_SUSPENSION,
                        g.frontSuspension().map(Suspension::key).orElse(""))
                .with(
                        Cell.REAR_SUSPENSION,
                        g.rearSuspension().map(Suspension::key).orElse(""))
                .with(Cell.RIDE_HEIGHT, stance.rideHeight())
                .with(Cell.LOAD, stance.load())
                .add();
        for (Axle axle : Axle.values()) {
            WheelSize size = g.wheels(axle);
            new RowBuilder(RowKind.WHEELS)
                    .with(Cell.AXLE, axle.key())
                    .with(Cell.RIM, number(size.rimDiameter()))
                    .with(Cell.TYRE_RADIUS, number(size.tyreRadius()))
                    .add();
        }
    }

    private void line(SheetLine line) {
        var cells = new RowBuilder(RowKind.FIGURE)
                .with(Cell.FIGURE, line.measurand().key())
                .with(Cell.AXLE, axle(line));
        if (line.typed().isEmpty()) {
            inDegrees(cells, line);
        } else {
            RowKind.FIGURE.cells().forEach(cell -> cells.with(cell, line.typed().getOrDefault(cell.key(), "")));
        }
        line.innerAngle().ifPresent(angle -> cells.with(Cell.INNER_ANGLE, Integer.toString(angle)));
        cells.with(Cell.ADJUSTABLE, line.adjustable().key()).add();
    }

    private static void inDegrees(RowBuilder cells, SheetLine line) {
        boolean angle = line.measurand().quantity() == Quantity.ANGLE;
        Optional<Limits> limits = line.limits();
        cells.with(Cell.MIN, printed(limits.map(Limits::min).orElse(OptionalDouble.empty()), angle));
        cells.with(Cell.PREFERRED, printed(limits.map(Limits::preferred).orElse(line.preferredAlone()), angle));
        cells.with(Cell.MAX, printed(limits.map(Limits::max).orElse(OptionalDouble.empty()), angle));
        line.sideDifference().ifPresent(d -> {
            cells.with(Cell.DIFFERENCE, printed(OptionalDouble.of(d.most()), angle));
            if (d.intended() != 0) {
                cells.with(Cell.INTENDED, printed(OptionalDouble.of(d.intended()), angle));
            }
        });
    }

    private void part(Adjuster a) {
        new RowBuilder(RowKind.PART)
                .with(Cell.PART, a.part().key())
                .with(Cell.WHERE, a.where().key())
                .with(Cell.MOST, number(a.most()))
                .with(Cell.SMALLEST, number(a.smallestStep()))
                .with(Cell.FASTENER, a.fastener().orElse(""))
                .flag(Cell.REREAD, a.rereadAfter())
                .with(Cell.SPARE, a.spare())
                .add();
    }

    /** A rod's follow from thread and steering arm and are not written. */
    private void effects(Adjuster a) {
        if (a.part() == Part.ROD && a.where().wheel().isPresent()) {
            return;
        }
        a.effects().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(e -> effect(a, e.getKey(), e.getValue()));
    }

    private void effect(Adjuster a, FigureId figure, Adjuster.Effect effect) {
        boolean angle = figure.measurand().quantity() == Quantity.ANGLE;
        var cells = new RowBuilder(RowKind.EFFECT)
                .with(Cell.PART, a.part().key())
                .with(Cell.WHERE, a.where().key())
                .with(Cell.FIGURE, figure.key());
        if (effect.perUnit().isPresent()) {
            cells.with(Cell.AMOUNT, printed(effect.perUnit(), angle))
                    .with(Cell.DOUBT, printed(OptionalDouble.of(effect.doubt()), angle));
        } else {
            cells.with(Cell.AMOUNT, effect.sign() > 0 ? "+" : "-");
        }
        cells.add();
    }

    private void fastener(Fastener f) {
        var cells = new RowBuilder(RowKind.FASTENER)
                .with(Cell.NAME, f.name())
                .with(Cell.USE, f.use().map(FastenerUse::key).orElse(""))
                .with(Cell.THREAD, f.thread().orElse(""))
                .with(Cell.LEAST, f.least())
                .with(Cell.MOST, f.most())
                .with(Cell.ANGLE, printed(f.angle(), true))
                .flag(Cell.SINGLE_USE, f.singleUse());
        if (f.unusual()) {
            cells.flag(Cell.CHECKED, true); // it was looked up again, or it would not have been written
        }
        cells.add();
    }
}
