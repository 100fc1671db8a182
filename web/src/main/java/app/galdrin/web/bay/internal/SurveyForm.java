package app.galdrin.web.bay.internal;

import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.quantity.Quantity;
import app.galdrin.core.quantity.Unit;
import app.galdrin.web.bay.Facing;
import app.galdrin.web.bay.NewSurvey;
import app.galdrin.web.bay.Survey;
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
 * A survey as it is typed: two slopes with the side that is higher, how sure they are, which way vehicles stand, and the day.
 *
 * @param alongHigher {@code farEnd} or {@code door}
 * @param acrossHigher {@code left} or {@code right}, seen from the door
 * @param doubt of each, as typed: half the width of where it lies 95 times of 100
 */
record SurveyForm(
        String along,
        String alongHigher,
        String across,
        String acrossHigher,
        String doubt,
        String faces,
        String surveyedOn) {

    /** Steeper than any workshop's floor, deg. */
    private static final double STEEPEST = 5;

    /** Two standard uncertainties hold 95 of 100. */
    private static final double COVERAGE = 2;

    private static final String USUAL_DOUBT = "0.1";

    SurveyForm {
        along = text(along, "");
        alongHigher = text(alongHigher, Facing.FAR_END.key());
        across = text(across, "");
        acrossHigher = text(acrossHigher, "left");
        doubt = text(doubt, USUAL_DOUBT);
        faces = text(faces, Facing.FAR_END.key());
        surveyedOn = text(surveyedOn, "");
    }

    private static String text(@Nullable String typed, String otherwise) {
        return typed == null ? otherwise : typed;
    }

    /** Returns a new form: today, facing as in the last survey. */
    static SurveyForm on(LocalDate today, Optional<Survey> before) {
        String faces = before.map(s -> s.faces().key()).orElse(Facing.FAR_END.key());
        return new SurveyForm("", Facing.FAR_END.key(), "", "left", USUAL_DOUBT, faces, today.toString());
    }

    /** Returns what is wrong with it, by field. */
    Map<String, Sentence> faults(LocalDate today) {
        Map<String, Sentence> faults = new LinkedHashMap<>();
        refused(along).ifPresent(why -> faults.put("along", why));
        refused(across).ifPresent(why -> faults.put("across", why));
        refused(doubt).ifPresent(why -> faults.put("doubt", why));
        if (day().filter(d -> !d.isAfter(today) && d.getYear() >= 2000).isEmpty()) {
            faults.put("surveyedOn", Sentence.of("bays.day.wrong", Words.quote(surveyedOn)));
        }
        return faults;
    }

    private static LineText read(String typed) {
        return LineText.read(typed, new Amount(Quantity.ANGLE, Unit.DEG, 0, STEEPEST));
    }

    private static Optional<Sentence> refused(String typed) {
        return read(typed) instanceof LineText.Refusal refused
                ? Optional.of(LineTextWords.why(refused))
                : Optional.empty();
    }

    private Optional<LocalDate> day() {
        try {
            return Optional.of(LocalDate.parse(surveyedOn));
        } catch (DateTimeParseException e) {
            return Optional.empty(); // the fault says what was read
        }
    }

    private static double degrees(String typed) {
        return ((LineText.ParsedText) read(typed)).value().orElseThrow();
    }

    /** Returns what it says, of a form without faults. */
    NewSurvey toSurvey(int bay) {
        double farEnd = alongHigher.equals(Facing.DOOR.key()) ? -1 : 1;
        double left = acrossHigher.equals("right") ? -1 : 1;
        return new NewSurvey(
                bay,
                farEnd * degrees(along),
                left * degrees(across),
                degrees(doubt) / COVERAGE,
                faces.equals(Facing.DOOR.key()) ? Facing.DOOR : Facing.FAR_END,
                day().orElseThrow());
    }
}
