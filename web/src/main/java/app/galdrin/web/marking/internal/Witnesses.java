package app.galdrin.web.marking.internal;

import app.galdrin.core.sitting.Sheet;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Line;
import app.galdrin.core.task.Step;
import app.galdrin.web.account.People;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.sitting.Entry;
import app.galdrin.web.sitting.Log;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingSheet;
import app.galdrin.web.sitting.StaffLine;
import app.galdrin.web.words.Words;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Witnesses of checklist items that ask for one: the items, and whose entry each is. */
@Component
class Witnesses {

    private final People people;
    private final Words words;

    Witnesses(People people, Words words) {
        this.people = people;
        this.words = words;
    }

    /**
     * An item.
     *
     * @param by who stood by, and {@code at} when; empty where nobody has said so
     */
    record Item(String step, String item, String name, String witness, String at) {}

    List<Item> of(SignedIn me, Sitting sitting, Log log) {
        Sheet sheet = SittingSheet.of(sitting);
        return sitting.task().practical().steps().stream()
                .flatMap(step -> sheet.lines(step).stream()
                        .filter(Line::witnessed)
                        .map(line -> item(me, step, line.id(), log.at(StaffLine.witness(step.id(), line.id())))))
                .toList();
    }

    private Item item(SignedIn me, Step part, String item, Optional<Entry> entry) {
        String step = part.id();
        String said = part instanceof Checklist list
                ? list.items().stream()
                        .filter(i -> i.id().equals(item))
                        .map(Checklist.Item::name)
                        .findFirst()
                        .orElse(item)
                : item;
        String name = words.item(said);
        return entry.map(e -> new Item(
                        step,
                        item,
                        name,
                        people.person(me.centreId(), e.personId()).displayName(),
                        words.dayTime(e.writtenAt(), me.zoneId())))
                .orElseGet(() -> new Item(step, item, name, "", ""));
    }
}
