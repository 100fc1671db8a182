package app.galdrin.web.layout.internal;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Set;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMapping;

/** Every error ends here: a page in the product's words, or for scripts a short answer with the same key. */
@Controller
class ErrorPages implements ErrorController {

    /** Errors with words of their own; all others of the 4xx and 5xx fall back to 400 and 500. */
    private static final Set<Integer> KNOWN = Set.of(400, 403, 404, 413, 429, 500);

    @RequestMapping(path = "/error", produces = MediaType.TEXT_HTML_VALUE)
    String page(HttpServletRequest request, jakarta.servlet.http.HttpServletResponse response, Model model) {
        int status = status(request);
        response.setStatus(status);
        model.addAttribute("status", key(status));
        model.addAttribute("requestId", request.getAttribute(RequestIdFilter.ATTRIBUTE));
        return "layout/error";
    }

    @RequestMapping("/error")
    ResponseEntity<Void> plain(HttpServletRequest request) {
        return ResponseEntity.status(status(request)).build();
    }

    private static int status(HttpServletRequest request) {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        return status instanceof Integer code ? code : HttpStatus.NOT_FOUND.value();
    }

    private static int key(int status) {
        if (KNOWN.contains(status)) {
            return status;
        }
        return status < 500 ? 400 : 500;
    }
}
