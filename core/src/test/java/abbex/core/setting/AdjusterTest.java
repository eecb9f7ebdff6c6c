package abbex.core.setting;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.units.Length;
import abbex.core.units.Pressure;
import org.junit.jupiter.api.Test;

/** What can be done at one corner. */
class AdjusterTest {
    @Test
    void air_goes_by_the_gauges_steps_between_its_ends() {
        Adjuster bag =
                Adjuster.air(Pressure.ofPsi(30), Pressure.ofPsi(5), Pressure.ofPsi(33.5), Pressure.ofPsi(1), 0.1);
        assertEquals(25 + 1 + 3, bag.options().size());
        Option lowest = bag.options().get(0);
        assertEquals(-25 * Pressure.KPA_PER_PSI * 0.1, lowest.move(), 1e-9);
        How.Air air = (How.Air) lowest.how();
        assertEquals(30, air.from().psi(), 1e-9);
        assertEquals(5, air.to().psi(), 1e-9);
        assertTrue(bag.options().contains(Option.LEAVE));
    }

    @Test
    void a_bag_outside_its_ends_can_come_back_only() {
        Adjuster low = Adjuster.air(Pressure.ofPsi(2), Pressure.ofPsi(5), Pressure.ofPsi(10), Pressure.ofPsi(1), 0.1);
        assertEquals(1 + 6, low.options().size());
        assertTrue(low.options().stream().allMatch(o -> o.move() >= 0));
    }

    /** A rod moves as far as a ring does; taking its end off is other work. */
    @Test
    void a_rod_is_a_thread_of_other_work() {
        Adjuster rod = Adjuster.rod(Length.ofMm(2), 2, 1, 1, 1.5);
        Adjuster ring = Adjuster.thread(Length.ofMm(2), 2, 1, 1, 1.5);
        assertEquals(3, rod.options().size());
        assertEquals(1.5, rod.options().get(2).move(), 1e-12);
        assertTrue(rod.options().get(2).minutes() > ring.options().get(2).minutes());
    }
}
