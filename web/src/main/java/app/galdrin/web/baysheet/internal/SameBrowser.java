package app.galdrin.web.baysheet.internal;

import app.galdrin.web.account.Sessions;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;

/**
 * By what a browser without a session is known again: a cookie of its own, given with the page that offers the names. It is random, stands on
 * no page, no script can read it, and signing out takes it away ({@code SecurityConfiguration}). What is kept is its hash.
 */
final class SameBrowser {

    /** Where nobody has signed out. */
    private static final Duration LASTS = Duration.ofMinutes(30);

    private static final int BYTES = 32;
    private static final SecureRandom RANDOM = new SecureRandom();

    private SameBrowser() {}

    /** 64 hexadecimal digits; empty of a browser that has not been given its cookie. */
    static Optional<String> of(HttpServletRequest request) {
        return cookie(request).map(SameBrowser::hash);
    }

    /** Gives a browser its cookie, if it has none. */
    static void remember(HttpServletRequest request, HttpServletResponse response) {
        if (cookie(request).isEmpty()) {
            byte[] secret = new byte[BYTES];
            RANDOM.nextBytes(secret);
            ResponseCookie made = ResponseCookie.from(
                            Sessions.JOINING, HexFormat.of().formatHex(secret))
                    .path("/")
                    .httpOnly(true)
                    .secure(request.isSecure())
                    .sameSite("Lax")
                    .maxAge(LASTS)
                    .build();
            response.addHeader(HttpHeaders.SET_COOKIE, made.toString());
        }
    }

    private static Optional<String> cookie(HttpServletRequest request) {
        Cookie[] all = request.getCookies();
        return (all == null ? Stream.<Cookie>empty() : Arrays.stream(all))
                .filter(c -> c.getName().equals(Sessions.JOINING))
                .map(Cookie::getValue)
                .filter(value -> value.matches("[0-9a-f]{64}"))
                .findFirst();
    }

    private static String hash(String secret) {
        try {
            byte[] hash = MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(hash);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
