package abbex.core.electronics;

import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.core.electronics.VehicleSystem.Did;
import abbex.core.electronics.VehicleSystem.Has;
import abbex.core.figure.Finding;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What clears by itself and what needs a procedure (common practice). */
class ElectronicsTest {
    private static List<String> codes(Map<VehicleSystem, Electronics.Said> systems) {
        return new Electronics(systems).findings().stream().map(Finding::code).toList();
    }

    private static Electronics.Said said(Has has, Did did) {
        return new Electronics.Said(has, did, "");
    }

    @Test
    void what_nobody_spoke_of_is_open_and_what_it_has_not_is_done() {
        assertEquals(List.of("SYSTEMS_UNSAID"), codes(Map.of()));
        assertEquals(List.of("SYSTEMS_UNSAID"), codes(Map.of(VehicleSystem.RADAR, said(Has.UNSAID, Did.OPEN))));
        assertEquals(List.of(), codes(Map.of(VehicleSystem.RADAR, said(Has.NO, Did.OPEN))));
    }

    @Test
    void each_is_asked_for_until_it_is_done_or_needs_nothing() {
        assertEquals(
                List.of("PLUG_OPEN", "PROCEDURE_OPEN"),
                codes(Map.of(
                        VehicleSystem.DAMPERS,
                        said(Has.YES, Did.OPEN),
                        VehicleSystem.CAMERA,
                        said(Has.YES, Did.OPEN),
                        VehicleSystem.LAMPS,
                        said(Has.YES, Did.DONE),
                        VehicleSystem.HEIGHT_SENSOR,
                        said(Has.YES, Did.NOT_NEEDED))));
    }
}
