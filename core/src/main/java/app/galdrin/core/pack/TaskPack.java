package app.galdrin.core.pack;

import app.galdrin.core.Fault;
import app.galdrin.core.FaultCode;
import app.galdrin.core.procedure.BayFloor;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.record.JsonLines;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.Vehicle;
import app.galdrin.core.spec.written.SheetDocument;
import app.galdrin.core.spec.written.WrittenSheet;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Practical;
import app.galdrin.core.task.TaskDocument;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A task with the sheet of its vehicle, {@code docs/marks-format.md}: what one installation needs to sit or mark what another has set.
 *
 * @param assignment the task on this vehicle, on the floor of the bay where that was surveyed
 */
public record TaskPack(Vehicle vehicle, Assignment assignment) {

    public static final String FORMAT = "galdrin.pack";
    public static final int VERSION = 1;

    /** Longest document, in bytes: a task, a sheet and room for what stands between. */
    public static final int LONGEST = TaskDocument.LONGEST + SheetDocument.LONGEST + 1024;

    private static final String TASK = "task";
    private static final String SHEET = "sheet";
    private static final String FLOOR = "floor";
    private static final String PITCH = "pitch";
    private static final String ROLL = "roll";
    private static final String DOUBT = "u";

    /** The steepest floor, degrees. */
    private static final double STEEPEST = 10;

    /** A text as it was read. */
    public sealed interface Reading {
        record ParsedPack(TaskPack pack) implements Reading {}

        /** All its faults, in its order. */
        record Refusal(List<PackFault> faults) implements Reading {}
    }

    /** Reads a pack; all faults of task and sheet are told together. */
    public static Reading read(String text) {
        byte[] bytes = text.replace('\n', ' ').replace('\r', ' ').getBytes(StandardCharsets.UTF_8);
        return bytes.length > LONGEST
                ? refused(Fault.ofLine())
                : JsonLines.object(bytes).map(TaskPack::read).orElseGet(() -> refused(Fault.ofLine()));
    }

    private static Reading refused(Fault fault) {
        return new TaskPack.Reading.Refusal(List.of(new PackFault.FaultOfPack(fault)));
    }

    private static Reading read(JsonObject json) {
        if (!FORMAT.equals(json.get("format"))) {
            return refused(Fault.at(FaultCode.OUT_OF_RANGE, "format").reading(json.get("format")));
        }
        if (!Double.valueOf(VERSION).equals(json.get("version"))) {
            return refused(Fault.at(FaultCode.OUT_OF_RANGE, "version").reading(json.get("version")));
        }
        List<PackFault> faults = new ArrayList<>();
        unknown(json, "", Set.of("format", "version", TASK, SHEET, FLOOR), faults);
        BayFloor floor = floor(json, faults);
        Optional<Practical> practical = task(json, faults);
        Optional<WrittenSheet.ParsedSheet> sheet = sheet(json, faults);
        if (faults.isEmpty()) {
            practical.get().faults(sheet.get().sheet()).forEach(fault -> faults.add(new PackFault.OfTask(fault)));
        }
        return faults.isEmpty()
                ? new TaskPack.Reading.ParsedPack(new TaskPack(
                        sheet.get().vehicle(),
                        new Assignment(practical.get(), sheet.get().sheet(), floor)))
                : new TaskPack.Reading.Refusal(faults);
    }

    private static void unknown(JsonObject json, String path, Set<String> names, List<PackFault> faults) {
        for (int i = 0; i < json.size(); i++) {
            if (!names.contains(json.name(i))) {
                faults.add(new PackFault.FaultOfPack(Fault.at(FaultCode.UNKNOWN_FIELD, path + json.name(i))));
            }
        }
    }

    private static Optional<JsonObject> object(JsonObject json, String name, List<PackFault> faults) {
        if (json.get(name) instanceof JsonObject object) {
            return Optional.of(object);
        }
        faults.add(new PackFault.FaultOfPack(
                json.has(name)
                        ? Fault.at(FaultCode.MALFORMED, name).reading(json.get(name))
                        : Fault.at(FaultCode.MISSING, name)));
        return Optional.empty();
    }

    private static Optional<Practical> task(JsonObject json, List<PackFault> faults) {
        return object(json, TASK, faults).map(TaskDocument::read).flatMap(reading -> {
            if (reading instanceof TaskDocument.Reading.Refusal refused) {
                refused.faults().forEach(fault -> faults.add(new PackFault.OfTask(fault)));
            }
            return reading instanceof TaskDocument.Reading.ParsedTask read
                    ? Optional.of(read.practical())
                    : Optional.<Practical>empty();
        });
    }

    private static Optional<WrittenSheet.ParsedSheet> sheet(JsonObject json, List<PackFault> faults) {
        return object(json, SHEET, faults).map(SheetDocument::read).flatMap(reading -> {
            if (reading instanceof WrittenSheet.Refusal refused) {
                refused.faults().forEach(fault -> faults.add(new PackFault.OfSheet(fault)));
            }
            return reading instanceof WrittenSheet.ParsedSheet read
                    ? Optional.of(read)
                    : Optional.<WrittenSheet.ParsedSheet>empty();
        });
    }

    /** The bay's slope as it was surveyed; level and exact where nothing is said of it. */
    private static BayFloor floor(JsonObject json, List<PackFault> faults) {
        Optional<JsonObject> floor = json.has(FLOOR) ? object(json, FLOOR, faults) : Optional.empty();
        if (floor.isEmpty()) {
            return BayFloor.LEVEL;
        }
        unknown(floor.get(), FLOOR + ".", Set.of(PITCH, ROLL, DOUBT), faults);
        double pitch = slope(floor.get(), PITCH, -STEEPEST, faults);
        double roll = slope(floor.get(), ROLL, -STEEPEST, faults);
        double doubt = slope(floor.get(), DOUBT, 0, faults);
        return new BayFloor(1, Quantity.ANGLE.toCore(pitch), Quantity.ANGLE.toCore(roll), Quantity.ANGLE.toCore(doubt));
    }

    private static double slope(JsonObject floor, String name, double least, List<PackFault> faults) {
        OptionalDouble value = floor.get(name) instanceof Double number && number >= least && number <= STEEPEST
                ? OptionalDouble.of(number)
                : OptionalDouble.empty();
        if (value.isEmpty() && floor.has(name)) {
            faults.add(new PackFault.FaultOfPack(Fault.at(FaultCode.OUT_OF_RANGE, FLOOR + "." + name)));
        }
        return value.orElse(0);
    }

    /** The one way of writing a pack; {@code sheet} is a sheet's document as its writer has it. */
    public static String write(Practical practical, String sheet) {
        return "{\"format\":\"" + FORMAT + "\",\"version\":" + VERSION + ",\"task\":" + TaskDocument.write(practical)
                + ",\"sheet\":" + sheet.strip() + "}";
    }
}
