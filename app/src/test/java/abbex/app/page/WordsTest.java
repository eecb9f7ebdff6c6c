package abbex.app.page;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Said;
import abbex.app.words.Bundles;
import abbex.core.clearance.ClearanceFinding;
import abbex.core.clearance.ProbeCheck;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.Remedy;
import abbex.core.clearance.RoadTest;
import abbex.core.clearance.Sweep;
import abbex.core.clearance.Verdict;
import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.figure.Reason;
import abbex.core.ground.Crossing;
import abbex.core.ground.GroundFinding;
import abbex.core.ground.GroundFormula;
import abbex.core.ground.Lamps;
import abbex.core.ground.Profile;
import abbex.core.ground.Stance;
import abbex.core.ground.Underbody;
import abbex.core.heights.Advertised;
import abbex.core.heights.Assessment;
import abbex.core.heights.Basis;
import abbex.core.heights.DropSheet;
import abbex.core.heights.Floor;
import abbex.core.heights.HeightFinding;
import abbex.core.heights.HeightFormula;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.Limits;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.heights.PointMethod;
import abbex.core.heights.Reading;
import abbex.core.heights.SheetState;
import abbex.core.heights.SheetWheels;
import abbex.core.heights.Slip;
import abbex.core.heights.Stage;
import abbex.core.heights.SubstituteBaseline;
import abbex.core.motion.Pose;
import abbex.core.units.Angle;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.Pressure;
import abbex.core.units.TapeParse;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Seat;
import abbex.core.vehicle.Tyre;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import abbex.core.wheels.Fitment;
import abbex.core.wheels.Hub;
import abbex.core.wheels.TyreChange;
import abbex.core.wheels.TyreParse;
import abbex.core.wheels.TyreSize;
import abbex.core.wheels.Wheel;
import abbex.core.wheels.WheelChange;
import abbex.core.wheels.WheelFinding;
import abbex.core.wheels.WheelParse;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Every sentence is there and takes its values; seeded draws of sheets reach every finding. */
class WordsTest {
    private static final Reader INCHES =
            new Reader(LengthUnit.INCH, new Graduation(LengthUnit.INCH, 32), ZoneId.of("UTC"));

    private static final Bundles BUNDLES = Said.bundles();

    private final Words words = new Words(
            BUNDLES,
            List.of(
                    new UnitWords(),
                    new VehicleWords(),
                    new HeightWords(),
                    new GroundWords(),
                    new ClearancePlaceWords()));

    private static void good(String sentence) {
        assertFalse(sentence.isBlank());
        assertFalse(sentence.contains("{") || sentence.contains("??") || sentence.contains("null"), sentence);
        assertFalse(sentence.contains("@") || sentence.contains("abbex."), "a value that has no words: " + sentence);
        assertFalse(sentence.contains("!"), sentence);
    }

    private void said(Finding finding, Random random) {
        Words.Said said = words.finding(finding, random.nextBoolean() ? INCHES : INCHES.other());
        good(said.title());
        good(said.text());
        good(said.word());
    }

    private static Set<Class<?>> all(Class<? extends Finding> family) {
        return Set.of(family.getPermittedSubclasses());
    }

    @Test
    void every_finding_of_heights_has_its_words() {
        // Made by what is told of a stay beside its readings; FindingWordsTest says them.
        Set<Class<?>> seen = new HashSet<>(Set.of(
                HeightFinding.SidesExchanged.class,
                HeightFinding.EndsExchanged.class,
                HeightFinding.MachineEndsExchanged.class,
                HeightFinding.LeftRightTurned.class,
                HeightFinding.WheelsTakenOff.class,
                HeightFinding.StateTakenOff.class,
                HeightFinding.CornersNotRead.class));
        Random random = new Random(11);
        for (int i = 0; i < 24000 && seen.size() < all(HeightFinding.class).size(); i++) {
            for (Finding finding : draw(random).findings()) {
                if (seen.add(finding.getClass()) || i < 300) {
                    said(finding, random);
                }
            }
        }
        assertEquals(all(HeightFinding.class), seen);
    }

