package app.galdrin.core.sitting;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The position of one written thing. In forms and documents it is {@code step/line/repeat/round}.
 *
 * @param repeat 1 and up on lines written again in every repeat, else 0
 * @param round 1 and up within rounds, else 0
 */
public record LineKey(String step, String line, int repeat, int round) {

    private static final Pattern FORM =
            Pattern.compile("([a-zA-Z_][a-zA-Z0-9]{0,39})/([a-zA-Z0-9.]{1,60})/([0-9]{1,2})/([0-9])");

    /** Every line of a sheet is looked up by it. */
    @Override
    public int hashCode() {
        return (step.hashCode() * 31 + line.hashCode()) * 31 + repeat * 11 + round;
    }

    /** Returns the key of a line that is written once, outside of rounds. */
    public static LineKey of(String step, String line) {
        return new LineKey(step, line, 0, 0);
    }

    /** Reads the key of a line. */
    public static Optional<LineKey> parse(String text) {
        Matcher matcher = FORM.matcher(text);
        return matcher.matches()
                ? Optional.of(new LineKey(
                        matcher.group(1),
                        matcher.group(2),
                        Integer.parseInt(matcher.group(3)),
                        Integer.parseInt(matcher.group(4))))
                : Optional.empty();
    }

    /** Returns the key as forms carry it. */
    public String key() {
        return step + "/" + line + "/" + repeat + "/" + round;
    }

    /** Returns the key as the id of an element, without a stroke or a dot. */
    public String elementId() {
        return key().replace('/', '-').replace('.', '-');
    }
}
