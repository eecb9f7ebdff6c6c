package abbex.core.setting;

import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.core.balance.WheelLoads;
import org.junit.jupiter.api.Test;

/** Where the rear comes to by each policy, by hand; scales that stand changed over. */
class AimTest {
    @Test
    void the_rear_follows_the_front() {
        double[] had = {365, 367, 373, 375};
        assertEquals(343, Aim.rearKeepingRake(had, 335), 1e-12);
        // Gaps 60 in front, 70 behind: 5 down in front leaves 55, so the rear comes down by 15.
        double[] now = {340, 340, 345, 345};
        assertEquals(330, Aim.rearReadingAlike(now, new double[] {60, 60, 70, 70}, 335), 1e-12);
    }

    @Test
    void scales_that_stand_changed_over_are_asked_about() {
        assertEquals(true, new WheelLoads(750, 900, 700, 850).perhapsSwapped());
        assertEquals(false, new WheelLoads(900, 750, 700, 850).perhapsSwapped());
        assertEquals(false, new WheelLoads(800, 860, 760, 800).perhapsSwapped());
    }
}
