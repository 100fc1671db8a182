package app.galdrin.core.task;

import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.SpecificationSheet;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import tools.jackson.core.JsonGenerator;

/**
 * Things to be done and ticked: condition, standing, set-up, closing.
 *
 * @param items in the order in which they are done
 */
public record Checklist(String id, List<Item> items) implements Step {

    /** The short preparation of a practical; the two safety-critical items concern lifting and what is underfoot. */
    public static final List<Item> PREPARATION = List.of(
            new Item("protection", false, false),
            new Item("condition", false, false),
            new Item("standsAndChocks", true, false),
            new Item("wheelsOnPlates", false, false),
            new Item("clearFloor", true, false),
            new Item("steeringStraight", false, false));

    /** What is done before a vehicle is given back; final torque and the second look concern everybody's safety. */
    public static final List<Item> CLOSING = List.of(
            new Item("lockNutsTight", true, false),
            new Item("rereadAfterTightening", false, false),
            new Item("gaitersAndPins", false, false),
            new Item("chocksAndToolsAway", false, false));

    /** What the id of an item looks like. */
    public static final String ITEM = "[a-zA-Z0-9.]{1,60}";

    private static final int LONGEST_KEY = 60;

    /** One item, by the key of its words. */
    public record Item(String id, boolean critical, boolean witnessed) {}

    public Checklist {
        items = List.copyOf(items);
    }

    @Override
    public StepKind kind() {
        return StepKind.CHECKLIST;
    }

    @Override
    public List<Line> lines(SpecificationSheet sheet) {
        return items.stream()
                .map(i -> Line.tick(i.id(), i.critical(), i.witnessed()))
                .toList();
    }

    @Override
    public Set<Aspect> aspects() {
        Set<Aspect> aspects = EnumSet.noneOf(Aspect.class);
        items.forEach(i -> aspects.add(i.critical() ? Aspect.CRITICAL : Aspect.DONE));
        return aspects;
    }

    @Override
    public void check(Practical practical, String at, TaskFaults faults) {
        List<String> seen = new ArrayList<>();
        for (Item item : items) {
            if (seen.contains(item.id())) {
                faults.add(at + ".items", TaskFault.Reason.TWICE, item.id());
            }
            seen.add(item.id());
        }
    }

    @Override
    public void write(JsonGenerator json) {
        json.writeArrayPropertyStart("items");
        for (Item item : items) {
            json.writeStartObject();
            json.writeStringProperty("id", item.id());
            if (item.critical()) {
                json.writeBooleanProperty("critical", true);
            }
            if (item.witnessed()) {
                json.writeBooleanProperty("witnessed", true);
            }
            json.writeEndObject();
        }
        json.writeEndArray();
    }

    static Checklist read(String id, JsonObject json, TaskFaults faults) {
        faults.only(json, Set.of("id", "kind", "items"));
        List<Item> items = new ArrayList<>();
        for (JsonObject item : faults.objects(json, "items", Practical.MOST_LINES)) {
            faults.only(item, Set.of("id", "critical", "witnessed"));
            items.add(new Item(
                    faults.text(item, "id", LONGEST_KEY),
                    faults.flag(item, "critical"),
                    faults.flag(item, "witnessed")));
        }
        return new Checklist(id, items);
    }
}
