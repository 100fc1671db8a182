package app.galdrin.core.measure;

/**
 * BoxTracks at the hub faces, mm.
 *
 * @param front mm, positive
 * @param rear mm, positive
 */
public record BoxTracks(double front, double rear) {}
