package app.galdrin.core.task;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.record.JsonLines;
import app.galdrin.core.record.JsonObject;
import app.galdrin.core.spec.SpecificationSheet;
import com.google.auto.service.AutoService;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.core.JsonGenerator;

/**
 * Things to be done and ticked: briefing, condition, set-up, closing.
 *
 * @param items in the order in which they are done
 */
public record Checklist(String id, List<Item> items) implements Step {

    public static final String KIND = "checklist";

    /** Pattern of the id of an item. */
    public static final String ITEM = "[a-zA-Z0-9.]{1,60}";

    private static final int LONGEST_KEY = 60;

    /** Greatest number of characters of an item's own words. */
    public static final int LONGEST_WORDS = 160;

    /**
     * One item, by the key of its words or in words of the task's own.
     *
     * @param inTurn whether it is done after what is listed above it
     * @param why the reasons asked for it; empty where none is
     * @param words its own words; empty where the program has words for its id
     * @param optional whether it may be left out; one that has to pass may not
     * @param asks what is written there
     */
    public record Item(
            String id,
            boolean critical,
            boolean witnessed,
            boolean inTurn,
            List<Reason> why,
            Optional<String> words,
            boolean optional,
            AnswerType asks) {

        private static final String WHY = ".why";

        public Item {
            why = List.copyOf(why);
            optional = optional && !critical;
        }

        /** One to tick that the program has words for. */
        public Item(String id, boolean critical, boolean witnessed, boolean inTurn, List<Reason> why) {
            this(id, critical, witnessed, inTurn, why, Optional.empty(), false, AnswerKind.TICK.usual());
        }

        public Item(String id, boolean critical, boolean witnessed) {
            this(id, critical, witnessed, false, List.of());
        }

        /** One to tick in words of the task's own. */
        public static Item own(String id, String words) {
            return new Item(id, false, false, false, List.of(), Optional.of(words), false, AnswerKind.TICK.usual());
        }

        /** Returns the same under another id. */
        public Item named(String other) {
            return new Item(other, critical, witnessed, inTurn, why, words, optional, asks);
        }

        /** Returns its own words, or the key of those that the program has. */
        public String name() {
            return words.orElse(id);
        }

        /** Returns whether it is only ticked. */
        public boolean isTick() {
            return asks instanceof AnswerType.Tick;
        }

        /** The line its reasons are written on. */
        public String whyLine() {
            return id + WHY;
        }

        private List<Line> lines() {
            Line asked = Line.of(id, asks).guarding(critical, witnessed);
            Line line = optional ? asked.optionally() : asked;
            if (why.isEmpty()) {
                return List.of(line);
            }
            Line reasons = Line.of(whyLine(), new AnswerType.ShortText(Reason.LONGEST_ANSWER));
            return List.of(line, optional ? reasons.optionally() : reasons);
        }
    }

    public Checklist {
        items = List.copyOf(items);
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public List<Line> lines(SpecificationSheet sheet) {
        return items.stream().flatMap(i -> i.lines().stream()).toList();
    }

    @Override
    public Set<Aspect> aspects() {
        Set<Aspect> aspects = EnumSet.noneOf(Aspect.class);
        items.stream().filter(i -> !i.optional()).forEach(i -> {
            aspects.add(i.critical() ? Aspect.CRITICAL : Aspect.DONE);
            if (!i.why().isEmpty()) {
                aspects.add(Aspect.DONE);
            }
        });
        return aspects;
    }

    @Override
    public Criterion usualCriterion(Aspect aspect, Assignment assignment) {
        boolean critical = aspect == Aspect.CRITICAL;
        boolean later = assignment
                .practical()
                .of(Checklist.class)
                .findFirst()
                .filter(this::equals)
                .isEmpty();
        int marks = critical && !later ? 10 : 5;
        return new Criterion(new Criterion.Id(id, aspect), marks, critical, Map.of());
    }

    @Override
    public void check(Practical practical, String at, TaskFaults faults) {
        List<String> seen = new ArrayList<>();
        for (Item item : items) {
            for (Line line : item.lines()) {
                if (seen.contains(line.id())) {
                    faults.add(at + ".items", TaskFaultCode.TWICE, line.id());
                }
                seen.add(line.id());
            }
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
            if (item.inTurn()) {
                json.writeBooleanProperty("inTurn", true);
            }
            if (!item.why().isEmpty()) {
                Reason.write(json, item.why());
            }
            item.words().ifPresent(words -> json.writeStringProperty("words", words));
            if (item.optional()) {
                json.writeBooleanProperty("optional", true);
            }
            if (!item.isTick()) {
                AnswerKind.write(json, item.asks());
            }
            json.writeEndObject();
        }
        json.writeEndArray();
    }

    static Checklist read(String id, JsonObject json, TaskFaults faults) {
        faults.only(json, Set.of("id", "kind", "items"));
        List<Item> items = new ArrayList<>();
        for (JsonObject item : faults.objects(json, "items", Practical.MOST_LINES)) {
            items.add(item(item, faults));
        }
        return new Checklist(id, items);
    }

    private static Item item(JsonObject item, TaskFaults faults) {
        faults.only(item, Set.of("id", "critical", "witnessed", "inTurn", "why", "words", "optional", "asks"));
        boolean why = item.has("why");
        return new Item(
                faults.text(item, "id", why ? LONGEST_KEY - Item.WHY.length() : LONGEST_KEY),
                faults.flag(item, "critical"),
                faults.flag(item, "witnessed"),
                faults.flag(item, "inTurn"),
                why ? Reason.read(item, faults) : List.of(),
                item.has("words") ? Optional.of(faults.text(item, "words", LONGEST_WORDS)) : Optional.empty(),
                faults.flag(item, "optional"),
                AnswerKind.read(item, faults));
    }

    /** Returns the items of an object with the member {@code items}, written as documents have them, as far as they can be read. */
    public static List<Item> items(String document) {
        return JsonLines.object(document.getBytes(StandardCharsets.UTF_8))
                .map(json -> read("", json, new TaskFaults()).items())
                .orElse(List.of());
    }

    /** Kind in documents. */
    @AutoService(StepKind.class)
    public static final class Kind extends StepKind {
        public Kind() {
            super(KIND, Checklist::read);
        }
    }
}
