package app.galdrin.core.draft;

/**
 * One press that mends a fault.
 *
 * @param press what is pressed: the name of a field, or of an edit of the steps
 * @param value what is sent with it
 * @param label key of its words
 * @param about key of what stands in them, empty where nothing does
 */
public record Mend(String press, String value, String label, String about) {}
