package abbex.app.people;

import abbex.app.store.Busy;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * The slow hash of passwords and PINs, with a bound of its own: never more than all processors but one work on it, and few
 * wait. Whoever comes on top is told to come again; everybody else's pages go on.
 */
final class Hashing implements PasswordEncoder {
    private static final int WAITING = 16;
    private static final long PATIENCE_SECONDS = 4;

    private final PasswordEncoder slow;
    private final Semaphore work =
            new Semaphore(Math.max(1, Runtime.getRuntime().availableProcessors() - 1), true);
    private final Semaphore room = new Semaphore(WAITING);

    /** @param rounds of the hash, as a power of two; each more doubles what it costs to guess and to check */
    Hashing(int rounds) {
        slow = new BCryptPasswordEncoder(rounds);
    }

    private void enter() {
        if (!room.tryAcquire()) {
            throw new Busy();
        }
        try {
            if (work.tryAcquire(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
                return;
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        room.release();
        throw new Busy();
    }

    private void leave() {
        work.release();
        room.release();
    }

    @Override
    public @Nullable String encode(@Nullable CharSequence raw) {
        enter();
        try {
            return slow.encode(raw);
        } finally {
            leave();
        }
    }

    @Override
    public boolean matches(@Nullable CharSequence raw, @Nullable String hash) {
        enter();
        try {
            return slow.matches(raw, hash);
        } finally {
            leave();
        }
    }
}
