package app.galdrin.web.sitting.internal;

/** A sitting's row locked for writing. */
public record LockedRow(int lastSeq, boolean handedIn) {}
