package app.galdrin.web.background;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class BackgroundTest {

    private final RequestCount requests = new RequestCount();
    private final Background background = new Background(requests);

    @AfterEach
    void stop() {
        background.stop();
    }

    @Test
    void items_areWorkedThrough_inTheirOrder_neverOnAllProcessors() {
        var atOnce = new AtomicInteger();
        var most = new AtomicInteger();
        List<Integer> numbers = IntStream.range(0, 103).boxed().toList();
        List<Integer> doubled = background.all(numbers, 10, n -> {
            most.accumulateAndGet(atOnce.incrementAndGet(), Math::max);
            Thread.yield();
            atOnce.decrementAndGet();
            return 2 * n;
        });
        assertEquals(numbers.stream().map(n -> 2 * n).toList(), doubled);
        assertTrue(most.get() <= Math.max(1, Runtime.getRuntime().availableProcessors() - 1), most::toString);
    }

    @Test
    void aPortion_standsBackWhileSomeoneWaits_andGoesOnWhenHeHasHisAnswer() throws InterruptedException {
        requests.begin();
        var begun = new CountDownLatch(1);
        var thread = new Thread(() -> background.portion(() -> {
            begun.countDown();
            return true;
        }));
        thread.start();
        assertFalse(begun.await(100, TimeUnit.MILLISECONDS), "it has begun while somebody waits");
        requests.end();
        assertTrue(begun.await(20, TimeUnit.SECONDS));
        thread.join();
    }

    @Test
    void aServerThatIsNeverIdle_doesNotStopIt() {
        requests.begin();
        assertEquals(1, background.portion(() -> 1));
    }

    @Test
    void whatGoesWrong_comesOutAsItWas() {
        var wrong = new IllegalArgumentException("wrong");
        assertEquals(
                wrong,
                assertThrows(
                        IllegalArgumentException.class,
                        () -> background.portion(() -> {
                            throw wrong;
                        })));
    }
}
