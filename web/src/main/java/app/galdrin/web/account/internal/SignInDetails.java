package app.galdrin.web.account.internal;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.authentication.WebAuthenticationDetails;

/** The origin of a sign-in: the address, and the browser if it has signed someone in before. */
final class SignInDetails extends WebAuthenticationDetails {

    private static final long serialVersionUID = 1L;

    private final @Nullable String device;

    SignInDetails(HttpServletRequest request, Optional<String> device) {
        super(request);
        this.device = device.orElse(null);
    }

    /** Hash of its cookie. */
    Optional<String> device() {
        return Optional.ofNullable(device);
    }
}
