package app.galdrin.core.task;

/**
 * Fault of a task document.
 *
 * @param at dotted path in the document, steps counted from 0: {@code steps.2.figures}
 * @param value what was read, as written; empty where something is missing
 * @param limit of what is counted, 0 where nothing is
 */
public record TaskFault(String at, TaskFaultCode reason, String value, int limit) {}
