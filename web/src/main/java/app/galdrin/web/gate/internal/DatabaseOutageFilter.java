package app.galdrin.web.gate.internal;

import app.galdrin.web.layout.LogText;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.sql.SQLException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.DisconnectedClientHelper;

/**
 * A database that is away for a moment is not a defect: people are told to try again, scripts keep what they have. The page is drawn here,
 * outside the session's filter, since a session is in the database too. A reader who has left while a page was written is no outage either.
 */
@Component
@Order(Gates.AWAY)
class DatabaseOutageFilter extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseOutageFilter.class);

    /** Groups of SQL states: no connection, too few resources, an operator at work. */
    private static final List<String> AWAY = List.of("08", "53", "57P");

    private static final int DEEPEST = 20;

    private final TurnedAway turnedAway;

    DatabaseOutageFilter(TurnedAway turnedAway) {
        this.turnedAway = turnedAway;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            chain.doFilter(request, response);
        } catch (ServletException | IOException | RuntimeException e) {
            boolean away = isAway(e);
            if (!away && DisconnectedClientHelper.isClientDisconnectedException(e)) {
                LOG.debug("left before the end: {}", LogText.of(request.getRequestURI()));
                return;
            }
            if (response.isCommitted() || !away) {
                throw e;
            }
            LOG.warn(
                    "database away: {} {} on {}",
                    root(e).getClass().getName(),
                    state(e),
                    LogText.of(request.getRequestURI()));
            turnedAway.later(request, response, "away");
        }
    }

    private static boolean isAway(@Nullable Throwable e) {
        int depth = 0;
        for (Throwable at = e; at != null && depth < DEEPEST; at = at.getCause(), depth++) {
            if (at instanceof CannotCreateTransactionException
                    || at instanceof DataAccessResourceFailureException
                    || at instanceof TransientDataAccessException
                    || (at instanceof SQLException sql && isAway(sql.getSQLState()))) {
                return true;
            }
        }
        return false;
    }

    private static boolean isAway(@Nullable String state) {
        return state != null && AWAY.stream().anyMatch(state::startsWith);
    }

    /** The innermost state that the database gave; empty where it said nothing. */
    private static String state(Throwable e) {
        return root(e) instanceof SQLException sql ? String.valueOf(sql.getSQLState()) : "";
    }

    private static Throwable root(Throwable e) {
        Throwable at = e;
        for (int depth = 0; at.getCause() != null && depth < DEEPEST; depth++) {
            at = at.getCause();
        }
        return at;
    }

    /** Filters error pages too: there the first answer failed, and this one must not. */
    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }
}
