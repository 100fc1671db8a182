package app.galdrin.core.task;

/**
 * A grade and where it begins.
 *
 * @param name as the instructor has it
 * @param from whole percent of the marks, 0 to 100
 */
public record Grade(String name, int from) {

    public static final int LONGEST_NAME = 24;
    public static final int MOST = 8;
}
