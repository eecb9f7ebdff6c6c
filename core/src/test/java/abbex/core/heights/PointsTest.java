package abbex.core.heights;

import static abbex.core.heights.Sheets.sheet;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.Checks;
import abbex.core.figure.Place;
import abbex.core.units.Angle;
import abbex.core.units.Estimate;
import abbex.core.units.Length;
import abbex.core.units.Pressure;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.InnerWheel;
import abbex.core.vehicle.Seat;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import abbex.core.vehicle.Whole;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Motorcycles, trucks and points that a shop named. */
class PointsTest {
    private static final Vehicle BIKE =
            Vehicle.of(VehicleKind.MOTORCYCLE).withWheelbase(Length.ofMm(1480)).withHeadAngle(Angle.ofDegrees(24));
    private static final Vehicle TRUCK = Vehicle.of(VehicleKind.TRUCK);

    private static DropSheet compare(Vehicle vehicle, Sheets before, Sheets after) {
        return DropSheet.compare(vehicle, before.done(), after.done());
    }

    private static Set<Class<?>> types(DropSheet sheet) {
        return sheet.findings().stream().map(Object::getClass).collect(Collectors.toSet());
    }

    private static Estimate drop(DropSheet sheet, Place place, PointMethod way) {
        return sheet.points().get(MeasuringPoint.of(place, way)).value();
    }

    @Test
    void drop6_a_seat_against_what_was_promised() {
        assertEquals("1 1/4 in against 1 1/2 advertised", Checks.row("drop-6").expected());
        Length promised = Sheets.inches("1 1/2");
        DropSheet sheet = DropSheet.compare(
                BIKE,
                sheet().at(Seat.SEAT, PointMethod.SEAT, "37 1/8").done(),
                sheet().at(Seat.SEAT, PointMethod.SEAT, "35 7/8").done(),
                new Advertised(Map.of(Seat.SEAT, new Advertised.Range(promised, promised))),
                Limits.USUAL);
        assertEquals(
                Sheets.inches("1 1/4"), drop(sheet, Seat.SEAT, PointMethod.SEAT).value());
        assertTrue(
                types(sheet).contains(HeightFinding.LessButUsual.class),
                types(sheet).toString());
    }

    /** One inch lower at both ends, and front and rear written into each other's places. */
    @Test
    void ends_of_a_motorcycle_that_were_exchanged_are_asked_about() {
        DropSheet exchanged = compare(BIKE, axles("19 1/2", "22"), axles("21", "18 1/2"));
        assertEquals(
                List.of(Sheets.inches("1"), Sheets.inches("1")),
                exchanged.findings().stream()
                        .filter(HeightFinding.MachineEndsExchanged.class::isInstance)
                        .map(HeightFinding.MachineEndsExchanged.class::cast)
                        .flatMap(f -> Stream.of(f.front(), f.rear()))
                        .toList());
        assertFalse(types(exchanged).contains(HeightFinding.CornerRose.class));
        assertFalse(types(exchanged).contains(HeightFinding.HeadTurned.class));
        // A rear that was raised on purpose over a fork that was dropped is what it is.
        for (DropSheet as : List.of(
                compare(BIKE, axles("19 1/2", "22"), axles("18 1/2", "21")),
                compare(BIKE, axles("19 1/2", "22"), axles("18 1/2", "23 1/2")),
                compare(BIKE, axles("22", "22"), axles("21", "23")))) {
            assertFalse(types(as).contains(HeightFinding.MachineEndsExchanged.class));
        }
    }

    private static Sheets axles(String front, String rear) {
        return sheet().at(End.FRONT, PointMethod.AX, front).at(End.REAR, PointMethod.AX, rear);
    }

    @Test
    void drop7_more_tube_above_the_clamp_is_lower() {
        Checks.Row row = Checks.row("drop-7");
        DropSheet sheet = compare(
                BIKE, sheet().at(End.FRONT, PointMethod.FT, "10 mm"), sheet().at(End.FRONT, PointMethod.FT, "30 mm"));
        assertEquals("drop 18.27 mm at the front wheel", row.expected());
        assertEquals(18.27, drop(sheet, End.FRONT, PointMethod.FT).value().mm(), Double.parseDouble(row.tolerance()));
        assertEquals(
                18.27,
                sheet.ends().get(End.FRONT).drop().orElseThrow().value().value().mm(),
                Double.parseDouble(row.tolerance()));
    }

