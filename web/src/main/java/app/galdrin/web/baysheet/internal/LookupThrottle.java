package app.galdrin.web.baysheet.internal;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;

/** One lookup after another for an address that guesses: anyone who has a right code there waits a moment, and guessing takes for ever. */
final class LookupThrottle {

    private static final long PAUSE_MILLIS = 250;
    private static final long PATIENCE_SECONDS = 4;
    private static final int MOST_ADDRESSES = 10_000;

    /** Limits how many wait, so that they never hold more than a part of the server's threads. */
    private final Semaphore waiting = new Semaphore(20);

    private final LoadingCache<String, Semaphore> turns = Caffeine.newBuilder()
            .maximumSize(MOST_ADDRESSES)
            .expireAfterAccess(Duration.ofMinutes(15))
            .build(address -> new Semaphore(1, true));

    /** Waits for the turn of an address; whether it came in time. */
    boolean turn(String address) {
        if (!waiting.tryAcquire()) {
            return false;
        }
        try {
            Semaphore own = turns.get(address);
            if (!own.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
                return false;
            }
            try {
                Thread.sleep(PAUSE_MILLIS);
            } finally {
                own.release();
            }
            return true;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        } finally {
            waiting.release();
        }
    }
}
