package abbex.core.settling;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.Arrays;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Mean and spread of bins, against numbers that are summed one by one; Sheppard's correction for their width. */
class BinsTest {
    @Test
    void have_the_mean_and_spread_of_what_is_in_them() {
        Bins bins = new Bins(Map.of(8, 2, 10, 5, 11, 3));
        double[] all = {4, 4, 5, 5, 5, 5, 5, 5.5, 5.5, 5.5};
        double mean = Arrays.stream(all).average().orElseThrow();
        double squares = Arrays.stream(all).map(v -> (v - mean) * (v - mean)).sum();
        assertEquals(mean, bins.mean(), 1e-12);
        assertEquals(Math.sqrt(squares / 9 - 0.25 / 12), bins.spread(), 1e-12);
        assertEquals(9, bins.without(4).count());
        assertEquals(10, bins.without(7).count());
        assertEquals(0, Bins.NONE.mean() + Bins.NONE.spread());
    }
}