    @Test
    void without_its_head_angle_a_forks_move_is_no_drop() {
        DropSheet sheet = compare(
                Vehicle.of(VehicleKind.MOTORCYCLE),
                sheet().at(End.FRONT, PointMethod.FT, "0"),
                sheet().at(End.FRONT, PointMethod.FT, "3/4"));
        assertTrue(sheet.points().isEmpty());
        assertTrue(types(sheet).contains(HeightFinding.HeadAngleNeeded.class));
    }

    /** The two axles on a circle round each other, solved as a triangle: not the arcsine of the program. */
    @Test
    void the_rear_lowered_adds_to_the_head_angle() {
        DropSheet sheet = compare(
                BIKE,
                sheet().at(End.FRONT, PointMethod.AX, "500 mm").at(End.REAR, PointMethod.AX, "420 mm"),
                sheet().at(End.FRONT, PointMethod.AX, "495 mm").at(End.REAR, PointMethod.AX, "380 mm"));
        HeightFinding.HeadTurned head = Sheets.finding(sheet, HeightFinding.HeadTurned.class);
        double turned = Math.toDegrees(Math.atan2(35, Math.sqrt(1480.0 * 1480 - 35 * 35)));
        assertEquals(End.REAR, head.lower());
        assertEquals(turned, head.by().degrees(), 1e-9);
        assertEquals(24 + turned, head.now().degrees(), 1e-9);
    }

    /** checks.csv moto-3 (trigonometry): 38 mm lower behind over a wheelbase of 1480 mm. */
    @Test
    void the_chassis_turns_by_the_drop_over_the_wheelbase() {
        assertEquals("chassis turns 1.471 deg", Checks.row("moto-3").expected());
        DropSheet sheet = compare(
                Vehicle.of(VehicleKind.MOTORCYCLE).withWheelbase(Length.ofMm(1480)),
                sheet().at(End.FRONT, PointMethod.AX, "500 mm").at(End.REAR, PointMethod.AX, "420 mm"),
                sheet().at(End.FRONT, PointMethod.AX, "500 mm").at(End.REAR, PointMethod.AX, "382 mm"));
        HeightFinding.ChassisTurned turned = Sheets.finding(sheet, HeightFinding.ChassisTurned.class);
        assertEquals(End.REAR, turned.lower());
        assertEquals(1.471, turned.by().degrees(), 0.001);
    }

    @Test
    void sag_is_free_minus_loaded() {
        DropSheet sheet = compare(
                BIKE,
                sheet().at(End.REAR, PointMethod.FREE, "450 mm")
                        .at(End.REAR, PointMethod.AX, "438 mm")
                        .at(End.REAR, PointMethod.RIDER, "415 mm"),
                sheet());
        Sag sag = sheet.sag().get(End.REAR);
        assertEquals(Length.ofMm(12), sag.own().before().orElseThrow().value().value());
        assertEquals(
                Length.ofMm(35), sag.ridden().before().orElseThrow().value().value());
    }

    @ParameterizedTest(name = "AX {0}, FR {1}, FT {2}, seat {3}: {4}")
    @CsvSource({
        "20, 20, 0, 12, ''",
        "20, 8, 0, 12, WAYS_DISAGREE",
        "20, 20, 4, 12, FORK_AGAINST_AXLE",
        "20, 20, 0, 45, SEAT_OUTSIDE",
        "20, 20, 0, -9, SEAT_OUTSIDE"
    })
    void the_ways_of_a_motorcycle_check_each_other(int ax, int fr, int ft, int seat, String expected) {
        Sheets before = sheet().at(End.FRONT, PointMethod.AX, "500 mm")
                .at(End.FRONT, PointMethod.FR, "120 mm")
                .at(End.REAR, PointMethod.AX, "420 mm")
                .at(Seat.SEAT, PointMethod.SEAT, "820 mm");
        Sheets after = sheet().at(End.FRONT, PointMethod.AX, 500 - ax + " mm")
                .at(End.FRONT, PointMethod.FR, 120 - fr + " mm")
                .at(End.REAR, PointMethod.AX, "410 mm")
                .at(Seat.SEAT, PointMethod.SEAT, 820 - seat + " mm");
        if (ft > 0) {
            before.at(End.FRONT, PointMethod.FT, "5 mm");
            after.at(End.FRONT, PointMethod.FT, 5 + ft + " mm");
        }
        Set<String> odd = new java.util.HashSet<>(Sheets.codes(compare(BIKE, before, after)));
        odd.retainAll(Set.of("WAYS_DISAGREE", "FORK_AGAINST_AXLE", "SEAT_OUTSIDE"));
        assertEquals(expected, odd.stream().sorted().collect(Collectors.joining(" ")));
    }

