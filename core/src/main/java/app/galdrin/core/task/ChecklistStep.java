package app.galdrin.core.task;

/**
 * A step of the preparation.
 *
 * @param key names its words
 * @param critical whether someone can be hurt if it is left out; such a step must be passed
 */
public record ChecklistStep(String key, boolean critical) {}
