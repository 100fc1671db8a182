package app.galdrin.web.task.internal;

/** A measurement, and whether something is asked of it. */
public record MeasureRow(String id, String name, boolean asked) {}
