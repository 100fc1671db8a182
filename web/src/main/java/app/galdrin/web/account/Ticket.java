package app.galdrin.web.account;

import java.io.Serializable;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * All that a session keeps of anyone who began it. Everything else is asked of the database at each request, so that a session follows its
 * person.
 *
 * @param id names the session on pages, where its own id must not stand
 * @param stamp the person's when it began
 * @param limitedTo the opening joined by code
 * @param device what the browser said it runs on, in a word
 */
record Ticket(
        UUID id,
        UUID personId,
        UUID centreId,
        Role role,
        int stamp,
        @Nullable UUID limitedTo,
        Instant began,
        String address,
        String device)
        implements Serializable {

    private static final long serialVersionUID = 1L;

    /** The attribute of a session that holds its ticket. */
    static final String ATTRIBUTE = "galdrin.ticket";
}
