package app.galdrin.web.gate.internal;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Enumeration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Takes a form as a whole before anybody asks for a part of it, and nothing but forms; how it is read is the {@link BodyReader}'s.
 */
@Component
@Order(Gates.BODY)
class BoundedForm extends OncePerRequestFilter {

    /** The largest specification sheet has some 1,800 cells. */
    private static final int MOST_FIELDS = 4000;

    private final TurnedAway turnedAway;
    private final BodyBudget budget;
    private final BodyReader reader;

    BoundedForm(TurnedAway turnedAway, BodyBudget budget, BodyReader reader) {
        this.turnedAway = turnedAway;
        this.budget = budget;
        this.reader = reader;
    }

    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }

    private static boolean hasBody(HttpServletRequest request) {
        return request.getContentLengthLong() > 0 || request.getHeader("Transfer-Encoding") != null;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getDispatcherType() != DispatcherType.REQUEST) {
            chain.doFilter(
                    new BoundedRequest(request, Map.of()),
                    response); // an error page asks nothing of a body that may be half there
        } else if (hasBody(request)) {
            Optional<BodyBudget.Share> share = budget.take(request);
            if (share.isEmpty()) {
                turnedAway.later(request, response, "body-503");
                return;
            }
            try (BodyBudget.Share taken = share.get()) {
                read(request, response, chain, taken);
            }
        } else if (hasReadableAddress(request)) {
            chain.doFilter(request, response);
        } else {
            turnedAway.answer(request, response, HttpStatus.BAD_REQUEST, "address-400");
        }
    }

    /** False where a percent sign lacks its figures: asked for later on, that would be noted as an error of ours. */
    private static boolean hasReadableAddress(HttpServletRequest request) {
        try {
            request.getParameterMap();
            return true;
        } catch (InvalidParameterException e) {
            return false;
        }
    }

    private void read(
            HttpServletRequest request, HttpServletResponse response, FilterChain chain, BodyBudget.Share share)
            throws ServletException, IOException {
        HttpStatus refused = HttpStatus.OK;
        Map<String, String[]> fields = Map.of();
        if (!isForm(request)) {
            refused = HttpStatus.UNSUPPORTED_MEDIA_TYPE;
        } else {
            try {
                fields = fields(reader.read(request, share));
            } catch (BodyReader.Unread e) {
                refused = e.status();
            } catch (SlowBodies.TooMany e) {
                turnedAway.later(request, response, "share");
                return;
            } catch (IllegalArgumentException e) {
                refused = HttpStatus.BAD_REQUEST; // a percent sign without its figures
            } catch (IOException e) {
                // it stopped in the middle; the server has answered that already, and noted it as an error of ours
                request.removeAttribute(RequestDispatcher.ERROR_EXCEPTION);
                return;
            }
        }
        if (refused == HttpStatus.OK && !hasReadableAddress(request)) {
            refused = HttpStatus.BAD_REQUEST;
        }
        if (refused == HttpStatus.OK) {
            Map<String, String[]> all =
                    new LinkedHashMap<>(request.getParameterMap()); // of the address: the body is read
            fields.forEach((name, values) -> all.merge(name, values, BoundedForm::both));
            chain.doFilter(new BoundedRequest(request, all), response);
        } else {
            turnedAway.answer(request, response, refused, "body-" + refused.value());
            if (refused == HttpStatus.CONTENT_TOO_LARGE || refused == HttpStatus.SERVICE_UNAVAILABLE) {
                response.flushBuffer();
                BodyReader.letPass(request);
            }
        }
    }

    private static boolean isForm(HttpServletRequest request) {
        String type = request.getContentType();
        return type != null
                && type.split(";", 2)[0].strip().equalsIgnoreCase(MediaType.APPLICATION_FORM_URLENCODED_VALUE);
    }

    private static Map<String, String[]> fields(byte[] body) throws IOException {
        Map<String, List<String>> fields = new LinkedHashMap<>();
        int count = 0;
        for (String field : new String(body, StandardCharsets.ISO_8859_1).split("&", -1)) {
            if (field.isEmpty()) {
                continue;
            }
            if (++count > MOST_FIELDS) {
                throw new BodyReader.Unread(HttpStatus.CONTENT_TOO_LARGE);
            }
            int sign = field.indexOf('=');
            String name = decode(sign < 0 ? field : field.substring(0, sign));
            String value = sign < 0 ? "" : decode(field.substring(sign + 1));
            fields.computeIfAbsent(name, n -> new ArrayList<>()).add(value);
        }
        Map<String, String[]> all = new LinkedHashMap<>();
        fields.forEach((name, values) -> all.put(name, values.toArray(String[]::new)));
        return all;
    }

    private static String decode(String text) {
        // letters that came unencoded are UTF-8 as well
        String utf8 = new String(text.getBytes(StandardCharsets.ISO_8859_1), StandardCharsets.UTF_8);
        return URLDecoder.decode(utf8, StandardCharsets.UTF_8);
    }

    private static String[] both(String[] address, String[] form) {
        List<String> values = new ArrayList<>(List.of(address));
        values.addAll(List.of(form));
        return values.toArray(String[]::new);
    }

    /** A request with exactly these parameters. */
    private static final class BoundedRequest extends HttpServletRequestWrapper {
        private final Map<String, String[]> all;

        BoundedRequest(HttpServletRequest request, Map<String, String[]> all) {
            super(request);
            this.all = all;
        }

        @Override
        public @Nullable String getParameter(String name) {
            String[] values = all.get(name);
            return values == null ? null : values[0];
        }

        @Override
        public String @Nullable [] getParameterValues(String name) {
            return all.get(name);
        }

        @Override
        public Map<String, String[]> getParameterMap() {
            return Collections.unmodifiableMap(all);
        }

        @Override
        public Enumeration<String> getParameterNames() {
            return Collections.enumeration(all.keySet());
        }
    }
}
