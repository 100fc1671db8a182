package app.galdrin.web.demo.internal;

import app.galdrin.core.procedure.Hands;
import app.galdrin.core.procedure.InstrumentSetup;
import app.galdrin.core.procedure.Place;
import app.galdrin.core.procedure.Truth;
import app.galdrin.core.simulated.Apprentice;
import app.galdrin.core.simulated.Habit;
import app.galdrin.core.simulated.Paper;
import app.galdrin.core.simulated.Pen;
import app.galdrin.core.simulated.StepWriters;
import app.galdrin.core.sitting.Answers;
import app.galdrin.core.sitting.LineKey;
import app.galdrin.core.task.Assignment;
import app.galdrin.core.task.Checklist;
import app.galdrin.core.task.Measure;
import app.galdrin.web.account.SignedIn;
import app.galdrin.web.layout.Ids;
import app.galdrin.web.marksheet.SittingMarks;
import app.galdrin.web.sitting.Entries;
import app.galdrin.web.sitting.NewEntry;
import app.galdrin.web.sitting.Sitting;
import app.galdrin.web.sitting.SittingSheet;
import app.galdrin.web.sitting.StaffLine;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;

/** A person of the demo who writes what a simulated one does into the log of a sitting. The same seed reads the same. */
final class DemoApprentice implements Pen {

    private final Entries entries;
    private final SignedIn me;
    private final Sitting sitting;
    private final Assignment assignment;
    private final RandomGenerator random;
    private final Apprentice hands;

    /** Entries that stand, kept here because nobody else writes on the sheet of a person of the demo. */
    private final Paper paper;

    private final Map<LineKey, String> keys = new HashMap<>();

    DemoApprentice(Entries entries, SittingMarks sittingMarks, SignedIn me, Sitting sitting, long seed) {
        this.entries = entries;
        this.me = me;
        this.sitting = sitting;
        this.assignment = sittingMarks.assignment(sitting);
        this.random = RandomGeneratorFactory.of("Xoshiro256PlusPlus").create(seed);
        this.paper = new Paper(SittingSheet.of(sitting));
        this.hands = new Apprentice(assignment, this, () -> Hands.trained(1, random));
    }

    void doAll(Habit habit, Truth found, Truth left) {
        StepWriters.writeAll(hands, habit, found, left);
    }

    void read(Measure measure, int round, Truth truth, int repeats) {
        hands.read(measure, round, truth, repeats);
    }

    /** Prepared, the first repeat of the first measurement read, one figure struck out, the instructor called. */
    void readHalf(Truth found) {
        assignment.practical().steps().stream()
                .limit(2)
                .filter(Checklist.class::isInstance)
                .forEach(step -> StepWriters.write(step, hands, Habit.CAREFUL, found, found));
        Measure first = assignment.practical().of(Measure.class).findFirst().orElseThrow();
        Place misread = first.procedure().places(first.figures()).get(3);
        write(new LineKey(first.id(), misread.id(), 1, 0), "75.5");
        read(first, 0, found, 1);
        InstrumentSetup again = first.procedure().lay(found, assignment.standing(), 1, random);
        Map<String, Double> two = again.read();
        first.procedure().places(first.figures()).stream()
                .limit(2)
                .forEach(place -> write(
                        new LineKey(first.id(), place.id(), 2, 0),
                        Apprentice.text(place.answer(), place.amount(), two.getOrDefault(place.id(), 0.0))));
        write(StaffLine.FLAG, StaffLine.RAISED);
    }

    @Override
    public Answers answers() {
        return paper.answers();
    }

    @Override
    public void write(LineKey key, String text) {
        String entryKey = Ids.next().toString();
        String before = keys.put(key, entryKey);
        var entry = NewEntry.now(key, text, before == null ? List.of() : List.of(before), entryKey, "demo");
        if (entries.write(me, sitting, entry) instanceof Entries.Outcome.Refusal refused) {
            throw new IllegalStateException("demo entry " + key.key() + " '" + text + "' refused: " + refused.why());
        }
        if (!StaffLine.isOutsideTask(key)) {
            paper.write(key, text);
        }
    }
}
