package app.galdrin.web.account.internal;

import org.springframework.security.core.AuthenticationException;

/** More people sign in than there are turns for. */
class TooBusy extends AuthenticationException {

    private static final long serialVersionUID = 1L;

    TooBusy() {
        super("no turn came in time");
    }
}
