package app.galdrin.web.gate;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.servlet.View;

/** A page that is written for as long as somebody reads it, for tests of those who don't. */
@Controller
class SlowPage {

    static final String PATH = "/tasks/slow";

    private static final int LINES = 100_000;

    @GetMapping(PATH)
    View slow() {
        return (model, request, response) -> write(response);
    }

    private static void write(HttpServletResponse response) throws IOException {
        response.setContentType("text/plain");
        byte[] line = "a line of a long page\n".repeat(100).getBytes(StandardCharsets.UTF_8);
        for (int i = 0; i < LINES; i++) {
            response.getOutputStream().write(line);
            response.flushBuffer();
        }
    }
}
