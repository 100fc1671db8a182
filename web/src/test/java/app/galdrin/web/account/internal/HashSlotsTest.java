package app.galdrin.web.account.internal;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Properties;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;

/** So many hashes at a time and no more. */
class HashSlotsTest {

    private static final int SLOTS = 4;

    private final HashSlots slots =
            new HashSlots(PasswordEncoderFactories.createDelegatingPasswordEncoder(), SLOTS, Duration.ofMillis(50));

    /** So many are at it; {@code other} is the next who comes, and is told that it is busy or gets in beside them. */
    @ParameterizedTest
    @CsvSource({
        "false, false, 4, next, false, false",
        "false, false, 3, next, false, true",
        "true, false, 1, one, false, false",
        "true, false, 1, ' ONE', false, false",
        "true, false, 1, next, false, true",
        "false, true, 2, next, true, false",
        "false, true, 2, next, false, true",
    })
    void whoComesNext(boolean oneName, boolean failing, int many, String other, boolean otherFails, boolean getsIn)
            throws Exception {
        var atIt = new CountDownLatch(many);
        var end = new CountDownLatch(1);
        List<Future<Boolean>> all = new ArrayList<>();
        var pool = Executors.newFixedThreadPool(many);
        try {
            for (int i = 0; i < many; i++) {
                String name = oneName ? "one" : "name" + i;
                all.add(pool.submit(() -> slots.inTurn(name, failing, () -> isWaited(atIt, end))));
            }
            atIt.await();
            try {
                if (getsIn) {
                    assertTrue(slots.inTurn(other, otherFails, () -> true));
                } else {
                    assertThrows(TooBusy.class, () -> slots.inTurn(other, otherFails, () -> true));
                }
            } finally {
                end.countDown();
            }
            for (Future<Boolean> one : all) {
                assertTrue(one.get());
            }
        } finally {
            pool.shutdown();
        }
        assertTrue(slots.inTurn(other, otherFails, () -> true), "all turns are given back");
    }

    private static boolean isWaited(CountDownLatch atIt, CountDownLatch end) {
        atIt.countDown();
        try {
            end.await();
            return true;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /** Tests sign in with less; nobody else does. */
    @Test
    void aPasswordThatCounts_isHashedInSixteenMegabytes() throws Exception {
        var shipped = new Properties();
        try (var in = HashSlotsTest.class.getResourceAsStream("/application.properties")) {
            shipped.load(in);
        }
        assertEquals("16384", shipped.getProperty("galdrin.password.memory"));
    }
}
