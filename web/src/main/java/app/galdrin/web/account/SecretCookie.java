package app.galdrin.web.account;

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
 * A cookie by which a browser without a session is known again. It is random, stands on no page, and no script can read it. Only its hash is kept.
 *
 * @param name of the cookie
 * @param lasts how long a browser keeps it
 */
public record SecretCookie(String name, Duration lasts) {

    private static final int BYTES = 32;
    private static final SecureRandom RANDOM = new SecureRandom();

    /** 64 hexadecimal digits; empty for a browser that has not been given its cookie. */
    public Optional<String> hash(HttpServletRequest request) {
        return value(request).map(SecretCookie::hash);
    }

    /** Gives a browser its cookie if it has none; its hash. */
    public String give(HttpServletRequest request, HttpServletResponse response) {
        return hash(request).orElseGet(() -> {
            byte[] random = new byte[BYTES];
            RANDOM.nextBytes(random);
            String secret = HexFormat.of().formatHex(random);
            ResponseCookie made = ResponseCookie.from(name, secret)
                    .path("/")
                    .httpOnly(true)
                    .secure(request.isSecure())
                    .sameSite("Lax")
                    .maxAge(lasts)
                    .build();
            response.addHeader(HttpHeaders.SET_COOKIE, made.toString());
            return hash(secret);
        });
    }

    private Optional<String> value(HttpServletRequest request) {
        Cookie[] all = request.getCookies();
        return (all == null ? Stream.<Cookie>empty() : Arrays.stream(all))
                .filter(c -> c.getName().equals(name))
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
