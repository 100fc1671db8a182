package app.galdrin.core.spec.written;

import app.galdrin.core.geometry.Axle;
import app.galdrin.core.geometry.Side;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.spec.Adjuster;
import app.galdrin.core.spec.Fastener;
import app.galdrin.core.spec.FastenerUse;
import app.galdrin.core.spec.Linkage;
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
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** Makes a sheet of what is written, or names everything that is wrong. Bare numbers are degrees, millimetres or newton metres. */
public final class SheetReader {

    // from the smallest vehicle a workshop has to the largest, mm, N·m and degrees; our own working values, to catch a
    // slip of the unit
    private static final double LEAST_TRACK = 500;
    private static final double MOST_TRACK = 4000;
    private static final double MOST_WHEELBASE = 15000;
    private static final double LEAST_RIM = 150;
    private static final double MOST_RIM = 900;
    private static final double MOST_TYRE = 1000;
    private static final double MOST_PITCH = 8;
    private static final double MOST_ARM = 600;
    private static final double MOST_RATIO = 60;
    private static final double MOST_TORQUE = 3000;
    private static final double MOST_ANGLE = 720;

    private final List<SheetFault> faults = new ArrayList<>();

    private SheetReader() {}

    /** Reads a draft of a sheet. */
    public static WrittenSheet read(SheetDraft draft) {
        return new SheetReader().sheet(draft);
    }

    private WrittenSheet sheet(SheetDraft draft) {
        count(draft);
        if (faults.stream().anyMatch(f -> f.reason() == SheetFaultCode.TOO_LONG)) {
            return new WrittenSheet.Refusal(faults); // reading it could take as long as it is
        }
        Optional<Vehicle> vehicle = first(draft, RowKind.VEHICLE).map(this::vehicle);
        Map<Axle, WheelSize> wheels = wheels(draft);
        Optional<VehicleGeometry> geometry = first(draft, RowKind.GEOMETRY).flatMap(cells -> geometry(cells, wheels));
        Stance stance = first(draft, RowKind.GEOMETRY).map(SheetReader::stance).orElse(Stance.ANY);
        List<SheetLine> lines = lines(draft);
        List<Fastener> fasteners = fasteners(draft);
        List<Adjuster> adjusters = new PartsReader(faults, geometry, fasteners).read(draft);
        return faults.isEmpty() && vehicle.isPresent() && geometry.isPresent()
                ? new WrittenSheet.ParsedSheet(
                        vehicle.get(), new SpecificationSheet(geometry.get(), lines, adjusters, fasteners, stance))
                : new WrittenSheet.Refusal(faults);
    }

    /** Faults too many rows of a kind, or none of one that has to be there. */
    private void count(SheetDraft draft) {
        for (RowKind kind : RowKind.values()) {
            int there = draft.of(kind).size();
            if (there > kind.most()) {
                whole(SheetFaultCode.TOO_MANY, kind.key(), String.valueOf(there), String.valueOf(kind.most()));
            }
            if (there == 0 && (kind.single() || kind == RowKind.WHEELS)) {
                whole(SheetFaultCode.MISSING, kind.key());
            }
        }
        for (Row row : draft.rows()) {
            row.cells().forEach((cell, text) -> {
                if (text.length() > SheetDraft.LONGEST_CELL) {
                    new Cells(row, faults)
                            .fault(cell, SheetFaultCode.TOO_LONG, String.valueOf(SheetDraft.LONGEST_CELL));
                }
            });
        }
    }

    private void whole(SheetFaultCode reason, String value, String... more) {
        faults.add(new SheetFault("", Optional.empty(), reason, value, List.of(more)));
    }

    private Optional<Cells> first(SheetDraft draft, RowKind kind) {
        return draft.of(kind).stream().findFirst().map(row -> new Cells(row, faults));
    }

    private Vehicle vehicle(Cells c) {
        return new Vehicle(
                c.needed(Cell.MAKE),
                c.needed(Cell.MODEL),
                c.needed(Cell.BODY),
                c.needed(Cell.REGISTRATION),
                c.neededWord(Cell.DRIVEN, Axle.values()).orElse(Axle.FRONT),
                c.neededWord(Cell.DRIVER, Side.values()).orElse(Side.RIGHT));
    }

    /** The wheels of both axles; where those of one are not written they are like the other's. */
    private Map<Axle, WheelSize> wheels(SheetDraft draft) {
        Map<Axle, WheelSize> sizes = new EnumMap<>(Axle.class);
        Set<Axle> seen = new HashSet<>();
        for (Row row : draft.of(RowKind.WHEELS)) {
            var c = new Cells(row, faults);
            Optional<Axle> axle = c.neededWord(Cell.AXLE, Axle.values());
            if (axle.isPresent() && !seen.add(axle.get())) {
                c.fault(Cell.AXLE, SheetFaultCode.TWICE);
            }
            double rim = c.neededLength(Cell.RIM, LEAST_RIM, MOST_RIM);
            double tyre = c.neededLength(Cell.TYRE_RADIUS, LEAST_RIM / 2, MOST_TYRE);
            if (2 * tyre <= rim) {
                c.fault(Cell.TYRE_RADIUS, SheetFaultCode.RIM_IN_TYRE, c.text(Cell.RIM));
            } else if (axle.isPresent() && rim > 0 && tyre > 0) {
                sizes.put(axle.get(), new WheelSize(rim, tyre));
            }
        }
        return sizes;
    }

