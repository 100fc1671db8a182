package app.galdrin.core.task;

import app.galdrin.core.record.JsonObject;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import tools.jackson.core.JsonGenerator;

/**
 * A reason asked for something that is done, by the words of which one gives it away.
 *
 * @param words at least one; each is the beginning of a word, whatever its case: {@code fall} is in "it falls"
 */
public record Reason(List<String> words) {

    /** Reasons for one thing, and words of one reason. */
    public static final int MOST = 8;

    public static final int LONGEST_WORD = 30;
    public static final int LONGEST_ANSWER = 200;

    public Reason {
        words = List.copyOf(words);
        if (words.isEmpty()) {
            throw new IllegalArgumentException("reason: at least one word has to give it away");
        }
    }

    /** Returns whether an answer has one of its words. */
    public boolean isIn(String answer) {
        String lower = answer.toLowerCase(Locale.ROOT);
        return words.stream()
                .anyMatch(word -> Pattern.compile("(?<![\\p{L}\\p{N}])" + Pattern.quote(word.toLowerCase(Locale.ROOT)))
                        .matcher(lower)
                        .find());
    }

    /** Reads the member {@code why}. */
    public static List<Reason> read(JsonObject item, TaskFaults faults) {
        List<Reason> reasons = new ArrayList<>();
        for (JsonObject reason : faults.objects(item, "why", MOST)) {
            faults.only(reason, Set.of("words"));
            List<String> words = faults.texts(reason, "words", MOST, LONGEST_WORD);
            if (!words.isEmpty()) {
                reasons.add(new Reason(words));
            }
        }
        return reasons;
    }

    /** Writes reasons as the member {@code why}. */
    public static void write(JsonGenerator json, List<Reason> reasons) {
        json.writeArrayPropertyStart("why");
        for (Reason reason : reasons) {
            json.writeStartObject();
            json.writeArrayPropertyStart("words");
            reason.words().forEach(json::writeString);
            json.writeEndArray();
            json.writeEndObject();
        }
        json.writeEndArray();
    }
}
