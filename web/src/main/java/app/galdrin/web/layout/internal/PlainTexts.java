package app.galdrin.web.layout.internal;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.Collections;
import java.util.Enumeration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Takes out of every parameter what nobody can see: control characters, of which the database refuses one, and characters without
 * width, with which one name looks like another. Line ends and tabs stay.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 45) // once the body is read, before the session
class PlainTexts extends OncePerRequestFilter {

    private static final String SESSION = "SESSION";
    private static final Pattern SESSION_ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");
    private static final Pattern UNSEEN = Pattern.compile(
            "[\\p{Cc}&&[^\\t\\n\\r]]|[\\u200B-\\u200F\\u202A-\\u202E\\u2060-\\u2064\\u2066-\\u206F\\uFEFF]");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        chain.doFilter(new Plain(request), response);
    }

    /** An error page is told of the same request. */
    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }

    private static String seen(String text) {
        return UNSEEN.matcher(text).replaceAll("");
    }

    private static final class Plain extends HttpServletRequestWrapper {
        Plain(HttpServletRequest request) {
            super(request);
        }

        /** Returns the one locale. The languages that a browser names are not read: the server refuses to read more than ten. */
        @Override
        public Locale getLocale() {
            return Locale.ENGLISH;
        }

        @Override
        public Enumeration<Locale> getLocales() {
            return Collections.enumeration(List.of(Locale.ENGLISH));
        }

        @Override
        public @Nullable String getParameter(String name) {
            String text = super.getParameter(name);
            return text == null ? null : seen(text);
        }

        @Override
        public String @Nullable [] getParameterValues(String name) {
            String[] texts = super.getParameterValues(name);
            return texts == null ? null : plain(texts);
        }

        @Override
        public Map<String, String[]> getParameterMap() {
            Map<String, String[]> all = new LinkedHashMap<>();
            super.getParameterMap().forEach((name, texts) -> all.put(name, plain(texts)));
            return all;
        }

        /** Returns the cookies without a session cookie that no session ever had. */
        @Override
        public Cookie @Nullable [] getCookies() {
            Cookie[] cookies = super.getCookies();
            return cookies == null
                    ? null
                    : Arrays.stream(cookies)
                            .filter(c -> !c.getName().equals(SESSION) || isSession(c.getValue()))
                            .toArray(Cookie[]::new);
        }

        private static boolean isSession(String value) {
            try {
                String id = new String(Base64.getDecoder().decode(value), StandardCharsets.ISO_8859_1);
                return SESSION_ID.matcher(id).matches();
            } catch (IllegalArgumentException e) {
                return false;
            }
        }

        private static String[] plain(String[] texts) {
            return Arrays.stream(texts).map(PlainTexts::seen).toArray(String[]::new);
        }
    }
}