    @ParameterizedTest(name = "lean {0} to {1}: {2}")
    @CsvSource({"12, 12.2, ''", "12°, 9.5, STAND_MOVED", "11, 6, STAND_MOVED STAND_STEEP", "no idea, 6 deg, STAND_STEEP"
    })
    void the_lean_on_the_stand(String was, String is, String expected) {
        Sheets before = sheet().at(Seat.SEAT, PointMethod.SEAT, "37").state(leaning(was));
        Sheets after = sheet().at(Seat.SEAT, PointMethod.SEAT, "36").state(leaning(is));
        Set<String> said = new java.util.HashSet<>(Sheets.codes(compare(BIKE, before, after)));
        said.retainAll(Set.of("STAND_MOVED", "STAND_STEEP"));
        assertEquals(expected, said.stream().sorted().collect(Collectors.joining(" ")));
    }

    private static SheetState leaning(String text) {
        return SheetState.of(Map.of(), Map.of(SheetState.Item.STAND_LEAN, text));
    }

    @Test
    void a_trucks_axle_under_its_frame() {
        Sheets before = sheet().with(Method.HF, "19", "19", "20", "20")
                .at(Corner.RR, PointMethod.AXLE, "6 1/2")
                .at(Corner.LR, PointMethod.AXLE, "6 1/2");
        Sheets after = sheet().with(Method.HF, "17", "17", "16", "16");
        DropSheet fits = compare(
                TRUCK,
                before,
                sheet().with(Method.HF, "17", "17", "16", "16")
                        .at(Corner.RR, PointMethod.AXLE, "2 9/16")
                        .at(Corner.LR, PointMethod.AXLE, "2 1/2"));
        assertTrue(types(fits).contains(HeightFinding.AxleTravelShort.class));
        assertFalse(types(fits).contains(HeightFinding.AxleAgainstWheel.class));
        assertEquals(
                Sheets.inches("-1/16"),
                fits.ends()
                        .get(End.REAR)
                        .leftRight()
                        .get(PointMethod.AXLE)
                        .after()
                        .orElseThrow()
                        .value()
                        .value());
        DropSheet misread = compare(
                TRUCK, before, after.at(Corner.RR, PointMethod.AXLE, "3 1/2").at(Corner.LR, PointMethod.AXLE, "3 1/2"));
        assertTrue(types(misread).contains(HeightFinding.AxleAgainstWheel.class));
        assertFalse(types(misread).contains(HeightFinding.AxleTravelShort.class));
    }

    @Test
    void four_rear_wheels_have_six_pressures() {
        Map<Place, Pressure> same = Map.of(InnerWheel.RRI, Pressure.ofPsi(60));
        Map<Place, Pressure> other = Map.of(InnerWheel.RRI, Pressure.ofPsi(48));
        DropSheet sheet = compare(
                TRUCK.withDualRear(),
                sheet().at(Corner.RR, Method.GF, "36").state(SheetState.of(same, Map.of())),
                sheet().at(Corner.RR, Method.GF, "34").state(SheetState.of(other, Map.of())));
        assertEquals(
                InnerWheel.RRI,
                sheet.findings().stream()
                        .filter(f -> f instanceof HeightFinding.StatePressure)
                        .findFirst()
                        .orElseThrow()
                        .place());
        assertEquals(6, TRUCK.withDualRear().wheels().size());
        assertEquals(List.of(End.FRONT, End.REAR), BIKE.wheels());
    }

