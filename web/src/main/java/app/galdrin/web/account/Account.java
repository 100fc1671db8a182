package app.galdrin.web.account;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** Account that a sign-in is checked against. It lives as long as the check; a session never holds it. */
public final class Account implements UserDetails {

    private static final long serialVersionUID = 1L;

    private final transient PersonRow person;

    Account(PersonRow person) {
        this.person = person;
    }

    public SignedIn person() {
        return person.signedIn();
    }

    @Override
    public List<GrantedAuthority> getAuthorities() {
        return List.of();
    }

    @Override
    public String getPassword() {
        return Objects.requireNonNull(person.passwordHash());
    }

    @Override
    public String getUsername() {
        return person.signIn();
    }

    @Override
    public boolean isEnabled() {
        return person.active();
    }

    /** A one-time password ends. */
    @Override
    public boolean isCredentialsNonExpired() {
        return person.passwordUntil() == null || Instant.now().isBefore(person.passwordUntil());
    }

    /** Never the hash. */
    @Override
    public String toString() {
        return person.signedIn().toString();
    }
}
