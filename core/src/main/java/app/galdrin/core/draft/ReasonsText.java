package app.galdrin.core.draft;

import app.galdrin.core.task.Reason;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Reasons as an instructor types them: parted by commas, the words that give one away by {@code or}. */
public final class ReasonsText {

    private static final String OR = " or ";
    private static final Pattern PARTED = Pattern.compile("(?:^|\\s+)or(?:\\s+|$)");

    private ReasonsText() {}

    /** None of an empty text; empty where they can't be read. */
    public static Optional<List<Reason>> read(String text) {
        List<Reason> reasons = new ArrayList<>();
        if (text.isBlank()) {
            return Optional.of(reasons);
        }
        for (String one : text.split(",", -1)) {
            List<String> words = List.of(PARTED.split(one.strip(), -1));
            boolean fit = words.stream().allMatch(w -> !w.isBlank() && w.length() <= Reason.LONGEST_WORD);
            if (!fit || words.size() > Reason.MOST || reasons.size() == Reason.MOST) {
                return Optional.empty();
            }
            reasons.add(new Reason(words));
        }
        return Optional.of(reasons);
    }

    /** Reads them from a field. */
    public static List<Reason> typed(String text) throws FieldRefusal {
        return read(text)
                .orElseThrow(() -> new FieldRefusal("bench.why.fault", text, Reason.MOST, Reason.LONGEST_WORD));
    }

    /** Returns the texts as they would be typed. */
    public static String write(List<Reason> reasons) {
        return reasons.stream().map(reason -> String.join(OR, reason.words())).collect(Collectors.joining(", "));
    }
}
