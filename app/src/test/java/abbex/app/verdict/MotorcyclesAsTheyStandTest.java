package abbex.app.verdict;

import abbex.app.support.Shop;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** One of four parts of the drawn stays, so that they are run side by side. */
@ExtendWith(Shop.class)
class MotorcyclesAsTheyStandTest {
    @Test
    void every_station_says_one_thing_of_a_vehicle() {
        new AsTheyStand("MOTORCYCLE", 363_000L).run();
    }
}
