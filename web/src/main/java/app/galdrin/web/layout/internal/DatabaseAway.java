package app.galdrin.web.layout.internal;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;

/**
 * A database that is away for a moment is not a defect: the page says to try again, and scripts keep what they have.
 * What the database refuses as belonging together wrongly (ids of another centre in a form) was never offered by a page.
 */
@ControllerAdvice
class DatabaseAway {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseAway.class);

    @ExceptionHandler(DataIntegrityViolationException.class)
    void refused(Exception e, HttpServletResponse response) throws IOException {
        LOG.warn("database refused: {}", e.getMessage());
        response.sendError(HttpStatus.BAD_REQUEST.value());
    }

    @ExceptionHandler({
        CannotCreateTransactionException.class,
        DataAccessResourceFailureException.class,
        TransientDataAccessException.class
    })
    void away(Exception e, HttpServletResponse response) throws IOException {
        LOG.warn("database away: {}", e.getMessage());
        response.setHeader("Retry-After", "5");
        response.sendError(HttpStatus.SERVICE_UNAVAILABLE.value());
    }
}