    /** Wheels and tyres drawn from sizes that are made, each against another. */
    @Test
    void every_finding_of_wheels_has_its_words() {
        List<String> tyres = List.of(
                "225/45R17 91W",
                "245/35R18 92Y",
                "205/60R15 91H",
                "31x10.50R15LT 109Q",
                "MT90B16 71H",
                "195/50R16",
                "285/30R18 93V");
        List<String> rims =
                List.of("7.5Jx17 ET49", "8Jx18 ET45", "9.5Jx17 ET49", "10Jx18 ET20", "5.5Jx16 ET40", "6Jx15 ET38");
        Set<Class<?>> seen = new HashSet<>();
        Random random = new Random(13);
        for (int i = 0; i < 4000 && seen.size() < all(WheelFinding.class).size(); i++) {
            Fitment now = fitment(rims, tyres, random);
            Fitment planned = fitment(rims, tyres, random);
            Optional<TyreSize> fromNew = random.nextBoolean()
                    ? Optional.empty()
                    : Optional.of(fitment(rims, tyres, random).tyre());
            Hub hub = new Hub(
                    random.nextBoolean() ? Optional.of(Length.ofMm(66)) : Optional.empty(),
                    Optional.of(Length.ofMm(64 + random.nextInt(4))),
                    random.nextBoolean() ? Hub.Thread.parse("M12x1.5") : Optional.empty(),
                    random.nextBoolean() ? Optional.of(5.0 + random.nextInt(6)) : Optional.empty());
            List<Finding> found =
                    new ArrayList<>(WheelChange.between(End.FRONT, now, planned, fromNew, random.nextBoolean())
                            .findings());
            found.addAll(hub.check(End.REAR, random.nextBoolean()));
            found.add(TyreChange.wheelNeeded(End.FRONT, planned.tyre()));
            for (Finding finding : found) {
                if (seen.add(finding.getClass()) || i < 50) {
                    said(finding, random);
                }
            }
        }
        assertEquals(all(WheelFinding.class), seen);
    }

    private static Fitment fitment(List<String> rims, List<String> tyres, Random random) {
        return new Fitment(
                Wheel.parse(rims.get(random.nextInt(rims.size()))).asWheel().orElseThrow(),
                TyreSize.parse(tyres.get(random.nextInt(tyres.size()))).asSize().orElseThrow());
    }

    /** Undersides drawn over the usual grounds, lamps at drawn heights, noses that went up and down. */
    @Test
    void every_finding_of_the_ground_has_its_words() {
        Set<Class<?>> seen = new HashSet<>(Set.of(GroundFinding.UsualScrapes.class));
        Random random = new Random(14);
        for (int i = 0; i < 400 && seen.size() < all(GroundFinding.class).size(); i++) {
            Underbody under = new Underbody(
                    2600, 310, 310, List.of(new Underbody.Point("front lip", 700, 40 + random.nextInt(260))));
            List<Finding> found = new ArrayList<>();
            for (Profile.Usual usual : Profile.Usual.values()) {
                found.add(Crossing.run(under, usual.profile()).finding());
            }
            for (Lamps.Code code : Lamps.Code.values()) {
                found.add(Lamps.check(code, Length.ofMm(200 + random.nextInt(1400))));
            }
            Lamps.turned(Length.ofMm(random.nextInt(60) - 30), Length.ofMm(2600))
                    .ifPresent(found::add);
            Stance.own("drive", Crossing.run(under, Profile.Usual.values()[i % 3].profile()))
                    .ifPresent(found::add);
            for (Finding finding : found) {
                seen.add(finding.getClass());
                said(finding, random);
            }
        }
        assertEquals(all(GroundFinding.class), seen);
    }

