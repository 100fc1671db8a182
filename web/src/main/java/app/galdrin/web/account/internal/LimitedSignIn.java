package app.galdrin.web.account.internal;

import app.galdrin.web.account.Account;
import app.galdrin.web.account.Attempts;
import app.galdrin.web.account.KnownDevices;
import app.galdrin.web.account.Sessions;
import java.util.Objects;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;

/** Signing in by password, as often as {@link Attempts} allows. */
class LimitedSignIn extends DaoAuthenticationProvider {

    private static final Logger LOG = LoggerFactory.getLogger(LimitedSignIn.class);

    private final Attempts attempts;
    private final KnownDevices devices;
    private final HashSlots slots;

    LimitedSignIn(UserDetailsService people, Attempts attempts, KnownDevices devices, HashSlots slots) {
        super(people);
        this.attempts = attempts;
        this.devices = devices;
        this.slots = slots;
        setPasswordEncoder(slots);
    }

    /** Returns the person; the account with its hash goes no further. */
    @Override
    protected Authentication createSuccessAuthentication(Object name, Authentication attempt, UserDetails account) {
        return Sessions.authentication(((Account) account).person());
    }

    @Override
    public Authentication authenticate(Authentication attempt) {
        var details = (SignInDetails) Objects.requireNonNull(attempt.getDetails());
        String address = details.getRemoteAddress();
        try {
            Authentication result = tried(attempt, origin(attempt.getName(), details));
            LOG.info("{} signed in from {}", result.getPrincipal(), address);
            return result;
        } catch (AuthenticationException e) {
            // not the name: some type their password there
            LOG.info("sign-in refused from {}: {}", address, e.getClass().getSimpleName());
            throw e;
        }
    }

    /** A person's own device has a count and a turn of its own, so that nobody keeps anybody out there. */
    private Attempts.Origin origin(String name, SignInDetails details) {
        return details.device()
                .filter(device -> devices.isKnown(name, device))
                .map(Attempts.Origin::ownDevice)
                .orElseGet(() -> Attempts.Origin.address(details.getRemoteAddress()));
    }

    private Authentication tried(Authentication attempt, Attempts.Origin origin) {
        Attempts.Turn turn = attempts.begin(attempt.getName(), origin);
        if (!turn.allowed()) {
            throw new TooManyAttempts();
        }
        try {
            String whose = origin.isOwnDevice() ? origin.place() : attempt.getName();
            Authentication result = slots.inTurn(whose, turn.failing(), () -> super.authenticate(attempt));
            attempts.succeeded(attempt.getName(), origin);
            return result;
        } catch (TooBusy e) {
            attempts.notTried(attempt.getName(), origin);
            throw e;
        }
    }
}
