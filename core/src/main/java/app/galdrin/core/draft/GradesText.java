package app.galdrin.core.draft;

import app.galdrin.core.task.Grade;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Grades as an instructor types them, the lowest first: {@code Pass 50, Merit 65}. */
public final class GradesText {

    /** A name and whole percent. */
    private static final Pattern GRADE = Pattern.compile("(\\S.{0,23}?)\\s+([0-9]{1,3})\\s*%?");

    private static final int WHOLE = 100;

    private GradesText() {}

    /** Reads grades; none of an empty text, empty where they cannot be read or do not rise. */
    public static Optional<List<Grade>> read(String text) {
        List<Grade> grades = new ArrayList<>();
        if (text.isBlank()) {
            return Optional.of(grades);
        }
        for (String one : text.split(",", -1)) {
            Matcher read = GRADE.matcher(one.strip());
            if (!read.matches() || grades.size() == Grade.MOST) {
                return Optional.empty();
            }
            int from = Integer.parseInt(read.group(2));
            boolean rises =
                    grades.isEmpty() || from > grades.get(grades.size() - 1).from();
            if (from > WHOLE || !rises) {
                return Optional.empty();
            }
            grades.add(new Grade(read.group(1), from));
        }
        return Optional.of(grades);
    }

    /** Writes grades as they would be typed. */
    public static String write(List<Grade> grades) {
        return grades.stream().map(g -> g.name() + " " + g.from()).collect(Collectors.joining(", "));
    }
}
