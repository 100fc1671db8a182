package app.galdrin.web.account.internal;

import org.springframework.security.core.AuthenticationException;

/** Too many failed attempts of late; the password was not even looked at. */
class TooManyAttempts extends AuthenticationException {

    private static final long serialVersionUID = 1L;

    TooManyAttempts() {
        super("too many attempts");
    }
}
