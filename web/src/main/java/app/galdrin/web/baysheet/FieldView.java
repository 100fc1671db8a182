package app.galdrin.web.baysheet;

import app.galdrin.core.answer.AnswerType;
import app.galdrin.core.answer.AnswerType.Amount;
import app.galdrin.core.answer.AnswerType.Choice;
import app.galdrin.core.answer.AnswerType.SizeAndSense;
import app.galdrin.core.answer.LineText;
import app.galdrin.core.answer.Sense;
import app.galdrin.core.sitting.LineKey;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One line of a sheet as it is drawn.
 *
 * @param value what stands, or what was typed and could not be read
 * @param echo what stands, as understood; empty where nothing does
 * @param error the sentence beside the field, if what was typed could not be read
 * @param number what was understood, in mm, degrees or a count, with its sign
 * @param saw keys of what stands here, which that strikes
 * @param needless what makes it needless, for a script that counts what is open
 * @param optional whether it may be left empty, likewise
 * @param disputed texts that stand here beside one another, written by people who did not see one another
 */
public record FieldView(
        LineKey line,
        AnswerType answer,
        String value,
        String echo,
        @Nullable BigDecimal number,
        @Nullable String error,
        List<String> saw,
        List<String> disputed,
        boolean critical,
        boolean witnessed,
        Optional<NeedlessBy> needless,
        boolean optional) {

    /** The line whose answer makes this one needless, and that answer. */
    public record NeedlessBy(String key, String answer) {}

    public String key() {
        return line.key();
    }

    public String id() {
        return line.elementId();
    }

    /** The name of the fragment that draws it. */
    public String kind() {
        if (answer instanceof SizeAndSense) {
            return "sensed";
        }
        if (answer instanceof Choice) {
            return "choice";
        }
        return answer instanceof AnswerType.Tick ? "tick" : "text";
    }

    /** The figure alone, where a way stands beside it. */
    public String size() {
        return answer instanceof SizeAndSense ? LineText.sizeOf(value) : value;
    }

    public String sense() {
        return answer instanceof SizeAndSense
                ? LineText.senseOf(value).map(Sense::key).orElse("")
                : "";
    }

    public List<String> senses() {
        return answer instanceof SizeAndSense sized
                ? sized.senses().stream().map(Sense::key).toList()
                : List.of();
    }

    /** The family of the options' words. */
    public String words() {
        return answer instanceof Choice choice ? choice.words() : "";
    }

    public List<String> options() {
        return answer instanceof Choice choice ? choice.options() : List.of();
    }

    /** Returns the greatest number of characters. */
    public int longest() {
        return answer instanceof AnswerType.ShortText text ? text.longest() : AnswerType.LONGEST;
    }

    public boolean numeric() {
        return answer instanceof Amount || answer instanceof SizeAndSense;
    }

    /** Returns whether it was understood as something else than stands there letter by letter: inches, a decimal comma. */
    public boolean differs() {
        return answer instanceof Amount && !echo.isEmpty() && !plain(echo).equals(plain(value));
    }

    /** The figure alone: no unit, no zeros at its end. */
    private static String plain(String text) {
        String figure = text.replaceFirst("[\\s\\u00a0°].*$", "");
        return figure.contains(".") ? figure.replaceFirst("\\.?0+$", "") : figure;
    }

    public boolean chosen(String choice) {
        return value.equals(choice);
    }

    public boolean filled() {
        return !saw.isEmpty();
    }

    /** The keys of what stands, as forms carry them. */
    public String sawKeys() {
        return String.join(",", saw);
    }
}
