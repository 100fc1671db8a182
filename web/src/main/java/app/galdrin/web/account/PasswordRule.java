package app.galdrin.web.account;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Rule for the passwords that people choose for themselves. */
public final class PasswordRule {

    public static final int SHORTEST = 10;
    public static final int LONGEST = 200;

    /** The letters of a password that are checked for being easy; more takes long and changes nothing. */
    private static final int LOOKED_AT = 60;

    /** The least score on a scale of 0 to 4; passwords below are guessed within a million tries. */
    private static final int LEAST_SCORE = 2;

    private static final int SHORTEST_WORD = 3;
    private static final int LETTERS_OF_HIS_OWN = 4;

    /** Words that come to mind in front of this page. */
    private static final List<String> HOUSE = List.of(
            "galdrin",
            "password",
            "passwort",
            "wheel",
            "alignment",
            "tracking",
            "steering",
            "camber",
            "caster",
            "castor",
            "toe",
            "workshop",
            "garage",
            "vehicle",
            "apprentice",
            "instructor",
            "teacher",
            "college",
            "school",
            "class",
            "student",
            "welcome");

    private static final Zxcvbn JUDGE = new Zxcvbn();

    private PasswordRule() {}

    /**
     * Returns why this can be nobody's password, as a key of words: too short, among the first that are tried (lists of common ones come with the
     * package, rows of keys and repetitions), or made of names that everyone knows.
     *
     * @param names the person's own, their sign-in name, their college's
     */
    public static Optional<String> fault(String password, String... names) {
        if (password.length() < SHORTEST || password.length() > LONGEST) {
            return Optional.of("field.password");
        }
        List<String> words = words(names);
        if (isAbout(password, words)) {
            return Optional.of("field.password.own");
        }
        String looked = password.substring(0, Math.min(password.length(), LOOKED_AT));
        boolean easy = JUDGE.measure(looked, words).getScore() < LEAST_SCORE;
        return easy ? Optional.of("field.password.easy") : Optional.empty();
    }

    /** Returns whether hardly a letter is left of it without words that everybody here knows; figures and signs are added by anybody. */
    private static boolean isAbout(String password, List<String> words) {
        String letters = letters(password);
        String left = letters;
        for (String word : words) {
            if (word.length() >= SHORTEST_WORD) {
                left = left.replace(word, "");
            }
        }
        return left.length() < letters.length() && left.replaceAll("\\p{N}", "").length() < LETTERS_OF_HIS_OWN;
    }

    private static String letters(String text) {
        return text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    }

    private static List<String> words(String... names) {
        List<String> words = new ArrayList<>(HOUSE);
        for (String name : names) {
            words.add(letters(name));
            words.addAll(Arrays.asList(name.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+", -1)));
        }
        words.removeIf(String::isEmpty);
        words.sort(
                Comparator.comparingInt(String::length).reversed()); // the longest first, so that no part of it is left
        return words;
    }
}
