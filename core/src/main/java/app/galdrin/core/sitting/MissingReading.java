package app.galdrin.core.sitting;

/**
 * A place that was not read.
 *
 * @param procedure key of the procedure
 * @param place id of the place
 * @param repeat from 1; 0 where it is read once for all repeats
 */
public record MissingReading(String procedure, String place, int repeat) {}
