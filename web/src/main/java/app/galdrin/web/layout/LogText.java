package app.galdrin.web.layout;

import java.util.regex.Pattern;

/** Text from outside as it may stand in a log: forty characters at most, and none that nobody sees. */
public final class LogText {

    private static final int LONGEST = 40;
    private static final Pattern UNSEEN = Pattern.compile("[\\p{Cntrl}\\p{Cf}\\p{Zl}\\p{Zp}]");

    private LogText() {}

    public static String of(String text) {
        boolean fits = text.length() <= LONGEST;
        return UNSEEN.matcher(fits ? text : text.substring(0, LONGEST - 1)).replaceAll("?") + (fits ? "" : "…");
    }
}
