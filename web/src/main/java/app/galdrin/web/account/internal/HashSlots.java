package app.galdrin.web.account.internal;

import java.time.Duration;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * Bounds the password hashes in flight: each takes 16 MB and a core. The rest wait, and are told if their turn does not come. One try at a time is
 * checked for a name, and those who have been wrong get half of the turns at most, so that guessing does not keep a class out.
 */
final class HashSlots implements PasswordEncoder {

    private final PasswordEncoder encoder;
    private final Duration patience;
    private final Semaphore slots;
    private final Semaphore forFailing;

    /** The names that wait or are being checked; each has its own turn, so that no other name can take it. */
    private final Map<String, NameTurn> names = new ConcurrentHashMap<>();

    /**
     * @param slots how many at a time
     * @param patience how long a hash waits for its turn
     */
    HashSlots(PasswordEncoder encoder, int slots, Duration patience) {
        this.encoder = encoder;
        this.patience = patience;
        this.slots = new Semaphore(slots, true);
        this.forFailing = new Semaphore(Math.max(1, slots / 2), true);
    }

    /** Work that is done with a turn. */
    interface Work<T> {
        T run();
    }

    /**
     * Waits for a turn.
     *
     * @param name whose password it is, or which of the person's own devices it comes from
     * @param failing whether it comes from where much fails
     * @throws TooBusy where no turn came in time
     */
    <T> T inTurn(String name, boolean failing, Work<T> work) {
        String key = name.strip().toLowerCase(Locale.ROOT);
        Semaphore own = names.compute(key, (k, turn) -> turn == null ? new NameTurn(1) : turn.with(1)).turn;
        try {
            return failing ? held(work, own, forFailing, slots) : held(work, own, slots);
        } finally {
            names.computeIfPresent(key, (k, turn) -> turn.many == 1 ? null : turn.with(-1));
        }
    }

    private record NameTurn(Semaphore turn, int many) {

        NameTurn(int many) {
            this(new Semaphore(1, true), many);
        }

        NameTurn with(int more) {
            return new NameTurn(turn, many + more);
        }
    }

    private <T> T held(Work<T> work, Semaphore... turns) {
        int taken = 0;
        try {
            for (Semaphore turn : turns) {
                if (!turn.tryAcquire(patience.toMillis(), TimeUnit.MILLISECONDS)) {
                    throw new TooBusy();
                }
                taken++;
            }
            return work.run();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new TooBusy();
        } finally {
            Arrays.stream(turns, 0, taken).forEach(Semaphore::release);
        }
    }

    /** Hashes a new password; it waits as long as needed. */
    @Override
    public @Nullable String encode(@Nullable CharSequence password) {
        slots.acquireUninterruptibly();
        try {
            return encoder.encode(password);
        } finally {
            slots.release();
        }
    }

    /** Compares a password within a turn. */
    @Override
    public boolean matches(@Nullable CharSequence password, @Nullable String hash) {
        return encoder.matches(password, hash);
    }
}
