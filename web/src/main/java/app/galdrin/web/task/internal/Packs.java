package app.galdrin.web.task.internal;

import app.galdrin.core.Fault;
import app.galdrin.core.figure.FigureId;
import app.galdrin.core.pack.PackFault;
import app.galdrin.core.pack.TaskPack;
import app.galdrin.core.spec.written.SheetDocument;
import app.galdrin.core.spec.written.SheetFault;
import app.galdrin.core.spec.written.SheetWriter;
import app.galdrin.core.spec.written.WrittenSheet;
import app.galdrin.core.task.TaskFault;
import app.galdrin.core.task.TaskFaultCode;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.library.Library;
import app.galdrin.web.library.SheetVersion;
import app.galdrin.web.task.TaskVersion;
import app.galdrin.web.task.Tasks;
import app.galdrin.web.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tasks with the sheets of their vehicles, as other workshops get and send them. */
@Service
class Packs {

    private final Library library;
    private final Tasks tasks;
    private final Words words;

    Packs(Library library, Tasks tasks, Words words) {
        this.library = library;
        this.tasks = tasks;
        this.words = words;
    }

    /** A task with the first sheet it may be sat on. */
    String write(TaskVersion task) {
        return TaskPack.write(
                task.practical(), SheetDocument.write(task.sheets().get(0).draft()));
    }

    /** Result of importing a pack: the task it was set as, or all its faults, and then nothing was changed. */
    sealed interface PackImport {
        record AsTask(UUID task) implements PackImport {}

        record Refusal(List<String> faults) implements PackImport {}
    }

    /** Sets the task of a pack for a class; its vehicle is added where nobody has its registration. */
    @Transactional
    public PackImport take(SignedIn me, String text, UUID classId, UUID id) {
        TaskPack.Reading read = TaskPack.read(text);
        if (read instanceof TaskPack.Reading.Refusal refused) {
            return new PackImport.Refusal(
                    refused.faults().stream().map(this::said).toList());
        }
        TaskPack pack = ((TaskPack.Reading.ParsedPack) read).pack();
        Optional<UUID> sheet = sheet(me, pack);
        if (sheet.isEmpty()) {
            return new PackImport.Refusal(
                    List.of(words.text("pack.otherSheet", pack.vehicle().registration())));
        }
        tasks.set(
                id,
                me.centreId(),
                me.personId(),
                pack.assignment().practical(),
                List.of(sheet.get()),
                classId,
                Optional.empty());
        return new PackImport.AsTask(id);
    }

    /** The newest sheet of its vehicle if that is the same one, else a new vehicle's; empty where another sheet stands there. */
    private Optional<UUID> sheet(SignedIn me, TaskPack pack) {
        Optional<SheetVersion> standing = standing(me, pack);
        if (standing.isEmpty()) {
            Optional<UUID> added = library.addVehicle(
                    me.centreId(),
                    new WrittenSheet.ParsedSheet(
                            pack.vehicle(), pack.assignment().sheet()),
                    me.personId());
            if (added.isPresent()) {
                return added;
            }
            standing = standing(me, pack); // somebody was quicker, perhaps with the same pack
        }
        // as they are written: figures that nobody typed differ in digits that are not printed
        String comes = SheetDocument.write(
                SheetWriter.draft(pack.vehicle(), pack.assignment().sheet()));
        return standing.filter(s -> SheetDocument.write(s.draft()).equals(comes))
                .map(SheetVersion::id);
    }

    private Optional<SheetVersion> standing(SignedIn me, TaskPack pack) {
        return library.vehicle(me.centreId(), pack.vehicle().registration())
                .map(vehicle -> library.versions(me.centreId(), vehicle).get(0));
    }

    private String said(PackFault fault) {
        if (fault instanceof PackFault.OfTask part) {
            return ofTask(part.fault());
        }
        return fault instanceof PackFault.OfSheet part
                ? ofSheet(part.fault())
                : own(((PackFault.FaultOfPack) fault).fault());
    }

    private String ofTask(TaskFault fault) {
        String what = FigureId.parse(fault.value()).map(words::name).orElse(Words.quote(fault.value()));
        String why = fault.reason() == TaskFaultCode.NOT_SEEN ? words.text("fault.notSeen.why") : "";
        return words.text(
                "pack.inTask",
                fault.at(),
                words.text("fault." + fault.reason().key(), fault.at(), what, fault.limit(), why));
    }

    private String ofSheet(SheetFault fault) {
        if (fault.at().isEmpty()) {
            return words.text("pack.noSheet");
        }
        String cell = fault.cell().map(c -> "." + c.key()).orElse("");
        return words.text("pack.inSheet", fault.at() + cell, Words.quote(fault.value()));
    }

    private String own(Fault fault) {
        return words.text("pack.fault." + fault.code().key(), fault.field().orElse(""));
    }
}
