package abbex.core.state;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.heights.SheetState;
import abbex.core.heights.Stage;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerCorner;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** By hand: a stay is what was done in it, whoever tells it in which order; a state is asked for by when it stood. */
class VehicleHistoryTest {
    private static final PartsFitted SPRINGS = new PartsFitted(PartsFitted.Origin.KIT, "a", Set.of("spring"));
    private static final PartsFitted COILOVERS =
            new PartsFitted(PartsFitted.Origin.TRIAL, "b", Set.of("spring", "damper"));

    private static Instant at(int minute) {
        return Instant.EPOCH.plusSeconds(60L * minute);
    }

    private static VehicleHistory.Entry entry(int minute, StateAct act) {
        return new VehicleHistory.Entry(at(minute), "OV", act);
    }

    private static StateAct.Turned turned(double lf) {
        return new StateAct.Turned(PerCorner.of(corner -> corner == Corner.LF ? lf : 0.0));
    }

    private static OpenWork raised(List<Corner> off) {
        return new OpenWork(
                Footing.STANDS,
                List.copyOf(off),
                List.of(),
                List.of(),
                List.of(),
                Optional.of(new OpenWork.Hand("strut@LF", 15, "Strut out", Corner.LF)),
                14,
                63);
    }

    private static final List<VehicleHistory.Entry> STAY = List.of(
            entry(10, new StateAct.Worked(raised(List.of(Corner.LF, Corner.RF)))),
            entry(20, SPRINGS.at(End.FRONT)),
            entry(30, new StateAct.Worked(OpenWork.NONE)),
            entry(40, new StateAct.Loaded(SheetState.of(Map.of(), Map.of(SheetState.Item.LOAD, "empty")))),
            entry(50, turned(3)),
            entry(60, turned(-1)),
            entry(70, new StateAct.RemedyFitted("r1")),
            entry(80, new StateAct.Settled()),
            entry(90, COILOVERS.at(End.FRONT)));

    @Test
    void a_state_stands_from_its_act_to_the_next() {
        VehicleHistory history = VehicleHistory.of(STAY);
        assertEquals(VehicleState.ARRIVED, history.at(at(9)));
        assertTrue(history.at(at(15)).open().apart());
        assertFalse(history.at(at(15)).worked());
        assertEquals(SPRINGS, history.at(at(20)).parts().front());
        assertEquals(PartsFitted.AS_IT_CAME, history.at(at(20)).parts().rear());
        assertFalse(history.at(at(35)).open().apart());
        assertEquals(3, history.at(at(55)).turned().lf());
        assertEquals(2, history.at(at(65)).turned().lf());
        assertEquals(Set.of("r1"), history.at(at(75)).remedies().keySet());
        assertTrue(history.at(at(85)).settled());
        assertFalse(history.now().settled(), "other parts went in since");
        assertEquals(COILOVERS, history.now().parts().front());
        assertEquals(Optional.of(at(90)), history.fitted(End.FRONT));
        assertEquals(Optional.empty(), history.fitted(End.REAR));
    }

    @Test
    void the_order_in_which_stations_tell_their_acts_changes_nothing() {
        VehicleHistory told = VehicleHistory.of(STAY);
        Random random = new Random(36);
        for (int i = 0; i < 200; i++) {
            List<VehicleHistory.Entry> mixed = new ArrayList<>(STAY);
            Collections.shuffle(mixed, random);
            VehicleHistory again = VehicleHistory.of(mixed);
            for (int minute = 0; minute < 100; minute += 5) {
                assertEquals(told.at(at(minute)), again.at(at(minute)));
            }
        }
    }

    @Test
    void the_same_parts_told_again_leave_a_vehicle_settled() {
        List<VehicleHistory.Entry> acts = new ArrayList<>(STAY.subList(0, 8));
        acts.add(entry(95, SPRINGS.at(End.FRONT)));
        assertTrue(VehicleHistory.of(acts).now().settled());
        assertEquals(Optional.of(at(20)), VehicleHistory.of(acts).fitted(End.FRONT));
    }

    @Test
    void what_was_read_with_a_wheel_off_is_asked_about() {
        assertEquals(
                List.of(new StateFinding.MeasuredWheelOff(Stage.FIRST_SET_DOWN, List.of(Corner.LF, Corner.RF))),
                StateFinding.measured(Stage.FIRST_SET_DOWN, raised(List.of(Corner.LF, Corner.RF))));
        assertEquals(
                List.of(new StateFinding.MeasuredRaised(Stage.FIRST_SET_DOWN, Footing.STANDS)),
                StateFinding.measured(Stage.FIRST_SET_DOWN, raised(List.of())));
        assertEquals(List.of(), StateFinding.measured(Stage.FIRST_SET_DOWN, OpenWork.NONE));
    }
}
