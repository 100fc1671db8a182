package app.galdrin.web.account.internal;

import app.galdrin.web.account.Account;
import app.galdrin.web.account.Attempts;
import app.galdrin.web.account.Sessions;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.web.authentication.WebAuthenticationDetails;

/** Signing in by password, as often as {@link Attempts} allows. */
class LimitedSignIn extends DaoAuthenticationProvider {

    private static final Logger LOG = LoggerFactory.getLogger(LimitedSignIn.class);

    private final Attempts attempts;
    private final HashSlots slots;

    LimitedSignIn(UserDetailsService people, Attempts attempts, HashSlots slots) {
        super(people);
        this.attempts = attempts;
        this.slots = slots;
        setPasswordEncoder(slots);
    }

    /** What goes on is the person; the account with its hash ends here. */
    @Override
    protected Authentication createSuccessAuthentication(Object name, Authentication attempt, UserDetails account) {
        return Sessions.authentication(((Account) account).person());
    }

    @Override
    public Authentication authenticate(Authentication attempt) {
        String address = attempt.getDetails() instanceof WebAuthenticationDetails d ? d.getRemoteAddress() : "";
        try {
            Authentication result = tried(attempt, address);
            LOG.info("{} signed in from {}", result.getPrincipal(), address);
            return result;
        } catch (AuthenticationException e) {
            // not the name: some type their password there
            LOG.info("sign-in refused from {}: {}", address, e.getClass().getSimpleName());
            throw e;
        }
    }

    private Authentication tried(Authentication attempt, String address) {
        Attempts.Turn turn = attempts.begin(attempt.getName(), address);
        if (!turn.allowed()) {
            throw new TooManyAttempts();
        }
        try {
            Authentication result = slots.inTurn(attempt.getName(), turn.failing(), () -> super.authenticate(attempt));
            attempts.succeeded(attempt.getName(), address);
            return result;
        } catch (TooBusy e) {
            attempts.notTried(attempt.getName(), address);
            throw e;
        }
    }
}
