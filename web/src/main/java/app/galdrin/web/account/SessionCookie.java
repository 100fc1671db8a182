package app.galdrin.web.account;

import app.galdrin.web.gate.SignedInCheck;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.session.Session;
import org.springframework.session.SessionRepository;
import org.springframework.session.web.http.CookieSerializer;
import org.springframework.stereotype.Component;

/** Looks whether the session that a request's cookie names has a ticket. Whether it opens a page is decided later, as for every request. */
@Component
class SessionCookie implements SignedInCheck {

    /** A browser sends one; anyone who sends more is asked for no more. */
    private static final int MOST = 2;

    private final CookieSerializer cookies;
    private final SessionRepository<?> sessions;

    SessionCookie(CookieSerializer cookies, SessionRepository<?> sessions) {
        this.cookies = cookies;
        this.sessions = sessions;
    }

    @Override
    public boolean isSignedIn(HttpServletRequest request) {
        return cookies.readCookieValues(request).stream()
                .limit(MOST)
                .flatMap(id -> Optional.<Session>ofNullable(sessions.findById(id)).stream())
                .anyMatch(session -> session.getAttribute(Ticket.ATTRIBUTE) != null);
    }
}
