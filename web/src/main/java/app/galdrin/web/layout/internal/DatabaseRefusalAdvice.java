package app.galdrin.web.layout.internal;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;

/** Answers what the database refuses as belonging together wrongly (ids of another centre in a form): no page offered it. */
@ControllerAdvice
class DatabaseRefusalAdvice {

    private static final Logger LOG = LoggerFactory.getLogger(DatabaseRefusalAdvice.class);

    @ExceptionHandler(DataIntegrityViolationException.class)
    void refused(Exception e, HttpServletResponse response) throws IOException {
        LOG.warn("database refused: {}", e.getClass().getSimpleName()); // its message holds what was refused
        response.sendError(HttpStatus.BAD_REQUEST.value());
    }
}
