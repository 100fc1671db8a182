package app.galdrin.web.baysheet.internal;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Objects;
import org.springframework.security.web.csrf.DeferredCsrfToken;

/**
 * By what a browser without a session is known again: the secret that its forms carry. It is random, no script can read it, and it changes
 * when somebody signs in or out. What is kept is its hash.
 */
final class SameBrowser {

    private SameBrowser() {}

    /** 64 hexadecimal digits. */
    static String of(HttpServletRequest request) {
        var forms = (DeferredCsrfToken) Objects.requireNonNull(
                request.getAttribute(DeferredCsrfToken.class.getName()), "behind the form token's filter");
        try {
            byte[] hash = MessageDigest.getInstance("SHA-256")
                    .digest(forms.get().getToken().getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(hash);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
