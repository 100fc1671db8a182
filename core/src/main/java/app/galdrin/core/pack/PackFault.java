package app.galdrin.core.pack;

import app.galdrin.core.Fault;
import app.galdrin.core.spec.written.SheetFault;
import app.galdrin.core.task.TaskFault;

/** A fault of a pack: of itself, or of the task or the sheet in it. */
public sealed interface PackFault {

    record FaultOfPack(Fault fault) implements PackFault {}

    record OfTask(TaskFault fault) implements PackFault {}

    record OfSheet(SheetFault fault) implements PackFault {}
}
