package app.galdrin.web.sitting;

import app.galdrin.core.marking.VerdictChoice;
import app.galdrin.core.measure.Asked;
import app.galdrin.core.measure.Place;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.QuantityFormat;
import app.galdrin.core.quantity.QuantityParser;
import app.galdrin.core.quantity.QuantityText;
import app.galdrin.core.quantity.Unit;
import app.galdrin.core.task.ChecklistStep;
import app.galdrin.core.task.ToeTask;
import app.galdrin.web.layout.Said;
import app.galdrin.web.layout.Words;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** What may be written in a slot of a task, and what a text there is read as. */
public final class SlotRules {

    /** Longest text of a field. */
    public static final int LONGEST = 60;

    /** Most turns anyone would give a track rod in one go. */
    private static final double MOST_TURNS = 20;

    public static final String ADJUSTABLE = "adjustable";
    public static final Set<String> YES_NO = Set.of("yes", "no");
    public static final Set<String> WAYS = Set.of("lengthen", "shorten", "leave");
    private static final Set<String> DONE = Set.of("done");

    private SlotRules() {}

    /** A text that was understood, or a sentence why not. */
    public sealed interface Reading {
        /** {@code value} and {@code step} in mm, deg or turns; absent for choices. */
        record Understood(
                String written,
                @Nullable Double value,
                @Nullable Double step) implements Reading {}

        record Refused(Said why) implements Reading {}
    }

    /** Reads a text for a slot; empty where the task has no such slot. */
    public static Optional<Reading> read(ToeTask task, Slot slot, String text) {
        return switch (slot.stage()) {
            case PREPARE ->
                choice(task.checklist().stream().map(ChecklistStep::key).anyMatch(slot.place()::equals), DONE, text);
            case AS_FOUND, AS_LEFT -> place(task, slot).map(place -> reading(place, text));
            case WORK -> asked(task, slot).map(asked -> figure(task, text));
            case JUDGE -> judge(task, slot, text);
            case PLAN -> plan(slot, text);
            case HAND_IN -> choice(slot.place().equals("done"), DONE, text);
            case FLAG -> choice(slot.place().equals("needsYou"), Set.of("raised", "answered"), text);
            case MARK -> Optional.empty();
        };
    }

    private static Optional<Place> place(ToeTask task, Slot slot) {
        return task.method().places().stream()
                .filter(p -> p.id().equals(slot.place()))
                .filter(p ->
                        p.eachRepeat() ? slot.repeat() >= 1 && slot.repeat() <= task.repeats() : slot.repeat() == 0)
                .findFirst();
    }

    private static Optional<Asked> asked(ToeTask task, Slot slot) {
        return task.asked().figures().stream()
                .filter(a -> a.key().equals(slot.place()))
                .findFirst();
    }

    private static Optional<Reading> judge(ToeTask task, Slot slot, String text) {
        if (slot.place().equals(ADJUSTABLE)) {
            return choice(true, YES_NO, text);
        }
        var verdicts = Set.of(VerdictChoice.INSIDE.key(), VerdictChoice.OUTSIDE.key(), VerdictChoice.TOO_CLOSE.key());
        return choice(asked(task, slot).isPresent(), verdicts, text);
    }

    private static Optional<Reading> plan(Slot slot, String text) {
        return switch (slot.place()) {
            case "left.way", "right.way" -> choice(true, WAYS, text);
            case "left.turns", "right.turns" -> Optional.of(turns(text));
            default -> Optional.empty();
        };
    }

    private static Optional<Reading> choice(boolean known, Set<String> choices, String text) {
        if (!known) {
            return Optional.empty();
        }
        return Optional.of(
                choices.contains(text)
                        ? new Reading.Understood(text, null, null)
                        : new Reading.Refused(Said.of("field.choice", Words.quote(text))));
    }

    private static Reading reading(Place place, String text) {
        return quantity(text, Quantity.LENGTH, Unit.MM, place.least(), place.most());
    }

    private static Reading figure(ToeTask task, String text) {
        var unit = task.answerUnit();
        double most = unit.quantity() == Quantity.ANGLE ? 30 : 200;
        return quantity(text, unit.quantity(), unit.defaultUnit(), -most, most);
    }

    private static Reading turns(String text) {
        return quantity(text, Quantity.COUNT, Unit.TURNS, 0, MOST_TURNS);
    }

    private static Reading quantity(String text, Quantity quantity, Unit defaultUnit, double least, double most) {
        String typed = text.strip();
        if (typed.length() > LONGEST) {
            return refused("field.long", typed.length(), LONGEST);
        }
        QuantityText parsed = QuantityParser.parse(typed, quantity, defaultUnit);
        if (parsed instanceof QuantityText.Rejected rejected) {
            String key =
                    "field." + rejected.reason().name().toLowerCase(Locale.ROOT).replace('_', '-');
            return refused(
                    key, Words.quote(typed), "field.example." + quantity.name().toLowerCase(Locale.ROOT));
        }
        var read = (QuantityText.Read) parsed;
        String understood = QuantityFormat.length(read.value());
        String unit = "unit." + defaultUnit.key();
        if (read.value() < 0 && least >= 0) {
            return refused("field.negative", Words.quote(typed), understood, unit);
        }
        if (read.value() < least || read.value() > most) {
            String key = read.value() > most ? "field.too-great" : "field.too-small";
            return refused(
                    key,
                    Words.quote(typed),
                    understood,
                    unit,
                    QuantityFormat.length(least),
                    QuantityFormat.length(most));
        }
        return new Reading.Understood(typed, read.value(), read.step());
    }

    private static Reading refused(String key, Object... args) {
        return new Reading.Refused(new Said(key, List.of(args)));
    }
}