    /** 10 mm under the left front of a stiff car lifts its body there by 7.5 mm (perch-3, statics): a point to the floor feels it, one to the axle does not. */
    @Test
    void a_named_point_feels_the_floor_only_when_it_ends_there() {
        Floor floor = Floor.of(Map.of(
                Corner.LF, Length.ofMm(10), Corner.RF, Length.ZERO, Corner.RR, Length.ZERO, Corner.LR, Length.ZERO));
        PointMethod splitter = PointMethod.named("P1", "splitter", List.of(Corner.LF, Whole.VEHICLE), true, true);
        PointMethod shock = PointMethod.named("P2", "shock eye", List.of(Corner.LF), false, false);
        HeightSheet sheet = sheet().basis(Basis.USUAL.on(floor))
                .at(Corner.LF, splitter, "150 mm")
                .at(Whole.VEHICLE, splitter, "150 mm")
                .at(Corner.LF, shock, "90 mm")
                .done();
        Height corner = sheet.at(MeasuringPoint.of(Corner.LF, splitter)).orElseThrow();
        assertEquals(floor.adds(MeasuringPoint.of(Corner.LF, Method.GF)), corner.adds());
        assertEquals(Length.ofMm(150), corner.read());
        assertEquals(
                Length.ZERO,
                sheet.at(MeasuringPoint.of(Whole.VEHICLE, splitter))
                        .orElseThrow()
                        .adds());
        assertEquals(
                Length.ZERO,
                sheet.at(MeasuringPoint.of(Corner.LF, shock)).orElseThrow().adds());
    }

    /** By hand: left frame to wheel 4 → 4 5/16, right 4 → 3 11/16: the axle went 5/16 in, 7.94 mm, to the left. */
    @Test
    void what_lies_across_the_vehicle_goes_left_or_right() {
        PointMethod across = PointMethod.named("P1", "frame to wheel", List.of(Corner.LR, Corner.RR), true, true)
                .sideways();
        DropSheet sheet = compare(
                Vehicle.of(VehicleKind.TRUCK),
                sheet().at(Corner.LR, across, "4").at(Corner.RR, across, "4"),
                sheet().at(Corner.LR, across, "4 5/16").at(Corner.RR, across, "3 11/16"));
        for (Corner corner : List.of(Corner.LR, Corner.RR)) {
            assertEquals(
                    Length.ofInches(0, 5, 16).negate(),
                    sheet.points()
                            .get(MeasuringPoint.of((Place) corner, across))
                            .value()
                            .value());
        }
        HeightFinding.AxleSideways found = sheet.findings().stream()
                .filter(HeightFinding.AxleSideways.class::isInstance)
                .map(HeightFinding.AxleSideways.class::cast)
                .findFirst()
                .orElseThrow();
        assertEquals(HeightFinding.Side.LEFT, found.to());
        assertEquals(7.94, found.by().value().mm(), 0.01);
        assertTrue(sheet.rakes().isEmpty(), "what lies across has no rake");
    }

    /** By hand: the board stood 1/2 in higher behind than in front and stands level now; the other side was read once only. */
    @Test
    void a_running_board_has_a_rake_of_its_own() {
        DropSheet sheet = compare(
                Vehicle.of(VehicleKind.TRUCK),
                sheet().at(Corner.LF, PointMethod.BOARD, "14")
                        .at(Corner.LR, PointMethod.BOARD, "14 1/2")
                        .at(Corner.RF, PointMethod.BOARD, "15"),
                sheet().at(Corner.LF, PointMethod.BOARD, "12")
                        .at(Corner.LR, PointMethod.BOARD, "12")
                        .at(Corner.RF, PointMethod.BOARD, "12")
                        .at(Corner.RR, PointMethod.BOARD, "11"));
        BeforeAfter rake = sheet.rakes().get(PointMethod.BOARD);
        assertEquals(
                Length.ofInches(0, 1, 2), rake.before().orElseThrow().value().value());
        assertEquals(Length.ZERO, rake.after().orElseThrow().value().value());
        assertEquals(
                Length.ofInches(0, 1, 2).negate(),
                rake.change().orElseThrow().value().value());
    }

