package abbex.core.ground;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.Checks;
import abbex.core.ground.Underbody.Point;
import abbex.core.units.Angle;
import abbex.core.units.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The ground: angles and lamps by the id of their row in checks.csv; the crossing against the angles, and by laws. */
class GroundTest {
    private static Underbody one(double wheelbase, double radius, double station, double height) {
        return new Underbody(wheelbase, radius, radius, List.of(new Point("pan", station, height)));
    }

    private static double degrees(java.util.Optional<abbex.core.figure.Figure<Angle>> figure) {
        return figure.orElseThrow().value().degrees();
    }

    @Test
    void angle1_breakover() {
        Checks.Row row = Checks.row("angle-1");
        assertTrue(row.expected().startsWith("breakover 9.894 deg tangent to the tyre"), row.toString());
        assertEquals(
                9.894,
                degrees(one(2800, 315, -1400, 120).breakover()),
                Double.parseDouble(row.tolerance()),
                row.toString());
        assertEquals(9.798, Math.toDegrees(2 * Math.atan(120 / 1400.0)), 0.001, "from the contact points it reads low");
    }

    @Test
    void angle2_approach() {
        Checks.Row row = Checks.row("angle-2");
        assertTrue(row.expected().startsWith("approach 8.261 deg tangent to the tyre"), row.toString());
        Underbody lip = one(2700, 310, 780, 110);
        assertEquals(8.261, degrees(lip.approach()), Double.parseDouble(row.tolerance()), row.toString());
        assertTrue(lip.departure().isEmpty() && lip.breakover().isEmpty(), "nothing was measured there");
        assertEquals(
                8.261,
                degrees(one(2700, 310, -2700 - 780, 110).departure()),
                0.001,
                "the same behind is a departure angle");
    }

    @Test
    void lamp1_the_beam_turns_with_the_rake() {
        Checks.Row row = Checks.row("lamp-1");
        assertEquals("0.5305 deg; 2.78 in at 25 ft", row.expected());
        Angle aim =
                Lamps.aim(Length.ofInches(1, 0, 1), Length.ofInches(108, 0, 1)).value();
        double tolerance = Double.parseDouble(row.tolerance());
        assertEquals(0.5305, aim.degrees(), tolerance);
        assertEquals(2.78, Lamps.onWall(aim, Lamps.WALL).mm() / 25.4, tolerance);
    }

    /** The angle by its definition: a ramp that is a little flatter is climbed, one a little steeper is not. */
    @Test
    void a_ramp_is_climbed_up_to_the_approach_angle_and_a_crest_up_to_the_breakover() {
        Random random = new Random(71);
        for (int i = 0; i < 40; i++) {
            double radius = 290 + random.nextInt(80);
            double wheelbase = 2300 + random.nextInt(900);
            Underbody lip = one(wheelbase, radius, 500 + random.nextInt(500), 80 + random.nextInt(90));
            double most = degrees(lip.approach());
            assertTrue(air(lip, ramp(most - 0.1)) > 0, "flatter than " + most);
            assertTrue(air(lip, ramp(most + 0.1)) < 0, "steeper than " + most);
            Underbody pan = one(wheelbase, radius, -wheelbase * (0.3 + 0.4 * random.nextDouble()), 90);
            double crest = degrees(pan.breakover());
            assertTrue(air(pan, crest(crest - 0.1)) > 0, "flatter than " + crest);
            assertTrue(air(pan, crest(crest + 0.1)) < 0, "sharper than " + crest);
        }
    }

    private static double air(Underbody under, Profile profile) {
        return Crossing.run(under, profile).air();
    }

    private static Profile ramp(double degrees) {
        return new Profile(
                List.of(new Profile.Point(0, 0), new Profile.Point(9000, 9000 * Math.tan(Math.toRadians(degrees)))));
    }

    /** Up at half the angle, down at the other half, far longer than the vehicle. */
    private static Profile crest(double degrees) {
        double up = 9000 * Math.tan(Math.toRadians(degrees / 2));
        return new Profile(List.of(new Profile.Point(0, 0), new Profile.Point(9000, up), new Profile.Point(18000, 0)));
    }

