package app.galdrin.core.marking;

import java.util.Arrays;
import java.util.Optional;

/** What an apprentice can say of a figure. */
public enum VerdictChoice {
    INSIDE("inside"),
    OUTSIDE("outside"),
    TOO_CLOSE("tooClose");

    private final String key;

    VerdictChoice(String key) {
        this.key = key;
    }

    public String key() {
        return key;
    }

    public static Optional<VerdictChoice> ofKey(String key) {
        return Arrays.stream(values()).filter(v -> v.key.equals(key)).findFirst();
    }
}
