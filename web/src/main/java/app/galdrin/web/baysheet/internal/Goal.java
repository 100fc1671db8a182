package app.galdrin.web.baysheet.internal;

/**
 * Reading that a place must show for the figures to be as wanted.
 *
 * @param measure the step it is read in
 * @param place where it stands on the drawing; of two that are compared the one that reads more
 * @param brief short enough to stand in the field until something is written there
 * @param sense the way it is meant, said; empty where its answer has none
 * @param said the whole of it
 */
public record Goal(String measure, String place, String brief, String sense, String said) {}