    private static Underbody drawn(Random random) {
        double wheelbase = 2300 + random.nextInt(900);
        List<Point> points = new ArrayList<>();
        points.add(new Point("lip", 600 + random.nextInt(300), 90 + random.nextInt(120)));
        points.add(new Point("pan", -300 - random.nextInt(600), 90 + random.nextInt(120)));
        points.add(new Point("pipe", -wheelbase + 300, 100 + random.nextInt(100)));
        points.add(new Point("valance", -wheelbase - 700, 160 + random.nextInt(120)));
        return new Underbody(wheelbase, 300 + random.nextInt(40), 300 + random.nextInt(40), points);
    }

    private static Profile ground(Random random) {
        List<Profile.Point> points = new ArrayList<>();
        double along = 0;
        for (int i = 0; i < 5; i++) {
            points.add(new Profile.Point(along, random.nextInt(300) - 60));
            along += 400 + random.nextInt(2500);
        }
        return new Profile(points);
    }

    @Test
    void nowhere_on_the_way_is_less_air_and_lowering_never_adds_any() {
        Random random = new Random(72);
        for (int i = 0; i < 60; i++) {
            Underbody under = drawn(random);
            Profile ground = ground(random);
            Crossing.Least least = Crossing.run(under, ground);
            double[] way = Crossing.way(under, ground);
            for (int k = 0; k < 500; k++) {
                Crossing.Pose pose = Crossing.pose(under, ground, way[0] + random.nextDouble() * (way[1] - way[0]));
                for (Point p : under.points()) {
                    double[] at = pose.put(p.station(), p.height(), under.frontRadius());
                    assertTrue(at[1] - ground.up(at[0]) >= least.air() - Crossing.TOLERANCE, p + " under " + least);
                }
            }
            assertTrue(air(under.lowered(20, 20), ground) <= least.air() - 20 + 3, "the body turns a little");
            assertTrue(air(under.lowered(-40, 0), ground) >= least.air() - Crossing.TOLERANCE || least.station() < 0);
        }
    }

    /** Kerbs up and down within a millimetre or two, also with the wheels half over them: walked in steps of a few millimetres. */
    @Test
    void over_a_kerb_nowhere_is_less_air_either() {
        Random random = new Random(74);
        for (int i = 0; i < 24; i++) {
            Underbody under = drawn(random);
            double high = (20 + random.nextInt(120)) * (random.nextBoolean() ? 1 : -1);
            double wide = 1 + random.nextInt(3);
            double long_ = 300 + random.nextInt(4000);
            Profile kerb = new Profile(
                    random.nextBoolean()
                            ? List.of(new Profile.Point(0, 0), new Profile.Point(wide, high))
                            : List.of(
                                    new Profile.Point(0, 0),
                                    new Profile.Point(wide, high),
                                    new Profile.Point(long_, high),
                                    new Profile.Point(long_ + wide, 0)));
            Crossing.Least least = Crossing.run(under, kerb);
            double[] way = Crossing.way(under, kerb);
            double sampled = Double.POSITIVE_INFINITY;
            for (double along = way[0]; along < way[1]; along += 1 + 3 * random.nextDouble()) {
                sampled = Math.min(sampled, Crossing.at(under, kerb, along).air());
            }
            assertTrue(
                    sampled >= least.air() - Crossing.TOLERANCE,
                    "kerb of " + high + ": " + sampled + " under " + least);
            assertTrue(least.air() > sampled - 12, "and it is met, not feared: " + sampled + ", " + least);
        }
    }

    /** A wheel rolls on the ground: no point of it is under the ground, and one of it touches. */
    @Test
    void a_wheel_touches_and_goes_nowhere_into_the_ground() {
        Random random = new Random(73);
        for (int i = 0; i < 300; i++) {
            Profile ground = ground(random);
            double radius = 250 + random.nextInt(150);
            double along = -500 + random.nextDouble() * (ground.last() + 1000);
            double centre = ground.axle(along, radius);
            double least = Double.POSITIVE_INFINITY;
            for (double s = along - 2 * radius; s <= along + 2 * radius; s += 0.25) {
                least = Math.min(least, Math.hypot(s - along, centre - ground.up(s)));
            }
            assertEquals(radius, least, 0.05, along + " on " + ground);
        }
    }

