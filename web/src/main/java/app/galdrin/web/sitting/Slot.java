package app.galdrin.web.sitting;

import app.galdrin.web.layout.Keys;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where an entry is written: one line of one stage. In forms it is {@code stage/place/repeat}.
 *
 * @param repeat 1 and up for readings taken anew, 0 otherwise
 */
public record Slot(Stage stage, String place, int repeat) {

    private static final Pattern FORM = Pattern.compile("([a-zA-Z]{1,12})/([a-zA-Z.]{1,60})/([0-9])");

    public static Slot of(Stage stage, String place) {
        return new Slot(stage, place, 0);
    }

    public static Optional<Slot> parse(String text) {
        Matcher matcher = FORM.matcher(text);
        if (!matcher.matches()) {
            return Optional.empty();
        }
        return Keys.find(Stage.values(), Stage::key, matcher.group(1))
                .map(stage -> new Slot(stage, matcher.group(2), Integer.parseInt(matcher.group(3))));
    }

    /** As it stands in forms. */
    public String key() {
        return stage.key() + "/" + place + "/" + repeat;
    }

    /** As the id of an element, which must not hold a stroke or a dot. */
    public String elementId() {
        return key().replace('/', '-').replace('.', '-');
    }
}
