package app.galdrin.web.gate.internal;

import jakarta.servlet.http.HttpServletResponse;

/** The headers of what is answered before the security filters see it. */
final class EarlyHeaders {

    private static final String PAGE =
            "default-src 'none'; style-src 'self'; font-src 'self'; img-src data:; frame-ancestors 'none'";
    private static final String ASSET = "default-src 'none'; frame-ancestors 'none'";

    private EarlyHeaders() {}

    /** Sets the headers of a short page that is never cached. */
    static void ofPage(HttpServletResponse response) {
        of(response, PAGE);
        response.setHeader("Cache-Control", "no-store");
        response.setHeader("X-Frame-Options", "DENY");
    }

    /** Sets the headers of a style sheet, a script or a font. */
    static void ofAsset(HttpServletResponse response) {
        of(response, ASSET);
        response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
    }

    private static void of(HttpServletResponse response, String policy) {
        response.setHeader("Content-Security-Policy", policy);
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("Referrer-Policy", "same-origin");
    }
}
