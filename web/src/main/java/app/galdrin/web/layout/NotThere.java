package app.galdrin.web.layout;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/**
 * Refusal of what is not there or is not the asker's: the two look the same from outside. The message is for the log and says
 * what, which, and who asked.
 */
@ResponseStatus(HttpStatus.NOT_FOUND)
public class NotThere extends RuntimeException {

    private static final long serialVersionUID = 1L;

    /** {@code which}: where it is text it may have been typed, and is cut short. */
    public NotThere(String what, Object which, Object asker) {
        super(what + " " + (which instanceof String text ? LogText.of(text) : which) + " for " + asker);
    }
}
