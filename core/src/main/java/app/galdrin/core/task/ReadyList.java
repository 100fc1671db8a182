package app.galdrin.core.task;

import app.galdrin.core.Keyed;
import app.galdrin.core.task.Checklist.Item;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Ready-made checklist: the items that one can take beside its own, by the key that the ids of its steps begin with. */
public enum ReadyList implements Keyed {

    /** Hazards of the job and what protects against each; every item asks for its reason. */
    BRIEFING(
            "briefing",
            new Item("riskAssessment", true, false),
            asking("boots", "fall or drop", "heavy or crush or toe"),
            asking("eyeProtection", "rust or corro or dirt or dust", "eye or above"),
            asking("handProtection", "grease or oil or skin", "sharp or cut"),
            asking("looseThings", "catch or caught or turn or wrap"),
            asking("rampChecked", "fall or drop", "lock"),
            new Item("underVehicle", true, false, false, reasons("slip or fall or sink or crush or fail")),
            asking("rolling", "roll or move"),
            asking("tripping", "trip or fall"),
            asking("laserBeam", "eye or blind or sight"),
            asking("airbag", "fire or go off or deploy or inflate")),

    /** The short preparation of a practical; the two safety-critical items concern lifting and what is underfoot. */
    PREPARATION(
            "prepare",
            new Item("protection", false, false),
            new Item("condition", false, false),
            new Item("standsAndChocks", true, false),
            new Item("wheelsOnPlates", false, false),
            new Item("clearFloor", true, false),
            new Item("steeringStraight", false, false)),

    /** Checklist before a vehicle is given back; final torque and the second look concern everybody's safety. */
    CLOSING(
            "closing",
            new Item("lockNutsTight", true, false),
            new Item("rereadAfterTightening", false, false),
            new Item("gaitersAndPins", false, false),
            new Item("chocksAndToolsAway", false, false));

    private final String key;
    private final List<Item> items;

    ReadyList(String key, Item... items) {
        this.key = key;
        this.items = List.of(items);
    }

    private static Item asking(String id, String... reasons) {
        return new Item(id, false, false, false, reasons(reasons));
    }

    /** Each reason by the words that give it away, parted by “or”. */
    private static List<Reason> reasons(String... reasons) {
        return Stream.of(reasons)
                .map(words -> new Reason(List.of(words.split(" or "))))
                .toList();
    }

    /** Returns the name of its first step, and the end of its message keys. */
    @Override
    public String key() {
        return key;
    }

    /** Returns its items, in the order in which they are done. */
    public List<Item> items() {
        return items;
    }

    /** Returns the item of an id. */
    public Optional<Item> item(String id) {
        return items.stream().filter(i -> i.id().equals(id)).findFirst();
    }

    /** Returns the list that a checklist was made from: by its name, else by what it has; the preparation where neither tells. */
    public static ReadyList of(Checklist list) {
        return Stream.of(values())
                .filter(ready -> list.id().startsWith(ready.key))
                .findFirst()
                .orElseGet(() -> Stream.of(values())
                        .filter(ready -> ready.isOf(list))
                        .findFirst()
                        .orElse(PREPARATION));
    }

    /** Returns whether a checklist has items of it and none of another. */
    private boolean isOf(Checklist list) {
        List<Item> named =
                list.items().stream().filter(i -> i.words().isEmpty()).toList();
        return !named.isEmpty() && named.stream().allMatch(i -> item(i.id()).isPresent());
    }
}
