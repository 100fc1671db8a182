package app.galdrin.web.account.internal;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;

/** So many hashes at a time and no more. */
class HashSlotsTest {

    private static final int SLOTS = 4;

    @ParameterizedTest
    @CsvSource({"false, false, 4", "true, false, 1", "false, true, 2"})
    void atATime(boolean oneName, boolean failing, int most) throws Exception {
        var slots = new HashSlots(PasswordEncoderFactories.createDelegatingPasswordEncoder(), SLOTS);
        var now = new AtomicInteger();
        var seen = new AtomicInteger();
        List<Callable<Boolean>> all = new ArrayList<>();
        for (int i = 0; i < 16; i++) {
            String name = oneName ? "one" : "name" + i;
            all.add(() -> slots.inTurn(name, failing, () -> {
                seen.accumulateAndGet(now.incrementAndGet(), Math::max);
                pause();
                now.decrementAndGet();
                return true;
            }));
        }
        var pool = Executors.newFixedThreadPool(all.size());
        for (var done : pool.invokeAll(all)) {
            assertTrue(done.get());
        }
        pool.shutdown();
        assertEquals(most, seen.get());
    }

    private static void pause() {
        try {
            Thread.sleep(60);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
