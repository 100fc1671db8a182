package app.galdrin.web.gate.internal;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InterruptedIOException;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;

/**
 * Reads bodies: within what the {@link BodyBudget} allows, within a time that goes with their size, and waiting for few of one address. The server
 * bounds the wait for each piece alone, and a letter every few seconds would hold a thread for hours.
 */
@Component
class BodyReader {

    private static final int PIECE = 16 << 10;
    private static final long GRACE_SECONDS = 10;

    /** Slower than any network that people would bear. */
    private static final int LEAST_BYTES_A_SECOND = 10_000;

    /** Bytes of a refused body that are read past, for a limited time, so that its sender reads why. */
    private static final int PASSED_BYTES = 32 << 20;

    private static final int PASSED_SECONDS = 5;

    /** A form comes with its head, or hardly later: looked for every millisecond at first, then seldom. */
    private static final int LOOKS = 20;

    private static final int LOOKS_SOON = 10;
    private static final int SOON_MS = 1;
    private static final int LATER_MS = 10;

    private final SlowBodies slow;

    BodyReader(SlowBodies slow) {
        this.slow = slow;
    }

    /** Reason for which a body was not read to its end. */
    static final class Unread extends IOException {
        private static final long serialVersionUID = 1L;
        private final HttpStatus status;

        Unread(HttpStatus status) {
            super(status.name());
            this.status = status;
        }

        HttpStatus status() {
            return status;
        }
    }

    /**
     * Reads a body whole. Bytes that have arrived are taken at once. To wait for more, an address needs permission.
     *
     * @throws Unread where it is too large or too slow
     * @throws SlowBodies.TooMany where too many of its address wait already
     */
    byte[] read(HttpServletRequest request, BodyBudget.Share share) throws IOException, SlowBodies.TooMany {
        room(share, request.getContentLengthLong());
        var body = new ByteArrayOutputStream();
        InputStream in = request.getInputStream();
        for (int looks = 0; looks < LOOKS && body.size() < request.getContentLengthLong(); looks++) {
            while (in.available() > 0) {
                add(in, body, share);
            }
            if (body.size() < request.getContentLengthLong()) {
                pause(looks < LOOKS_SOON ? SOON_MS : LATER_MS);
            }
        }
        if (body.size() != request.getContentLengthLong()) {
            try (SlowBodies.Leave waiting = slow.leave(request)) {
                await(in, body, share);
            }
        }
        return body.toByteArray();
    }

    private static void pause(int milliseconds) throws InterruptedIOException {
        try {
            Thread.sleep(milliseconds);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new InterruptedIOException("stopped");
        }
    }

    private static void await(InputStream in, ByteArrayOutputStream body, BodyBudget.Share share) throws IOException {
        long begun = System.nanoTime();
        while (add(in, body, share)) {
            long seconds = TimeUnit.NANOSECONDS.toSeconds(System.nanoTime() - begun);
            if (seconds > GRACE_SECONDS + body.size() / LEAST_BYTES_A_SECOND) {
                throw new Unread(HttpStatus.REQUEST_TIMEOUT);
            }
        }
    }

    /** Reads one piece; false at the end. */
    private static boolean add(InputStream in, ByteArrayOutputStream body, BodyBudget.Share share) throws IOException {
        byte[] piece = new byte[PIECE];
        int read = in.read(piece);
        if (read > 0) {
            room(share, (long) body.size() + read);
            body.write(piece, 0, read);
        }
        return read >= 0;
    }

    private static void room(BodyBudget.Share share, long bytes) throws Unread {
        HttpStatus status = share.make(bytes);
        if (status != HttpStatus.OK) {
            throw new Unread(status);
        }
    }

    /** Reads on without keeping anything. */
    static void letPass(HttpServletRequest request) {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(PASSED_SECONDS);
        byte[] piece = new byte[PIECE];
        try {
            InputStream in = request.getInputStream();
            int read = in.read(piece);
            for (long passed = 0; read >= 0 && passed < PASSED_BYTES && System.nanoTime() < until; passed += read) {
                read = in.read(piece);
            }
        } catch (IOException e) {
            request.removeAttribute(RequestDispatcher.ERROR_EXCEPTION); // whoever sent it has gone away
        }
    }
}