    /** Least gaps drawn about what a place needs, with what is known of them; and what was not measured. */
    @Test
    void every_finding_of_clearance_has_its_words() {
        Set<Class<?>> seen = new HashSet<>();
        Random random = new Random(15);
        for (int i = 0; i < 300; i++) {
            ProbePlace part = ProbePlace.values()[random.nextInt(ProbePlace.values().length)];
            Corner corner = Corner.values()[random.nextInt(4)];
            List<Finding> found = new ArrayList<>(List.of(
                    new ClearanceFinding.NotProbed(corner, List.of(part)),
                    new ClearanceFinding.BumpGuessed(corner, Length.ofMm(70)),
                    new ClearanceFinding.RemedyPlanned(corner, Remedy.OUTWARD, 5),
                    new ClearanceFinding.ClearanceUnknown()));
            new Verdict(part, new Sweep.Least(20 * random.nextDouble() - 5, new Pose(0, 0, 0)), 1.5, 6)
                    .finding(corner, random.nextInt(24) / 2.0, ClearanceFinding.Swept.values()[random.nextInt(3)])
                    .ifPresent(found::add);
            for (Finding finding : found) {
                seen.add(finding.getClass());
                said(finding, random);
            }
        }
        assertEquals(all(ClearanceFinding.class), seen);
    }

    @Test
    void every_figure_says_how_it_came_about() {
        Set<String> seen = new java.util.HashSet<>();
        Random random = new Random(12);
        for (int i = 0; i < 200; i++) {
            DropSheet sheet = draw(random);
            List<abbex.core.figure.Figure<?>> figures = new ArrayList<>();
            sheet.corners().values().forEach(c -> {
                figures.addAll(c.byMethod().values());
                for (var b : List.of(c.gap(), c.loadedRadius(), c.freeRadius(), c.rimRadius())) {
                    b.after().ifPresent(figures::add);
                    b.change().ifPresent(figures::add);
                }
            });
            sheet.ends().values().forEach(e -> {
                e.drop().ifPresent(figures::add);
                e.leftRight().values().forEach(b -> b.after().ifPresent(figures::add));
            });
            sheet.diagonals().values().forEach(b -> b.after().ifPresent(figures::add));
            sheet.rake().height().after().ifPresent(figures::add);
            sheet.rake().after().ifPresent(figures::add);
            figures.addAll(sheet.points().values());
            sheet.sag().values().forEach(sag -> sag.own().after().ifPresent(figures::add));
            figures.forEach(f -> {
                seen.add(f.reason().formula().name());
                words.reason(f.reason(), INCHES).forEach(WordsTest::good);
            });
        }
        good(words.say("reason.PLANNED", INCHES, "drop", Length.ofMm(30)));
        seen.add("PLANNED");
        good(words.say("reason.DROP_LESS_TYRE", INCHES, "drop", Length.ofMm(30), "rose", Length.ofMm(8)));
        seen.add("DROP_LESS_TYRE");
        assertEquals(HeightFormula.values().length, seen.size(), seen.toString());
    }

    @Test
    void every_refusal_has_its_words() {
        for (TapeParse.Refusal why : TapeParse.Refusal.values()) {
            good(words.refusal(new TapeParse.Refused("x", why, List.of("25 7/15", "120 in"), List.of()), INCHES));
        }
    }

    @Test
    void the_ground_and_what_clears_have_their_words() {
        for (GroundFormula formula : GroundFormula.values()) {
            words.reason(
                            new Reason(formula, List.of(Length.ofMm(110), Length.ofMm(780), Length.ofMm(310), "lip")),
                            INCHES)
                    .forEach(WordsTest::good);
        }
        for (Remedy remedy : Remedy.values()) {
            good(words.say("remedy." + remedy));
        }
        for (RoadTest.Cause cause : RoadTest.Cause.values()) {
            good(words.say("cause." + cause, INCHES, "left", Length.ofMm(7)));
        }
        for (ProbeCheck.Why why : ProbeCheck.Why.values()) {
            good(words.say("contradiction." + why, INCHES, "one", "Strut", "other", "Frame", "by", Length.ofMm(9)));
        }
        for (Profile.Usual usual : Profile.Usual.values()) {
            good(words.say("ground." + usual));
        }
    }

    @Test
    void what_cannot_be_read_has_its_words() {
        for (TyreParse.Refusal why : TyreParse.Refusal.values()) {
            good(words.say("tyre." + why, INCHES, "read", "25/4"));
        }
        for (WheelParse.Refusal why : WheelParse.Refusal.values()) {
            good(words.say("wheel.refused." + why, INCHES, "read", "8x"));
        }
    }