    private Optional<VehicleGeometry> geometry(Cells c, Map<Axle, WheelSize> wheels) {
        int before = faults.size();
        double wheelbase = c.neededLength(Cell.WHEELBASE, LEAST_TRACK, MOST_WHEELBASE);
        double front = c.neededLength(Cell.FRONT_TRACK, LEAST_TRACK, MOST_TRACK);
        double rear = c.neededLength(Cell.REAR_TRACK, LEAST_TRACK, MOST_TRACK);
        Optional<Linkage> linkage = c.neededWord(Cell.LINKAGE, Linkage.values());
        OptionalDouble pitch = c.quantity(Cell.ROD_PITCH, Unit.MM, 0.3, MOST_PITCH);
        boolean twice = c.yes(Cell.DOUBLE_THREAD, false);
        OptionalDouble arm = c.quantity(Cell.ARM_LENGTH, Unit.MM, 20, MOST_ARM);
        OptionalDouble ratio = c.number(Cell.STEERING_RATIO, 1, MOST_RATIO);
        Optional<Suspension> frontSuspension = c.word(Cell.FRONT_SUSPENSION, Suspension.values());
        Optional<Suspension> rearSuspension = c.word(Cell.REAR_SUSPENSION, Suspension.values());
        if (faults.size() > before || linkage.isEmpty() || wheels.isEmpty()) {
            return Optional.empty();
        }
        WheelSize any = wheels.values().iterator().next();
        return Optional.of(new VehicleGeometry(
                wheelbase,
                front,
                rear,
                wheels.getOrDefault(Axle.FRONT, any),
                wheels.getOrDefault(Axle.REAR, any),
                linkage.get(),
                pitch,
                twice,
                arm,
                ratio,
                frontSuspension,
                rearSuspension));
    }

    private static Stance stance(Cells c) {
        return new Stance(
                c.quantity(Cell.RIDE_HEIGHT, Unit.MM, Stance.LEAST_HEIGHT, Stance.MOST_HEIGHT),
                c.number(Cell.LOAD, 0, Stance.MOST_LOAD));
    }

    private List<SheetLine> lines(SheetDraft draft) {
        List<SheetLine> lines = new ArrayList<>();
        for (Row row : draft.of(RowKind.FIGURE)) {
            var c = new Cells(row, faults);
            new LineReader(c).read().ifPresent(line -> {
                boolean twice = lines.stream()
                        .anyMatch(l ->
                                l.measurand() == line.measurand() && l.axle().equals(line.axle()));
                if (twice) {
                    c.fault(Cell.FIGURE, SheetFaultCode.TWICE);
                }
                lines.add(line);
            });
        }
        return lines;
    }

    private List<Fastener> fasteners(SheetDraft draft) {
        List<Fastener> fasteners = new ArrayList<>();
        for (Row row : draft.of(RowKind.FASTENER)) {
            var c = new Cells(row, faults);
            String name = c.needed(Cell.NAME);
            if (fasteners.stream().anyMatch(f -> f.isNamed(name))) {
                c.fault(Cell.NAME, SheetFaultCode.TWICE);
            }
            fasteners.add(fastener(c, name));
        }
        return fasteners;
    }

    private Fastener fastener(Cells c, String name) {
        Optional<String> thread = Optional.of(c.text(Cell.THREAD)).filter(t -> !t.isEmpty());
        if (thread.isPresent() && Fastener.diameter(thread.get()).isEmpty()) {
            c.fault(Cell.THREAD, SheetFaultCode.UNKNOWN);
        }
        OptionalDouble least = c.torque(Cell.LEAST, MOST_TORQUE);
        OptionalDouble most = c.torque(Cell.MOST, MOST_TORQUE);
        OptionalDouble angle = c.quantity(Cell.ANGLE, Unit.DEG, 1, MOST_ANGLE);
        boolean once = c.yes(Cell.SINGLE_USE, false);
        boolean checked = c.yes(Cell.CHECKED, false);
        if (least.orElse(0) > most.orElse(MOST_TORQUE)) {
            c.fault(Cell.MOST, SheetFaultCode.WRONG_WAY_ROUND, c.text(Cell.LEAST));
            least = OptionalDouble.empty();
        }
        OptionalDouble diameter = thread.map(Fastener::diameter).orElse(OptionalDouble.empty());
        if (!checked && diameter.isPresent()) {
            plausible(c, Cell.LEAST, least, diameter.getAsDouble());
            plausible(c, Cell.MOST, most, diameter.getAsDouble());
        }
        return new Fastener(name, c.word(Cell.USE, FastenerUse.values()), thread, least, most, inCore(angle), once);
    }

    private static void plausible(Cells c, Cell cell, OptionalDouble torque, double diameter) {
        if (torque.isPresent() && !Fastener.plausible(torque.getAsDouble(), diameter)) {
            c.fault(cell, SheetFaultCode.IMPLAUSIBLE_TORQUE, c.text(Cell.THREAD));
        }
    }

    private static OptionalDouble inCore(OptionalDouble degrees) {
        return degrees.isPresent() ? OptionalDouble.of(Quantity.ANGLE.toCore(degrees.getAsDouble())) : degrees;
    }
}
