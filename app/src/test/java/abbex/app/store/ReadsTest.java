package abbex.app.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** What is kept of what was read. */
class ReadsTest {
    private static final int BUSY = 200;
    private static final int PAGE = 60;

    /** However often vehicles were written and read, what nobody wrote is read once: no answer of an old stamp keeps it out. */
    @Test
    void old_answers_keep_no_newer_one_out() {
        Stamps stamps = mock(Stamps.class);
        Reads reads = new Reads(stamps);
        UUID shop = UUID.randomUUID();
        UUID vehicle = UUID.randomUUID();
        Stamps.OfShop set = new Stamps.OfShop(1, 0);
        when(stamps.ofShop(shop)).thenReturn(set);
        AtomicInteger asked = new AtomicInteger();
        for (int write = 0; write < 2 * BUSY; write++) {
            when(stamps.ofVehicle(shop, vehicle)).thenReturn(Optional.of(new Stamps.Stamp(vehicle, write, set)));
            for (int question = 0; question < PAGE; question++) {
                int q = question;
                int w = write;
                for (int time = 0; time < 4; time++) {
                    assertEquals(
                            w * PAGE + q,
                            reads.ofVehicle(shop, vehicle, List.of(shop, "of vehicle", q), () -> w * PAGE + q));
                }
            }
            if (write >= BUSY) {
                reads.ofShop(shop, List.of(shop, "of shop"), asked::incrementAndGet);
            }
        }
        assertEquals(1, asked.get());
    }
}
