package app.galdrin.web;

import app.galdrin.core.sitting.LineKey;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.NewEntry;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.Sittings;
import app.galdrin.web.task.Tasks;
import java.util.List;
import java.util.UUID;

/** A centre of a test's own, so that tests on one database do not meet: a teacher, two apprentices and one open task. */
public record Centre(UUID id, SignedIn instructor, SignedIn apprentice, SignedIn neighbour, UUID taskId, String code) {

    public static final String PASSWORD = "a long enough one";

    /** The apprentice's sitting of the task. */
    public Sitting sitting(Tasks tasks, Sittings sittings) {
        return sitting(tasks, sittings, apprentice);
    }

    public Sitting sitting(Tasks tasks, Sittings sittings, SignedIn who) {
        UUID sitting = sittings.begin(tasks.current(id, taskId).orElseThrow(), who.personId(), 1);
        return sittings.sitting(who, sitting);
    }

    /** Writes on a line over what stands there. */
    public static Entries.Outcome write(
            Sittings sittings, Entries entries, SignedIn me, Sitting sitting, String line, String text) {
        LineKey key = LineKey.parse(line).orElseThrow();
        List<String> saw = new Log(sittings.log(me.centreId(), sitting.id()).entries())
                .allAt(key).stream().map(e -> e.key()).toList();
        return entries.write(
                me, sitting, NewEntry.now(key, text, saw, Ids.next().toString(), "test"));
    }
}
