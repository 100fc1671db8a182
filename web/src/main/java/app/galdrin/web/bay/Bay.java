package app.galdrin.web.bay;

import java.util.Optional;

/**
 * A place in the workshop where a vehicle stands.
 *
 * @param number 1 to {@value #HIGHEST}
 * @param name what people call it; may be empty
 * @param survey of its floor, the newest; empty where nobody has made one
 */
public record Bay(int number, String name, Optional<Survey> survey) {

    /** The highest number a bay can have. */
    public static final int HIGHEST = 99;
}
