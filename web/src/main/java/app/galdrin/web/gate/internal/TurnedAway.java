package app.galdrin.web.gate.internal;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.resource.ResourceUrlProvider;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/** Turns a request away where neither sessions nor the usual error page can be had: it asks the database, or the body that never came. */
@Component
class TurnedAway {

    private static final String SECONDS = "5";

    private final ITemplateEngine pages;
    private final ObjectProvider<ResourceUrlProvider> assets;

    TurnedAway(ITemplateEngine pages, ObjectProvider<ResourceUrlProvider> assets) {
        this.pages = pages;
        this.assets = assets;
    }

    /** Answers that the server is busy: try again in a moment. */
    void later(HttpServletRequest request, HttpServletResponse response, String why) throws IOException {
        answer(request, response, HttpStatus.SERVICE_UNAVAILABLE, why);
    }

    /**
     * A page for people, nothing but the status for scripts.
     *
     * @param why key of the page's words
     */
    void answer(HttpServletRequest request, HttpServletResponse response, HttpStatus status, String why)
            throws IOException {
        String id = String.valueOf(response.getHeader("X-Request-Id"));
        response.reset();
        response.setStatus(status.value());
        if (status == HttpStatus.SERVICE_UNAVAILABLE) {
            response.setHeader(HttpHeaders.RETRY_AFTER, SECONDS);
        }
        response.setHeader("X-Request-Id", id);
        EarlyHeaders.ofPage(response);
        String accepts = request.getHeader(HttpHeaders.ACCEPT);
        if (accepts == null || !accepts.contains(MediaType.TEXT_HTML_VALUE)) {
            return;
        }
        var context = new Context(Locale.ENGLISH, Map.of("why", why, "requestId", id, "styles", styles()));
        byte[] page = pages.process("layout/turned-away", context).getBytes(StandardCharsets.UTF_8);
        response.setContentType("text/html;charset=UTF-8");
        // without its length: the server closes a request whose answer is whole, and a body on its way would be cut off
        // before this page is read
        response.getOutputStream().write(page);
    }

    private List<String> styles() {
        return Stream.of("/assets/webjars/bootstrap/css/bootstrap.min.css", "/assets/style/galdrin.css")
                .map(plain -> Objects.requireNonNullElse(assets.getObject().getForLookupPath(plain), plain))
                .toList();
    }
}