    @Test
    void every_slip_has_its_words() {
        for (Slip slip : Slip.values()) {
            String said = words.say("finding.READING_SUSPECT.text", INCHES, "read", "x", "others", "x", "slip", slip);
            good(said);
            assertTrue(said.endsWith(" Take it again."), said);
        }
    }

    @Test
    void a_mean_of_two_sixteenths_is_written_exactly() {
        assertEquals("25⁄32″", Numerals.text(Length.ofInches(0, 25, 32), INCHES));
        assertEquals("−1\u202f3⁄16″", Numerals.text(Length.ofInches(1, 3, 16).negate(), INCHES));
        assertEquals(
                "↑\u00a01\u202f3⁄16″", Numerals.drop(Length.ofInches(1, 3, 16).negate(), INCHES));
        assertEquals("30.2\u00a0mm", Numerals.text(Length.ofInches(1, 3, 16), INCHES.other()));
        assertEquals("1 ¹³⁄₁₆", Numerals.printable("1 13⁄16"));
        assertEquals("&lt;b&gt; <span class=\"frac\">7⁄8</span>", Numerals.html("<b> 7⁄8"));
    }

    @Test
    void nothing_typed_becomes_markup() {
        assertTrue(Numerals.html("<script>alert('x')</script>").startsWith("&lt;script&gt;"));
    }

    /** A sheet of invented heights, mostly near 1 in down, sometimes wrong in many ways. */
    private static DropSheet draw(Random random) {
        Vehicle vehicle = Vehicle.of(VehicleKind.values()[Math.max(0, random.nextInt(5) - 2)]);
        if (random.nextBoolean()) {
            vehicle = vehicle.withHeadAngle(Angle.ofDegrees(24 + random.nextInt(6)));
        }
        if (random.nextBoolean()) {
            vehicle = vehicle.withWheelbase(Length.ofMm(2600))
                    .withTrack(End.FRONT, Length.ofMm(1500))
                    .withTrack(End.REAR, Length.ofMm(1540));
        }
        if (random.nextBoolean()) {
            vehicle = vehicle.withTyre(End.FRONT, Tyre.of(Length.ofMm(634)))
                    .withTyre(End.REAR, Tyre.of(Length.ofMm(634)));
        }
        Map<Place, Advertised.Range> ranges = new HashMap<>();
        for (Place end : List.of(End.FRONT, End.REAR, Seat.SEAT)) {
            Length least = Length.ofInches(0, 1, 16).times(8 + random.nextInt(20));
            ranges.put(
                    end,
                    new Advertised.Range(
                            least, least.plus(Length.ofInches(0, 1, 16).times(random.nextInt(4)))));
        }
        int wild = random.nextInt(3) * 3;
        HeightSheet before = sheet(random, vehicle, 0, wild);
        HeightSheet after = random.nextInt(5) == 0 ? HeightSheet.empty() : sheet(random, vehicle, 16, wild);
        return random.nextBoolean()
                ? DropSheet.compare(vehicle, before, after, new Advertised(ranges), Limits.USUAL)
                : Assessment.of(vehicle, List.of(before, after), new Advertised(ranges), Limits.USUAL)
                        .drops();
    }

