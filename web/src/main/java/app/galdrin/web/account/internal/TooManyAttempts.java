package app.galdrin.web.account.internal;

import org.springframework.security.core.AuthenticationException;

/** Refusal after too many failed attempts; the password is not looked at. */
class TooManyAttempts extends AuthenticationException {

    private static final long serialVersionUID = 1L;

    TooManyAttempts() {
        super("too many attempts");
    }
}
