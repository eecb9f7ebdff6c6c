package abbex.app.api;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** A request of another program computes within a deadline, and what nobody waits for ends. */
class WorkTest {
    private final Work work = new Work(300);

    @Test
    void what_takes_too_long_is_told_and_ends() throws InterruptedException {
        CountDownLatch ended = new CountDownLatch(1);
        ApiProblem told = assertThrows(
                ApiProblem.class,
                () -> work.done("somebody", () -> {
                    try {
                        new CountDownLatch(1).await();
                        return "";
                    } catch (InterruptedException nobodyWaits) {
                        ended.countDown();
                        throw nobodyWaits;
                    }
                }));
        assertEquals(422, told.status());
        assertTrue(ended.await(10, TimeUnit.SECONDS), "the work goes on for nobody");
        assertEquals("next", work.done("somebody", () -> "next"), "and the next one is answered");
    }

    @Test
    void what_is_wrong_with_it_is_told_as_it_was_said() {
        ApiProblem said = ApiProblem.of(422, "api.no-probe");
        assertEquals(
                said,
                assertThrows(
                        ApiProblem.class,
                        () -> work.done("somebody", () -> {
                            throw said;
                        })));
    }
}
