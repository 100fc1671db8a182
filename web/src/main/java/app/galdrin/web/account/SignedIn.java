package app.galdrin.web.account;

import app.galdrin.core.Keyed;
import app.galdrin.core.quantity.AngleDisplay;
import app.galdrin.core.quantity.LengthDisplay;
import app.galdrin.web.words.Reader;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.AuthenticatedPrincipal;

/**
 * The person behind a request, as the database has it now.
 *
 * @param lengthDisplay key of how the centre wants lengths shown
 * @param angleDisplay likewise of angles
 * @param stamp of the person's sessions; counted on when they end
 * @param limitedTo the opening a person joined by code; such a session sees nothing but the sitting there
 * @param endedAt when the session was ended, of one that only delivers
 */
public record SignedIn(
        UUID personId,
        UUID centreId,
        Role role,
        String displayName,
        String signIn,
        String zone,
        String lengthDisplay,
        String angleDisplay,
        int stamp,
        Access access,
        @Nullable UUID limitedTo,
        @Nullable Instant endedAt)
        implements AuthenticatedPrincipal, Reader {

    public ZoneId zoneId() {
        return ZoneId.of(zone);
    }

    @Override
    public LengthDisplay lengths() {
        return Keyed.find(LengthDisplay.values(), lengthDisplay).orElseThrow();
    }

    @Override
    public AngleDisplay angles() {
        return Keyed.find(AngleDisplay.values(), angleDisplay).orElseThrow();
    }

    public boolean is(Role wanted) {
        return role == wanted;
    }

    public Optional<UUID> opening() {
        return Optional.ofNullable(limitedTo);
    }

    /** Returns whether this was written after the session had been ended. */
    public boolean endedBefore(Instant writtenAt) {
        return endedAt != null && writtenAt.isAfter(endedAt);
    }

    /** The same person, let in by a code to one opening. */
    public SignedIn joined(UUID opening) {
        return with(role, Access.SITTING, opening, null);
    }

    SignedIn with(Role role, Access access, @Nullable UUID opening, @Nullable Instant ended) {
        return new SignedIn(
                personId,
                centreId,
                role,
                displayName,
                signIn,
                zone,
                lengthDisplay,
                angleDisplay,
                stamp,
                access,
                opening,
                ended);
    }

    @Override
    public String getName() {
        return signIn;
    }

    /** No name in a log. */
    @Override
    public String toString() {
        return role + " " + personId;
    }
}
