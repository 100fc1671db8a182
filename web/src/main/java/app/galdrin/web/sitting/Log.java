package app.galdrin.web.sitting;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** The entries of a sitting, with what stands and what has been struck out. */
public final class Log {

    private final List<Entry> entries;
    private final Set<UUID> struck = new HashSet<>();
    private final Map<Slot, Entry> standing = new LinkedHashMap<>();

    public Log(List<Entry> entries) {
        this.entries = List.copyOf(entries);
        for (Entry entry : entries) {
            if (entry.strikes() != null) {
                struck.add(entry.strikes());
            }
        }
        for (Entry entry : entries) {
            if (!entry.isStrike() && !struck.contains(entry.id())) {
                standing.put(entry.slot(), entry);
            }
        }
    }

    /** The log as it stood at a time. */
    public Log until(Instant time) {
        return new Log(entries.stream().filter(e -> !e.at().isAfter(time)).toList());
    }

    public List<Entry> entries() {
        return entries;
    }

    /** What stands in a slot now. */
    public Optional<Entry> at(Slot slot) {
        return Optional.ofNullable(standing.get(slot));
    }

    /** What stands in a stage, in the order written. */
    public List<Entry> in(Stage stage) {
        return standing.values().stream().filter(e -> e.slot().stage() == stage).toList();
    }

    /** What was struck out in a slot, oldest first. */
    public List<Entry> struckAt(Slot slot) {
        return entries.stream()
                .filter(e -> e.slot().equals(slot) && struck.contains(e.id()))
                .toList();
    }

    /** All that was struck out in a stage, oldest first. */
    public List<Entry> struckIn(Stage stage) {
        return entries.stream()
                .filter(e -> e.slot().stage() == stage && struck.contains(e.id()))
                .toList();
    }

    public boolean has(Stage stage, String place) {
        return standing.containsKey(Slot.of(stage, place));
    }

    public boolean handedIn() {
        return has(Stage.HAND_IN, "done");
    }

    public boolean released() {
        return has(Stage.MARK, "release");
    }

    public boolean signed() {
        return has(Stage.MARK, "sign");
    }

    /** Readings of a stage as the core takes them: one map of mm by place a repeat, set-up readings in each. */
    public List<Map<String, Double>> readings(Stage stage, int repeats) {
        Map<String, Double> once = new HashMap<>();
        List<Map<String, Double>> byRepeat = new ArrayList<>();
        for (int i = 0; i < repeats; i++) {
            byRepeat.add(new HashMap<>());
        }
        for (Entry entry : in(stage)) {
            int repeat = entry.slot().repeat();
            Double value = entry.value();
            if (value != null && repeat <= repeats) {
                (repeat == 0 ? once : byRepeat.get(repeat - 1)).put(entry.slot().place(), value);
            }
        }
        byRepeat.forEach(readings -> readings.putAll(once));
        return byRepeat;
    }
}
