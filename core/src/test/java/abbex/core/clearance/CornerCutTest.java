package abbex.core.clearance;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.clearance.TyreBody.Face;
import abbex.core.clearance.TyreBody.Worn;
import abbex.core.motion.Motion;
import abbex.core.motion.Pose;
import abbex.core.motion.Range;
import abbex.core.motion.StraightMotion;
import abbex.core.motion.TrailingArm;
import abbex.core.units.Length;
import abbex.core.wheels.Fitment;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;

/** The cut shows the gaps that the sweep is about, and the sweep does not ask what kind of motion it has. */
class CornerCutTest {
    private static final Fitment NOW = ClearanceTest.fitment("225/45R17 91W", "7.5Jx17 ET45");
    private static final Range RANGE = new Range(60, 70, Math.toRadians(32), Math.toRadians(38), Math.toRadians(3));

    static Stream<Motion> motions() {
        return Stream.of(
                new StraightMotion(RANGE, Math.toRadians(-1), Math.toRadians(-0.02), Math.toRadians(0.003), 60),
                new TrailingArm(RANGE, 400, Math.toRadians(-0.5), 60));
    }

    private static ClearanceModel house(Motion motion) {
        List<LocatedGap> probed = Stream.of(
                        new GapReading(ProbePlace.FENDER_LIP, 12, Face.OUTER_SHOULDER, Length.ofMm(90), Length.ZERO),
                        new GapReading(ProbePlace.LINER_FRONT, 10, Face.TREAD, Length.ofMm(70), Length.ZERO),
                        new GapReading(ProbePlace.STRUT, 12, Face.INNER_SIDEWALL, Length.ofMm(25), Length.ZERO),
                        new GapReading(ProbePlace.CONTROL_ARM, 6, Face.INNER_SHOULDER, Length.ofMm(30), Length.ZERO))
                .map(p -> LocatedGap.byHand(p, NOW))
                .toList();
        return ClearanceModel.of(probed, NOW, Worn.NOTHING, 20, motion);
    }

    private static Pose pose(Random random) {
        return new Pose(
                -RANGE.droop() + random.nextDouble() * (RANGE.droop() + RANGE.bump()),
                -RANGE.left() + random.nextDouble() * (RANGE.left() + RANGE.right()),
                (2 * random.nextDouble() - 1) * RANGE.roll());
    }

    /** JTS measures the same from the place to the tyre's nearest point, and the middle of the tread stands where the wheel does. */
    @ParameterizedTest
    @MethodSource("motions")
    void its_lines_are_as_long_as_its_gaps(Motion motion) {
        ClearanceModel house = house(motion);
        Random random = new Random(81);
        for (int i = 0; i < 300; i++) {
            Pose pose = pose(random);
            CornerCut cut = house.cut(pose);
            assertEquals(motion.at(pose), cut.wheel());
            for (int k = 0; k < cut.places().size(); k++) {
                CornerCut.Place place = cut.places().get(k);
                ClearanceModel.Obstacle o = house.obstacles().get(k);
                assertEquals(Sweep.gap(house.body(), o.point(), o.place().carrier(), motion, pose), place.gap(), 1e-9);
                double line = jts(place.at()).distance(jts(place.tyre()));
                assertEquals(Math.abs(place.gap()), line, 1e-9, place + " at " + pose);
            }
        }
    }

    private static org.locationtech.jts.geom.Point jts(CornerCut.Point p) {
        return new GeometryFactory().createPoint(new Coordinate(p.outboard(), p.up()));
    }

    /** No pose tried comes nearer than the sweep says, and what cures by leaning and by a longer stop finds its motion. */
    @ParameterizedTest
    @MethodSource("motions")
    void the_sweep_asks_the_motion_alone(Motion motion) {
        ClearanceModel house = house(motion);
        Random random = new Random(82);
        List<Verdict> verdicts = house.verdicts();
        for (int i = 0; i < 20_000; i++) {
            Pose pose = pose(random);
            for (int k = 0; k < verdicts.size(); k++) {
                ClearanceModel.Obstacle o = house.obstacles().get(k);
                double there = Sweep.gap(house.body(), o.point(), o.place().carrier(), motion, pose);
                double least = verdicts.get(k).least().gap();
                assertTrue(there >= least - Sweep.tolerance(least), o.place() + " at " + pose + ": " + there);
            }
        }
        assertEquals(
                motion.at(Pose.RIDE).camber() - Math.toRadians(Remedy.CAMBER.amount(1) / 10.0),
                house.with(Remedy.CAMBER, 1).motion().at(Pose.RIDE).camber(),
                1e-12);
        assertTrue(house.with(Remedy.LONGER_STOP, 1).motion().range().bump() < RANGE.bump());
        assertEquals(motion.getClass(), house.with(Remedy.CAMBER, 1).motion().getClass());
    }
}