    @Test
    void level_ground_leaves_the_lowest_point_its_height_and_a_lifted_nose_turns_about_the_rear_axle() {
        Underbody under = new Underbody(
                2600,
                310,
                320,
                List.of(new Point("valance", -3300, 200), new Point("lip", 800, 140), new Point("pan", -1300, 120)));
        assertEquals("lip", under.points().get(0).name());
        Profile level = new Profile(List.of(new Profile.Point(0, 0), new Profile.Point(1000, 0)));
        Crossing.Least least = Crossing.run(under, level);
        assertEquals(120, least.air(), 1e-6);
        assertEquals("pan", least.name());
        Underbody lifted = under.lowered(-50, 0);
        assertEquals(140 + 50 * (2600 + 800) / 2600.0, lifted.points().get(0).height(), 1e-9);
        assertEquals(120 + 25, lifted.points().get(1).height(), 1e-9);
    }

    @ParameterizedTest
    @EnumSource(Profile.Usual.class)
    void usual_grounds_are_passed_by_what_stands_high(Profile.Usual usual) {
        Underbody high = new Underbody(
                2700,
                330,
                330,
                List.of(new Point("lip", 700, 330), new Point("pan", -1350, 320), new Point("rear", -3500, 400)));
        assertTrue(Crossing.run(high, usual.profile()).clears(), usual.name());
        assertTrue(!Crossing.run(high.lowered(300, 300), usual.profile()).clears(), usual.name());
    }

    /** The mean of both wheels; a misread one left out; 97 % of the free radius where nobody measured (common practice). */
    @Test
    void the_loaded_radius_is_measured_or_reckoned_from_the_tyre() {
        assertEquals(
                305,
                Underbody.loadedRadius(List.of(304.0, 306.0), OptionalDouble.of(634))
                        .orElseThrow());
        assertEquals(
                304,
                Underbody.loadedRadius(List.of(304.0, 30.0), OptionalDouble.empty())
                        .orElseThrow());
        assertEquals(
                0.97 * 317,
                Underbody.loadedRadius(List.of(), OptionalDouble.of(634)).orElseThrow(),
                1e-9);
        assertTrue(Underbody.loadedRadius(List.of(), OptionalDouble.empty()).isEmpty());
    }

    @Test
    void a_ground_that_folds_back_is_refused_by_its_point() {
        List<Profile.Point> folded =
                List.of(new Profile.Point(0, 0), new Profile.Point(500, 10), new Profile.Point(400, 50));
        assertEquals(2, Profile.folded(folded));
        assertTrue(assertThrows(IllegalArgumentException.class, () -> new Profile(folded))
                .getMessage()
                .contains("point 3"));
        assertThrows(IllegalArgumentException.class, () -> new Profile(List.of(new Profile.Point(0, 0))));
    }

    /** UN R48, FMVSS 108 and 49 CFR 581 as the handbook gives them, from memory. */
    @Test
    void heights_that_codes_name() {
        assertEquals(
                GroundFinding.BelowCode.class,
                Lamps.check(Lamps.Code.DIPPED_BEAM, Length.ofMm(499)).getClass());
        assertEquals(
                GroundFinding.WithinCode.class,
                Lamps.check(Lamps.Code.DIPPED_BEAM, Length.ofMm(500)).getClass());
        assertEquals(
                GroundFinding.AboveCode.class,
                Lamps.check(Lamps.Code.DIPPED_BEAM, Length.ofMm(1201)).getClass());
        assertEquals(
                GroundFinding.BelowCode.class,
                Lamps.check(Lamps.Code.FRONT_FOG, Length.ofMm(249)).getClass());
        assertEquals(
                GroundFinding.BelowCode.class,
                Lamps.check(Lamps.Code.HEADLAMP, Length.ofInches(21, 7, 8)).getClass());
        assertEquals(
                GroundFinding.AboveCode.class,
                Lamps.check(Lamps.Code.BUMPER, Length.ofInches(20, 1, 16)).getClass());
        assertTrue(Lamps.turned(Length.ZERO, Length.ofMm(2700)).isEmpty());
        assertEquals(
                GroundFinding.BeamUp.class,
                Lamps.turned(Length.ofMm(-5), Length.ofMm(2700)).orElseThrow().getClass());
    }
}
