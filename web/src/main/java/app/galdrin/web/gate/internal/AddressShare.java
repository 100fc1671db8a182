package app.galdrin.web.gate.internal;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Half of the server's threads at most for one address: anyone who holds threads open, by sending a letter at a time, does not stop the others.
 * A whole workshop behind one address is far below it.
 */
@Component
@Order(Gates.SHARE)
class AddressShare extends OncePerRequestFilter {

    private static final int MOST_ADDRESSES = 10_000;

    private final TurnedAway turnedAway;
    private final LoadingCache<String, Semaphore> shares;

    AddressShare(TurnedAway turnedAway, @Value("${server.tomcat.threads.max}") int threads) {
        this.turnedAway = turnedAway;
        this.shares = Caffeine.newBuilder()
                .maximumSize(MOST_ADDRESSES)
                .expireAfterAccess(Duration.ofMinutes(5))
                .build(address -> new Semaphore(threads / 2));
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Semaphore share = shares.get(request.getRemoteAddr());
        if (!share.tryAcquire()) {
            turnedAway.later(request, response, "share");
            return;
        }
        try {
            chain.doFilter(request, response);
        } finally {
            share.release();
        }
    }
}
