package app.galdrin.web.gate.internal;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import org.springframework.stereotype.Component;

/**
 * A form arrives with its head, or a moment later. A body that is still on its way holds a thread, so that an address has few of them: a whole
 * college is one address, and somebody there who finishes none must not keep the others out.
 */
@Component
class SlowBodies {

    private static final int AT_ONCE = 20;
    private static final int MOST_ADDRESSES = 10_000;

    private final LoadingCache<String, Semaphore> waiting = Caffeine.newBuilder()
            .maximumSize(MOST_ADDRESSES)
            .expireAfterAccess(Duration.ofMinutes(5))
            .build(address -> new Semaphore(AT_ONCE));

    /** Leave to wait for a body. */
    interface Leave extends AutoCloseable {
        @Override
        void close();
    }

    /**
     * Takes leave to wait for a request's body.
     *
     * @throws TooMany where so many of its address wait already
     */
    Leave leave(HttpServletRequest request) throws TooMany {
        Semaphore waiters = waiting.get(request.getRemoteAddr());
        if (!waiters.tryAcquire()) {
            throw new TooMany();
        }
        return waiters::release;
    }

    /** Refusal of a body where too many of one address are on their way. */
    static final class TooMany extends Exception {
        private static final long serialVersionUID = 1;
    }
}
