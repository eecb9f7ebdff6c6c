package abbex.core.heights;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.Checks;
import abbex.core.stance.Stance;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What a floor that is not level does to heights, and that a survey takes it off again. */
class FloorTest {
    static Floor floor(double lf, double rf, double rr, double lr) {
        Map<Corner, Length> pads = new EnumMap<>(Corner.class);
        double[] mm = {lf, rf, rr, lr};
        Corner.WALK.forEach(c -> pads.put(c, Length.ofRoundedMm(mm[c.ordinal()])));
        return Floor.of(pads);
    }

    /** Source: statics of a rigid body on four springs in series with tyres; row floor-1. */
    @Test
    void ten_millimetres_under_one_wheel() {
        Checks.Row row = Checks.row("floor-1");
        assertTrue(row.expected().contains("-10 mm ground-to-fender")
                && row.expected().contains("-8.8 mm hub"));
        Floor floor = floor(10, 0, 0, 0);
        assertEquals(-10, floor.diagonal(Method.GF).mm(), 1e-6);
        assertEquals(-8.8, floor.diagonal(Method.HF).mm(), 1e-6);
        assertEquals(-8.8, floor.diagonal(Method.RIM).mm(), 1e-6);
        assertEquals(-8.8, floor.diagonal(Method.TG).mm(), 1e-6);
    }

    /** A floor that only slopes leaves every height as it is, whatever the method (geometry). */
    @Test
    void a_plane_floor_adds_nothing() {
        Floor slope = floor(0, 6, 26, 20);
        for (Corner corner : Corner.values()) {
            for (Method method : Method.values()) {
                assertEquals(0, slope.adds(MeasuringPoint.of(corner, method)).mm(), 1e-6);
            }
        }
    }

    /** Where the frame points are at the wheels, frame and lip feel the same; between them, the share of the warp is ab. */
    @Test
    void the_frame_feels_its_share_of_the_warp() {
        Floor floor = floor(10, 0, 0, 0);
        double share = Floor.FRAME_PITCH * Floor.FRAME_ROLL;
        assertEquals(share * -10, floor.diagonal(Method.FG).mm(), 1e-5);
    }

    @Test
    void three_pads_are_no_survey() {
        Map<Corner, Length> three = new EnumMap<>(Corner.class);
        List.of(Corner.LF, Corner.RF, Corner.RR).forEach(c -> three.put(c, Length.ZERO));
        String why = assertThrows(IllegalArgumentException.class, () -> Floor.of(three))
                .getMessage();
        assertEquals("floor: read 3 pads; four", why);
    }

    /** A stiff car is measured on a drawn floor: with the survey its heights are those on a level floor. */
    @Test
    void a_survey_takes_the_floor_off_again() {
        Random random = new Random(41);
        Vehicle car = Vehicle.of(VehicleKind.CAR);
        for (int i = 0; i < 200; i++) {
            double[] rise = new double[4];
            for (int c = 0; c < 4; c++) {
                rise[c] = random.nextInt(15);
            }
            Stance.Response moved = Stance.usual(2600 + random.nextInt(400), 1400 + random.nextInt(200))
                    .move(new double[4], rise);
            Sheets level = Sheets.sheet();
            Sheets leaning = Sheets.sheet().basis(Basis.USUAL.on(floor(rise[0], rise[1], rise[2], rise[3])));
            for (Corner corner : Corner.values()) {
                double gf = 660 + random.nextInt(40);
                double hf = 350 + random.nextInt(40);
                level.at(corner, Method.GF, gf + " mm").at(corner, Method.HF, hf + " mm");
                leaning.at(corner, Method.GF, rounded(gf + moved.ground()[corner.ordinal()]))
                        .at(corner, Method.HF, rounded(hf + moved.hub()[corner.ordinal()]));
            }
            HeightSheet a = level.done();
            HeightSheet b = leaning.done();
            for (Height height : a.all()) {
                MeasuringPoint spot = height.spot();
                Height corrected = b.at(spot.corner(), spot.method()).orElseThrow();
                assertEquals(height.value().mm(), corrected.value().mm(), 0.0051, spot + " on " + List.of(rise));
                assertEquals(corrected.readings().get(0).value(), corrected.read(), "the tape said so");
            }
            DropSheet both = DropSheet.compare(car, a, b);
            assertEquals(
                    0,
                    both.diagonals()
                            .get(Method.GF)
                            .change()
                            .orElseThrow()
                            .value()
                            .value()
                            .mm(),
                    0.021);
        }
    }

    private static String rounded(double mm) {
        return Math.round(mm * 100) / 100.0 + " mm";
    }
}
