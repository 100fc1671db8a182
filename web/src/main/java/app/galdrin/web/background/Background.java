package app.galdrin.web.background;

import jakarta.annotation.PreDestroy;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/**
 * Does heavy work in portions beside everything else. One processor is always left to the requests, and before each portion the work stands
 * back while requests are being answered, but not for ever: it goes on slowly on a server that is never idle.
 */
@Component
public class Background {

    /** The longest pause before a portion: with portions of 50 ms it leaves the work a tenth of one core. */
    private static final long STANDS_BACK_MS = 500;

    private static final long LOOKS_AGAIN_MS = 5;

    private final RequestCount requests;
    private final ExecutorService hands;

    Background(RequestCount requests) {
        this.requests = requests;
        var number = new AtomicInteger();
        this.hands =
                Executors.newFixedThreadPool(Math.max(1, Runtime.getRuntime().availableProcessors() - 1), work -> {
                    var thread = new Thread(work, "background-" + number.incrementAndGet());
                    thread.setDaemon(true);
                    return thread;
                });
    }

    @PreDestroy
    void stop() {
        hands.shutdownNow();
    }

    /**
     * Does one portion and waits for it.
     *
     * @throws IllegalStateException when the server is stopping
     */
    public <R> R portion(Callable<R> work) {
        return result(begin(work));
    }

    /**
     * SittingMarks through items in portions, several at once where there are processors for it.
     *
     * @param size items in a portion, 1 or more; a portion should take some tens of milliseconds
     * @return what became of each, in the order of the items
     */
    public <T, R> List<R> all(List<T> items, int size, Function<T, R> work) {
        List<Future<List<R>>> begun = new ArrayList<>();
        for (int from = 0; from < items.size(); from += size) {
            List<T> portion = items.subList(from, Math.min(items.size(), from + size));
            begun.add(begin(() -> portion.stream().map(work).toList()));
        }
        List<R> done = new ArrayList<>(items.size());
        begun.forEach(portion -> done.addAll(result(portion)));
        return done;
    }

    private <R> Future<R> begin(Callable<R> work) {
        return hands.submit(() -> {
            standBack();
            return work.call();
        });
    }

    private void standBack() throws InterruptedException {
        long until = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(STANDS_BACK_MS);
        while (requests.isAnybodyWaiting() && System.nanoTime() < until) {
            Thread.sleep(LOOKS_AGAIN_MS);
        }
    }

    private static <R> R result(Future<R> portion) {
        try {
            return portion.get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("stopped", e);
        } catch (ExecutionException e) {
            if (e.getCause() instanceof RuntimeException cause) {
                throw cause;
            }
            throw new IllegalStateException(e.getCause());
        }
    }
}
