package app.galdrin.web.layout.internal;

import app.galdrin.web.layout.NotThere;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;

/** Says in the log what was not there, and nothing of it to the asker. */
@ControllerAdvice
class NotThereLog {

    private static final Logger LOG = LoggerFactory.getLogger(NotThereLog.class);

    @ExceptionHandler(NotThere.class)
    void notThere(NotThere e, HttpServletResponse response) throws IOException {
        LOG.info("not there: {}", e.getMessage());
        response.sendError(HttpStatus.NOT_FOUND.value());
    }
}
