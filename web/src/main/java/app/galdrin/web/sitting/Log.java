package app.galdrin.web.sitting;

import app.galdrin.core.marking.MarkLine;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.sitting.WrittenValue;
import app.galdrin.core.task.Criterion;
import app.galdrin.web.account.Role;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The entries of a sitting, with what stands and what has been struck out. An entry strikes the entries it names and nothing else: where
 * two people wrote on one line without seeing one another, both stand until someone who sees both writes.
 */
public final class Log {

    /** More entries than any sitting has; a sheet that reaches it is closed to its apprentice, and staff have as many again. */
    public static final int MOST = 5000;

    private final List<Entry> entries;
    private final Map<LineKey, List<Entry>> standing = new LinkedHashMap<>();
    private final List<Entry> struck = new ArrayList<>();

    /** {@code entries} in the order of their numbers. */
    public Log(List<Entry> entries) {
        this.entries = List.copyOf(entries);
        int admitted = entries.stream()
                .filter(e -> e.line().equals(StaffLine.ADMIT) && !e.isStrike())
                .mapToInt(Entry::seq)
                .max()
                .orElse(0);
        for (Entry entry : entries) {
            if (!entry.late() || entry.seq() < admitted) {
                apply(entry);
            }
        }
    }

    private void apply(Entry entry) {
        if (entry.line().equals(StaffLine.ANEW)) {
            setAside();
        }
        List<Entry> here = standing.computeIfAbsent(entry.line(), line -> new ArrayList<>());
        here.removeIf(other -> {
            boolean named = entry.saw().contains(other.key());
            if (named) {
                struck.add(other);
            }
            return named;
        });
        if (!entry.isStrike()) {
            here.add(entry);
        }
        if (here.isEmpty()) {
            standing.remove(entry.line());
        }
    }

    /** Strikes out what was read on another vehicle: it says nothing of this one, and stays to be seen. */
    private void setAside() {
        standing.entrySet().removeIf(line -> {
            boolean isOfVehicle = StaffLine.isOfVehicle(line.getKey());
            if (isOfVehicle) {
                struck.addAll(line.getValue());
            }
            return isOfVehicle;
        });
    }

    /** The log as it stood after its first so many entries. */
    public Log until(int seq) {
        return new Log(entries.stream().filter(e -> e.seq() <= seq).toList());
    }

    /** The log as it stood at a time. */
    public Log until(Instant time) {
        return time.equals(Instant.MAX)
                ? this
                : new Log(entries.stream()
                        .filter(e -> !e.receivedAt().isAfter(time))
                        .toList());
    }

    public List<Entry> entries() {
        return entries;
    }

    public int lastSeq() {
        return entries.isEmpty() ? 0 : entries.get(entries.size() - 1).seq();
    }

    /** Returns what stands on a line now: the newest where several do. */
    public Optional<Entry> at(LineKey line) {
        List<Entry> here = standing.getOrDefault(line, List.of());
        return here.isEmpty() ? Optional.empty() : Optional.of(here.get(here.size() - 1));
    }

    /** Returns everything that stands on a line: more than one where people wrote without seeing one another. */
    public List<Entry> allAt(LineKey line) {
        return List.copyOf(standing.getOrDefault(line, List.of()));
    }

    /** Lines on which more than one thing stands. */
    public List<LineKey> disputed() {
        return standing.entrySet().stream()
                .filter(e -> e.getValue().size() > 1)
                .map(Map.Entry::getKey)
                .toList();
    }

    /** Returns what was struck out on a line, oldest first. */
    public List<Entry> struckAt(LineKey line) {
        return struck.stream().filter(e -> e.line().equals(line)).toList();
    }

    /** All that was struck out in a step, oldest first. */
    public List<Entry> struckIn(String step) {
        return struck.stream().filter(e -> e.line().step().equals(step)).toList();
    }

    /** Returns what stands on the lines of the task. */
    public Answers answers() {
        Map<LineKey, WrittenValue> answers = new HashMap<>();
        standing.forEach((line, here) -> {
            if (!StaffLine.isOutsideTask(line)) {
                answers.put(line, here.get(here.size() - 1).asWritten());
            }
        });
        return new Answers(answers).ordered(ticked());
    }

    /**
     * The lines on which a word alone stands, in the order in which it was written there: what one device kept comes later than what
     * another wrote meanwhile. Entries of one device keep their order, however its clock was set.
     */
    private List<LineKey> ticked() {
        Map<String, Instant> last = new HashMap<>();
        Map<LineKey, Instant> when = new LinkedHashMap<>();
        standing.values().stream()
                .map(here -> here.get(here.size() - 1))
                .filter(entry -> entry.value() == null)
                .sorted(Comparator.comparingInt(Entry::seq))
                .forEach(entry -> when.put(
                        entry.line(),
                        last.merge(
                                entry.device(), entry.writtenAt(), (one, other) -> one.isAfter(other) ? one : other)));
        return when.entrySet().stream()
                .sorted(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .toList();
    }

    /** The instructor's marks that stand in place of the computed ones. */
    public Map<Criterion.Id, MarkLine.Override> overrides() {
        Map<Criterion.Id, MarkLine.Override> overrides = new LinkedHashMap<>();
        standing.keySet()
                .forEach(line -> StaffLine.criterion(line)
                        .ifPresent(criterion -> at(line).ifPresent(e -> {
                            BigDecimal marks = e.value();
                            if (marks != null) {
                                overrides.put(criterion, new MarkLine.Override(marks, e.written()));
                            }
                        })));
        return overrides;
    }

    /** Returns why the instructor has stopped the sitting, where they have. */
    public Optional<String> stopped() {
        return at(StaffLine.STOPPED).map(Entry::written);
    }

    /** Returns the bay that a sheet was in before it went on at another vehicle; empty where it did not. */
    public String cameFrom() {
        return at(StaffLine.ANEW).map(Entry::written).orElse("");
    }

    /** Returns why the instructor has given the sheet back last; empty where they have not. */
    public String givenBack() {
        return entries.stream()
                .filter(e -> e.isStrike() && e.role() == Role.INSTRUCTOR)
                .filter(e -> !StaffLine.isOutsideTask(e.line()) || e.line().equals(StaffLine.STOPPED))
                .reduce((earlier, later) -> later)
                .map(Entry::written)
                .orElse("");
    }

    /** Returns whether, since anything was last read on it, someone has said that this reference stands. */
    public boolean saidToStand() {
        int read = entries.stream()
                .filter(e -> !StaffLine.isOutsideTask(e.line()))
                .mapToInt(Entry::seq)
                .max()
                .orElse(0);
        return at(StaffLine.STANDS).filter(e -> e.seq() > read).isPresent();
    }

    /** Returns what a verifier returned the marks with, where they have not been signed since. */
    public Optional<Entry> returned() {
        int signed = at(StaffLine.SIGN).map(Entry::seq).orElse(0);
        return at(StaffLine.RETURNED).filter(e -> e.seq() > signed);
    }

    /** Entries that came late and wait for the instructor. */
    public List<Entry> lateWaiting() {
        int admitted = at(StaffLine.ADMIT).map(Entry::seq).orElse(0);
        return entries.stream().filter(e -> e.late() && e.seq() > admitted).toList();
    }
}
