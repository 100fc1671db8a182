package app.galdrin.web.gate.internal;

import app.galdrin.web.gate.SignedInCheck;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Budget of the server's memory for the bodies of all requests together. A form is small. A larger body is a file on one of few pages: only
 * for somebody who has signed in, and one at a time. What is read takes some ten times as much until it is understood.
 */
@Component
class BodyBudget {

    static final int FORM = 64 << 10;
    static final int LARGEST = 4 << 20;

    private static final int KIB = 1 << 10;
    private static final int FORMS_KIB = 8 << 10;

    /** A sheet, a file with one, a task on the bench, a pack. */
    private static final Pattern LARGE =
            Pattern.compile("/(vehicles/(new|import|[^/]{36}/edit)|tasks/(new|try|import))");

    private final SignedInCheck signedIn;
    private final Semaphore forms = new Semaphore(FORMS_KIB);
    private final Semaphore large = new Semaphore(1);

    BodyBudget(SignedInCheck signedIn) {
        this.signedIn = signedIn;
    }

    /** A share for a body of the declared length; empty where there is no room at this moment. */
    Optional<Share> take(HttpServletRequest request) {
        long declared = request.getContentLengthLong();
        int kib = (int) ((declared < 0 ? FORM : Math.min(declared, FORM)) + KIB - 1) / KIB;
        return forms.tryAcquire(kib) ? Optional.of(new Share(request, kib)) : Optional.empty();
    }

    /** Share of one request; given back when it has been answered. */
    final class Share implements AutoCloseable {
        private final HttpServletRequest request;
        private final int kib;
        private int most = FORM;

        private Share(HttpServletRequest request, int kib) {
            this.request = request;
            this.kib = kib;
        }

        /**
         * Makes room for so many bytes.
         *
         * @return OK where there is; otherwise what is answered
         */
        HttpStatus make(long bytes) {
            if (bytes <= most) {
                return HttpStatus.OK;
            }
            if (bytes > LARGEST || !LARGE.matcher(request.getRequestURI()).matches() || !signedIn.isSignedIn(request)) {
                return HttpStatus.CONTENT_TOO_LARGE;
            }
            if (!large.tryAcquire()) {
                return HttpStatus.SERVICE_UNAVAILABLE;
            }
            most = LARGEST;
            return HttpStatus.OK;
        }

        @Override
        public void close() {
            forms.release(kib);
            if (most == LARGEST) {
                large.release();
            }
        }
    }
}
