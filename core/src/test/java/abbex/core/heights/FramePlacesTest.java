package abbex.core.heights;

import static abbex.core.heights.Sheets.tape;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.units.Estimate;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Frame points lie where nobody measured them: that widens, and accuses no reading. By simulation of jobs whose points are
 * drawn from other places than the program's (no outside source); the plane itself by the handbook's example.
 */
class FramePlacesTest {
    /** 50 mm down in front and 100 behind pitches a truck as much as it ever will be. */
    @ParameterizedTest(name = "{0}, {1} mm and {2} mm down, points {3} to {4} of the wheelbase apart")
    @CsvSource({
        "TRUCK, 50, 100, 0.85, 0.85",
        "TRUCK, 50, 100, 0.4, 0.9",
        "CAR, 50, 75, 0.4, 0.9",
        "CAR, 30, 20, 0.5, 0.8"
    })
    void true_readings_are_not_accused(VehicleKind kind, double front, double rear, double least, double most) {
        Random random = new Random(17);
        int jobs = 600;
        int accused = 0;
        int held = 0;
        for (int i = 0; i < jobs; i++) {
            double apart = least + (most - least) * random.nextDouble();
            double ahead = 0.1 * random.nextGaussian();
            double outboard = 0.7 + 0.3 * random.nextDouble();
            double roll = 1.5 * random.nextGaussian();
            double heave = -(front + rear) / 2;
            double pitch = (rear - front) / 2;
            Sheets before = Sheets.sheet().basis(Basis.USUAL.at(Stage.AS_ARRIVED));
            Sheets after = Sheets.sheet().basis(Basis.USUAL.at(Stage.FIRST_SET_DOWN));
            double point = 0;
            // The walk ends at the left rear: the drop of its point is what the interval has to hold.
            for (Corner corner : Corner.WALK) {
                double a = corner.end() == End.FRONT ? 1 : -1;
                double b = corner.isLeft() ? 1 : -1;
                read(before, after, corner, Method.HF, 420, heave + a * pitch + b * roll, random);
                read(before, after, corner, Method.GF, 780, heave + a * pitch + b * roll, random);
                point = heave + (a * apart + ahead) * pitch + b * outboard * roll;
                read(before, after, corner, Method.FG, 330, point, random);
            }
            Assessment job = judge(kind, before, after);
            accused += job.suspects().isEmpty() && !job.adjustment().restless() ? 0 : 1;
            Estimate drop = job.adjusted(Corner.LR, Method.FG).orElseThrow();
            held += Math.abs(drop.value().mm() + point) <= drop.uncertainty().expanded() ? 1 : 0;
        }
        String said = String.format(
                "%s %.0f/%.0f, %.2f-%.2f apart: accused %.1f %%, intervals %.1f %%",
                kind, front, rear, least, most, 100.0 * accused / jobs, 100.0 * held / jobs);
        System.out.println(said);
        assertTrue(accused <= 0.03 * jobs, said);
        assertTrue(held >= 0.93 * jobs, said);
    }

    private static Assessment judge(VehicleKind kind, Sheets before, Sheets after) {
        return Assessment.of(Vehicle.of(kind), List.of(before.done(), after.done()), Advertised.NOTHING, Limits.USUAL);
    }

    private static void read(
            Sheets before, Sheets after, Corner corner, Method method, double was, double moved, Random random) {
        double noise = method.repeatability().mm();
        before.at(corner, method, tape(was + noise * random.nextGaussian()));
        after.at(corner, method, tape(was + moved + noise * random.nextGaussian()));
    }

    /**
     * Handbook, 02: front drop 30, rear 20, wheelbase 2700, a point 400 behind the front axle comes down 28.519 mm. Read so at
     * all four points, nothing is odd, and the places are found: (2700 - 2 * 400) / 2700 of the wheelbase apart.
     */
    @Test
    void the_plane_is_found_in_the_readings() {
        Sheets before = Sheets.sheet();
        Sheets after = Sheets.sheet();
        for (Corner corner : Corner.WALK) {
            boolean front = corner.end() == End.FRONT;
            before.at(corner, Method.HF, "400 mm").at(corner, Method.FG, "200 mm");
            after.at(corner, Method.HF, front ? "370 mm" : "380 mm");
            after.at(corner, Method.FG, front ? "171.481 mm" : "178.519 mm");
        }
        Assessment job = judge(VehicleKind.CAR, before, after);
        assertEquals(List.of(), job.suspects());
        assertEquals(
                28.519, job.adjusted(Corner.LF, Method.FG).orElseThrow().value().mm(), 0.2);
        assertEquals(
                21.481, job.adjusted(Corner.LR, Method.FG).orElseThrow().value().mm(), 0.2);
    }
}
