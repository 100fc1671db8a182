package app.galdrin.web.gate;

import jakarta.servlet.http.HttpServletRequest;

/** Tells, before any session is opened, whether a request comes from somebody who has signed in. */
public interface SignedInCheck {

    /** Asks for the session that the request's cookie names; costs a look into the database. */
    boolean isSignedIn(HttpServletRequest request);
}
