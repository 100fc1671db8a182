package app.galdrin.web.equipment.internal;

import app.galdrin.core.Keyed;
import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.equipment.EquipmentKind;
import app.galdrin.core.equipment.WorkshopCheck;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import app.galdrin.web.equipment.EquipmentWords;
import app.galdrin.web.words.LineTextWords;
import app.galdrin.web.words.Sentence;
import app.galdrin.web.words.Words;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A check of the workshop's own as it is typed: two readings, mm or deg, and the day.
 *
 * @param check key of the kind of check
 */
record CheckForm(String check, String first, String second, String doneOn) {

    private static final double LONGEST = 9000;
    private static final double WIDEST = 360;

    CheckForm {
        check = check == null ? "" : check;
        first = text(first);
        second = text(second);
        doneOn = text(doneOn);
    }

    private static String text(@Nullable String typed) {
        return typed == null ? "" : typed.strip();
    }

    /** Returns an empty form for today. */
    static CheckForm on(EquipmentKind kind, LocalDate today) {
        return new CheckForm(WorkshopCheck.of(kind).get(0).key(), "", "", today.toString());
    }

    /** Returns what is wrong with it, by field. */
    Map<String, Sentence> faults(EquipmentKind kind, LocalDate today) {
        Map<String, Sentence> faults = new LinkedHashMap<>();
        if (Keyed.find(WorkshopCheck.of(kind), check).isEmpty()) {
            faults.put("check", Sentence.of("equipment.check.unknown", Words.quote(check)));
        }
        refused(kind, first).ifPresent(why -> faults.put("first", why));
        refused(kind, second).ifPresent(why -> faults.put("second", why));
        if (day().filter(d -> !d.isAfter(today) && d.getYear() >= 2000).isEmpty()) {
            faults.put("doneOn", Sentence.of("equipment.day.wrong", Words.quote(doneOn)));
        }
        return faults;
    }

    private static LineText read(EquipmentKind kind, String typed) {
        boolean angle = EquipmentWords.quantity(kind) == Quantity.ANGLE;
        return LineText.read(
                typed,
                angle
                        ? new Amount(Quantity.ANGLE, Unit.DEG, -WIDEST, WIDEST)
                        : new Amount(Quantity.LENGTH, Unit.MM, -LONGEST, LONGEST));
    }

    private static Optional<Sentence> refused(EquipmentKind kind, String typed) {
        return read(kind, typed) instanceof LineText.Refusal refused
                ? Optional.of(LineTextWords.why(refused))
                : Optional.empty();
    }

    private Optional<LocalDate> day() {
        try {
            return Optional.of(LocalDate.parse(doneOn));
        } catch (DateTimeParseException e) {
            return Optional.empty(); // the fault says what was read
        }
    }

    /** Returns the kind of check, of a form without faults. */
    WorkshopCheck kindOfCheck() {
        return Keyed.of(WorkshopCheck.values(), check);
    }

    /** Returns the first reading, mm or deg. */
    double firstOf(EquipmentKind kind) {
        return ((LineText.ParsedText) read(kind, first)).value().orElseThrow();
    }

    /** Returns the second reading, mm or deg. */
    double secondOf(EquipmentKind kind) {
        return ((LineText.ParsedText) read(kind, second)).value().orElseThrow();
    }

    /** Returns the day, of a form without faults. */
    LocalDate onDay() {
        return day().orElseThrow();
    }
}
