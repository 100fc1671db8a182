package app.galdrin.web.gate.internal;

import org.springframework.core.Ordered;

/** The order of the gates; a request's id comes before them, the cleaning of its texts and its session after them. */
final class Gates {

    static final int AWAY = Ordered.HIGHEST_PRECEDENCE + 10;
    static final int ASSETS = Ordered.HIGHEST_PRECEDENCE + 20;
    static final int SHARE = Ordered.HIGHEST_PRECEDENCE + 30;
    static final int BODY = Ordered.HIGHEST_PRECEDENCE + 40;

    private Gates() {}
}
