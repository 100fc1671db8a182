package app.galdrin.web.account;

import app.galdrin.core.Keyed;
import app.galdrin.core.quantity.AngleDisplay;
import app.galdrin.core.quantity.LengthDisplay;
import app.galdrin.web.layout.Reader;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/**
 * The person behind a session; kept in the session, so only what seldom changes.
 *
 * @param lengthDisplay key of how the centre wants lengths shown; null in a session older than the choice
 * @param angleDisplay likewise of angles
 * @param limitedTo the opening a person joined by code; such a session sees nothing but the sitting there
 */
public record SignedIn(
        UUID personId,
        UUID centreId,
        Role role,
        String displayName,
        String signIn,
        String passwordHash,
        boolean active,
        String zone,
        @Nullable String lengthDisplay,
        @Nullable String angleDisplay,
        @Nullable UUID limitedTo)
        implements UserDetails, Reader {

    private static final long serialVersionUID = 1L;

    /** Of whoever came by a code: it opens the sitting there, and nothing else that an apprentice can see. */
    public static final String JOINED = "ROLE_JOINED";

    public ZoneId zoneId() {
        return ZoneId.of(zone);
    }

    @Override
    public LengthDisplay lengths() {
        return Keyed.find(LengthDisplay.values(), lengthDisplay == null ? "" : lengthDisplay)
                .orElse(LengthDisplay.MILLIMETRES);
    }

    @Override
    public AngleDisplay angles() {
        return Keyed.find(AngleDisplay.values(), angleDisplay == null ? "" : angleDisplay)
                .orElse(AngleDisplay.DEGREES);
    }

    /** The same person, who now sees lengths and angles like this. */
    public SignedIn seeing(LengthDisplay lengths, AngleDisplay angles) {
        return new SignedIn(
                personId,
                centreId,
                role,
                displayName,
                signIn,
                passwordHash,
                active,
                zone,
                lengths.key(),
                angles.key(),
                limitedTo);
    }

    public boolean is(Role wanted) {
        return role == wanted;
    }

    public Optional<UUID> opening() {
        return Optional.ofNullable(limitedTo);
    }

    /** The same person, let in by a code to one opening; the password does not travel with it. */
    public SignedIn joined(UUID opening) {
        return new SignedIn(
                personId, centreId, role, displayName, signIn, "", active, zone, lengthDisplay, angleDisplay, opening);
    }

    @Override
    public List<GrantedAuthority> getAuthorities() {
        return List.of(new SimpleGrantedAuthority(limitedTo == null ? role.authority() : JOINED));
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    @Override
    public String getUsername() {
        return signIn;
    }

    @Override
    public boolean isEnabled() {
        return active;
    }

    /** Never the hash, wherever this is printed. */
    @Override
    public String toString() {
        return role + " " + personId;
    }
}