    private static HeightSheet sheet(Random random, Vehicle vehicle, int drop, int wild) {
        List<Reading> readings = new ArrayList<>();
        int[] usual = {26 * 16, 14 * 16, 23 * 16, 7 * 16, 2 * 16};
        if (random.nextInt(20) == 0) {
            // Read from the rim's upper edge: an 18 in rim's radius short of the hub's.
            usual[Method.RIM.ordinal()] = usual[Method.HF.ordinal()] - 9 * 16;
        }
        boolean few = random.nextInt(6) == 0;
        boolean three = random.nextInt(6) == 0;
        for (Method method : vehicle.kind().singleTrack() ? new Method[0] : Method.values()) {
            if (random.nextInt(4) == 0 || few && random.nextInt(3) > 0) {
                continue;
            }
            for (Corner corner : three ? Corner.WALK.subList(0, 3) : Corner.WALK) {
                int n = usual[method.ordinal()] - drop + random.nextInt(wild + 1);
                if (wild > 3 && random.nextInt(25) == 0) {
                    n = 16 * (1 + random.nextInt(100));
                }
                String text = random.nextInt(30) == 0
                        ? "26"
                        : Length.ofInches(0, 1, 16)
                                .times(Math.max(1, n))
                                .in(LengthUnit.INCH)
                                .toPlainString();
                if (random.nextInt(40) == 0) {
                    text = text + "+";
                }
                if (random.nextInt(40) == 0) {
                    text = "14 1/64";
                }
                boolean metric = text.equals("26") && random.nextBoolean();
                LengthUnit unit = metric ? LengthUnit.MILLIMETRE : LengthUnit.INCH;
                TapeParse parse = TapeText.parse(text, unit, Graduation.usual(unit), method.allowed());
                for (int who = 0; who < (random.nextInt(15) == 0 ? 2 : 1); who++) {
                    readings.add(new Reading(
                            MeasuringPoint.of(corner, method),
                            parse.asReading().orElseThrow(),
                            "P" + who,
                            Instant.EPOCH.plusSeconds(random.nextInt(1000)),
                            random.nextInt(20) == 0));
                }
                if (random.nextInt(30) == 0) {
                    readings.add(Reading.of(
                            MeasuringPoint.of(corner, method),
                            abbex.core.units.TapeReading.of(
                                    Length.ofInches(0, 1, 16).times(Math.max(1, n + 9)), Graduation.SIXTEENTH_INCH)));
                }
            }
        }
        List<PointMethod> ways = new ArrayList<>(PointMethod.of(vehicle.kind()));
        if (vehicle.kind().cabAndBed()) {
            ways.add(ACROSS);
        }
        for (PointMethod way : ways) {
            for (Place place : random.nextInt(4) == 0 ? List.<Place>of() : way.places()) {
                int marks = Math.max(1, way.equals(PointMethod.AXLE) ? 50 - drop / 4 : 320 - drop)
                        + random.nextInt(wild + 1);
                Length height = Length.ofInches(0, 1, 16)
                        .times(way.sense() == PointMethod.Sense.RISES ? drop / 2 + random.nextInt(9) : marks);
                readings.add(Reading.of(
                        MeasuringPoint.of(place, way),
                        abbex.core.units.TapeReading.of(height, Graduation.SIXTEENTH_INCH)));
            }
        }
        Map<Place, Pressure> pressures = new HashMap<>();
        if (random.nextBoolean()) {
            vehicle.wheels().forEach(c -> pressures.put(c, Pressure.ofPsi(33 - random.nextInt(3))));
        }
        Map<SheetState.Item, String> said = random.nextBoolean()
                ? Map.of()
                : Map.of(
                        SheetState.Item.WHEEL_SET,
                        random.nextInt(4) == 0 ? "track" : "road",
                        SheetState.Item.BAY,
                        "Bay " + random.nextInt(2),
                        SheetState.Item.STAND_LEAN,
                        String.valueOf(6 + random.nextInt(8)));
        return HeightSheet.of(SheetState.of(pressures, said), basis(random), readings);
    }

    private static final PointMethod ACROSS = PointMethod.named(
                    "P1", "frame to wheel", List.of(Corner.LR, Corner.RR), true, true)
            .sideways();

    private static Basis basis(Random random) {
        Basis basis = Basis.USUAL.at(Stage.values()[random.nextInt(Stage.values().length)]);
        if (random.nextInt(3) == 0) {
            Map<Corner, Length> pads = new EnumMap<>(Corner.class);
            Corner.WALK.forEach(c -> pads.put(c, Length.ofMm(random.nextInt(6))));
            basis = basis.on(Floor.of(pads));
        }
        if (random.nextInt(8) == 0) {
            basis = basis.from(SubstituteBaseline.values()[random.nextInt(SubstituteBaseline.values().length)]);
        }
        if (random.nextInt(8) == 0) {
            basis = basis.wheels(new SheetWheels(true, SheetWheels.UNKNOWN.tyres()));
        }
        return random.nextInt(8) == 0 ? basis.worked(Set.of(Corner.WALK.get(random.nextInt(4)))) : basis;
    }
}
