package app.galdrin.web.account.internal;

import app.galdrin.web.account.Attempts;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.web.authentication.WebAuthenticationDetails;

/** Signing in by password, as often as {@link Attempts} allows. */
class LimitedSignIn extends DaoAuthenticationProvider {

    private final Attempts attempts;

    LimitedSignIn(UserDetailsService people, Attempts attempts) {
        super(people);
        this.attempts = attempts;
    }

    @Override
    public Authentication authenticate(Authentication attempt) {
        String address = attempt.getDetails() instanceof WebAuthenticationDetails d ? d.getRemoteAddress() : "";
        if (!attempts.allowed(attempt.getName(), address)) {
            throw new TooManyAttempts();
        }
        try {
            Authentication result = super.authenticate(attempt);
            attempts.record(attempt.getName(), address, true);
            return result;
        } catch (AuthenticationException e) {
            attempts.record(attempt.getName(), address, false);
            throw e;
        }
    }
}
