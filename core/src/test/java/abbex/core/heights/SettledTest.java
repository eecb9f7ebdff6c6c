package abbex.core.heights;

import static abbex.core.heights.Sheets.sheet;
import static org.junit.jupiter.api.Assertions.assertEquals;

import abbex.core.figure.Finding;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The visit after two weeks: against the first set-down, by subtraction by hand. */
class SettledTest {
    private static final Vehicle CAR = Vehicle.of(VehicleKind.CAR);

    private static HeightSheet at(Stage stage, String front, String rear) {
        return sheet().basis(Basis.USUAL.at(stage))
                .with(Method.HF, front, front, rear, rear)
                .with(Method.GF, up(front), up(front), up(rear), up(rear))
                .done();
    }

    /** A wheel whose centre stands 12 in over the ground. */
    private static String up(String hub) {
        String[] parts = hub.split(" ", 2);
        return Integer.parseInt(parts[0]) + 12 + (parts.length > 1 ? " " + parts[1] : "");
    }

    private static List<Finding> settled(HeightSheet... sheets) {
        return Assessment.of(CAR, List.of(sheets), Advertised.NOTHING, Limits.USUAL).drops().findings().stream()
                .filter(f -> List.of("SETTLED_BY", "ROSE_SINCE", "HELD_SINCE").contains(f.code()))
                .toList();
    }

    /** Front 13 5/8 to 13 1/4: 3/8 further down; rear as it was. */
    @Test
    void what_settled_since_the_first_set_down_is_named() {
        List<Finding> found = settled(
                at(Stage.AS_ARRIVED, "15", "15 1/4"),
                at(Stage.FIRST_SET_DOWN, "13 5/8", "14"),
                at(Stage.AFTER_SHORT_DRIVE, "13 3/8", "14"),
                at(Stage.SETTLED, "13 1/4", "14"));
        HeightFinding.SettledBy front = (HeightFinding.SettledBy)
                found.stream().filter(f -> f.place() == End.FRONT).findFirst().orElseThrow();
        assertEquals(Length.ofInches(0, 3, 8), front.by().value());
        assertEquals(Stage.FIRST_SET_DOWN, front.since());
        assertEquals(
                List.of("HELD_SINCE"),
                found.stream()
                        .filter(f -> f.place() == End.REAR)
                        .map(Finding::code)
                        .toList());
    }

    @Test
    void springs_do_not_rise_by_themselves() {
        HeightFinding.RoseSince front = (HeightFinding.RoseSince) settled(
                        at(Stage.AS_ARRIVED, "15", "15 1/4"),
                        at(Stage.FIRST_SET_DOWN, "13 1/4", "14"),
                        at(Stage.SETTLED, "13 5/8", "14"))
                .stream()
                .filter(f -> f.place() == End.FRONT)
                .findFirst()
                .orElseThrow();
        assertEquals(Length.ofInches(0, 3, 8), front.by().value());
    }

    @Test
    void a_vehicle_that_came_lowered_settles_since_it_was_first_measured_so() {
        assertEquals(
                2,
                settled(at(Stage.AFTER_SHORT_DRIVE, "13 5/8", "14"), at(Stage.SETTLED, "13 1/4", "14"))
                        .size());
    }

    @Test
    void before_it_is_settled_and_before_it_was_lowered_nothing_is_said() {
        assertEquals(
                List.of(), settled(at(Stage.AS_ARRIVED, "15", "15 1/4"), at(Stage.FIRST_SET_DOWN, "13 5/8", "14")));
        assertEquals(List.of(), settled(at(Stage.AS_ARRIVED, "15", "15 1/4"), at(Stage.SETTLED, "13 5/8", "14")));
        assertEquals(
                List.of(),
                settled(
                        at(Stage.AS_ARRIVED, "15", "15 1/4"),
                        at(Stage.TRIAL, "13 1/2", "14"),
                        at(Stage.SETTLED, "13 5/8", "14")));
    }
}