    /** By hand: the rail stood 55 over the axle and 54 at its front end, 53 and 52 1/2 now: an inch of rake is a half. */
    @Test
    void a_bed_has_a_rake_of_its_own() {
        DropSheet sheet = compare(
                Vehicle.of(VehicleKind.TRUCK),
                sheet().at(Corner.RF, PointMethod.BEDF, "54").at(Corner.RR, PointMethod.BED, "55"),
                sheet().at(Corner.RF, PointMethod.BEDF, "52 1/2").at(Corner.RR, PointMethod.BED, "53"));
        BeforeAfter rake = sheet.rakes().get(PointMethod.BED);
        assertEquals(
                Length.ofInches(1, 0, 1), rake.before().orElseThrow().value().value());
        assertEquals(
                Length.ofInches(0, 1, 2), rake.after().orElseThrow().value().value());
        assertEquals(Set.of(PointMethod.BED), sheet.rakes().keySet());
    }

    @Test
    void points_are_missed_repeated_and_doubted_like_heights_at_corners() {
        DropSheet sheet = compare(
                BIKE,
                sheet().at(End.FRONT, PointMethod.AX, "20").at(End.REAR, PointMethod.AX, "16"),
                sheet().at(End.REAR, PointMethod.AX, "15")
                        .reading(Reading.of(
                                MeasuringPoint.of(End.REAR, PointMethod.AX), Sheets.read("15 1/2", PointMethod.AX)))
                        .at(Seat.SEAT, PointMethod.SEAT, "3"));
        assertTrue(
                types(sheet)
                        .containsAll(Set.of(
                                HeightFinding.StillToRead.class,
                                HeightFinding.NoBefore.class,
                                HeightFinding.RepeatsDisagree.class,
                                HeightFinding.UnusualHeight.class)),
                types(sheet).toString());
    }

    @Test
    void a_coil_has_no_hangers_and_a_link_no_axle() {
        Round rear = Round.all(VehicleKind.TRUCK, List.of(), Corner.WALK).stream()
                .filter(r -> r.code().equals("REARAXLE"))
                .findFirst()
                .orElseThrow();
        assertEquals(6, rear.of(Architecture.SOLID_AXLE_LEAF).spots().size());
        assertEquals(6, rear.of(Architecture.OTHER).spots().size(), "nobody said");
        assertEquals(
                List.of("RR.AXLE", "LR.AXLE"),
                rear.of(Architecture.SOLID_AXLE_COIL).spots().stream()
                        .map(MeasuringPoint::code)
                        .toList());
        assertTrue(rear.of(Architecture.MULTI_LINK).spots().isEmpty());
    }

    @Test
    void rounds_follow_the_walk_and_hold_every_spot_once() {
        List<Corner> walk = List.of(Corner.RF, Corner.RR, Corner.LR, Corner.LF);
        PointMethod own = PointMethod.named("P1", "tow eye", List.of(Whole.VEHICLE), true, true);
        for (VehicleKind kind : VehicleKind.values()) {
            List<MeasuringPoint> spots = Round.all(kind, List.of(own), walk).stream()
                    .flatMap(r -> r.spots().stream())
                    .toList();
            assertEquals(spots.size(), Set.copyOf(spots).size(), kind.toString());
            for (PointMethod way : PointMethod.of(kind)) {
                way.places().forEach(place -> assertTrue(spots.contains(MeasuringPoint.of(place, way)), way.code()));
            }
            Round.placeByPlace(kind, List.of(), walk)
                    .forEach(r -> assertTrue(spots.containsAll(r.spots()) && r.atPlace(), r.code()));
        }
        Round axle = Round.all(VehicleKind.TRUCK, List.of(), walk).stream()
                .filter(r -> r.code().equals("REARAXLE"))
                .findFirst()
                .orElseThrow();
        assertEquals("RR.HANGF", axle.spots().get(0).code());
        assertFalse(axle.placesDiffer());
        assertEquals(
                "RF.HF",
                Round.all(VehicleKind.CAR, List.of(), walk)
                        .get(1)
                        .spots()
                        .get(0)
                        .code());
    }
}
