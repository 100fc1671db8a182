package app.galdrin.web.layout;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Viewer of a page, for what it shows to some and not to others; templates reach it as {@code @who}. It guards nothing. */
@Component("who")
public class Viewer {

    Viewer() {}

    /** Returns whether the person's session opens what one of these roles opens. */
    public boolean is(String... roles) {
        Authentication session = session();
        return session != null
                && session.getAuthorities().stream()
                        .anyMatch(
                                a -> Arrays.stream(roles).anyMatch(role -> ("ROLE_" + role).equals(a.getAuthority())));
    }

    /** Returns whether it is known who the person is. */
    public boolean isKnown() {
        Authentication session = session();
        return session != null && !(session instanceof AnonymousAuthenticationToken);
    }

    private static @Nullable Authentication session() {
        return SecurityContextHolder.getContext().getAuthentication();
    }
}
