package app.galdrin.core;

/** A constant with a name of its own in records and message keys. */
public interface Keyed {

    /** The name in records and message keys. */
    String key();
}
