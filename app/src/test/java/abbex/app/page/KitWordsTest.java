package abbex.app.page;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import abbex.app.support.Said;
import abbex.core.figure.Place;
import abbex.core.heights.Advertised;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.PointMethod;
import abbex.core.heights.Reading;
import abbex.core.heights.SheetState;
import abbex.core.kit.BagLift;
import abbex.core.kit.DamperFacts;
import abbex.core.kit.EndKit;
import abbex.core.kit.EndNow;
import abbex.core.kit.EndPlan;
import abbex.core.kit.Flipped;
import abbex.core.kit.KitFinding;
import abbex.core.kit.KitPlan;
import abbex.core.kit.LateralRod;
import abbex.core.kit.Linked;
import abbex.core.kit.Machine;
import abbex.core.kit.OwnFits;
import abbex.core.kit.Part;
import abbex.core.kit.Shackled;
import abbex.core.kit.SpringFacts;
import abbex.core.kit.StopFacts;
import abbex.core.kit.Told;
import abbex.core.kit.Truck;
import abbex.core.kit.Typical;
import abbex.core.motorcycle.ForkSlide;
import abbex.core.motorcycle.RearLinkage;
import abbex.core.springs.Spring;
import abbex.core.springs.SpringLaw;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.Pressure;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Every finding of a plan and every line of its ledger has words in both units. */
class KitWordsTest {
    private static double between(Random random, double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    private static Spring spring(Random random) {
        double free = between(random, 230, 380);
        return new Spring(new SpringLaw.Linear(between(random, 8, 60), free * between(random, 0.3, 0.8)), free);
    }

    private static EndNow now(Random random) {
        Told load = Told.typical(between(random, 2500, 4500), 200);
        return new EndNow(
                load,
                Told.typical(0.95, 0.02),
                Told.typical(0.95, 0.02),
                Typical.wheelRate(load),
                random.nextInt(4) == 0 ? Optional.empty() : Optional.of(SpringFacts.printed(spring(random))),
                Optional.empty(),
                new DamperFacts(Typical.TWIN_TUBE, damper(random, 480, 560), damper(random, 300, 340)),
                random.nextInt(5) == 0 ? Optional.empty() : Optional.of(Told.measured(between(random, 40, 130), 1)),
                Optional.of(StopFacts.foam(between(random, 8, 70), 1 + random.nextInt(4))));
    }

    private static Optional<Told> damper(Random random, double low, double high) {
        return random.nextInt(6) == 0 ? Optional.empty() : Optional.of(Told.printed(between(random, low, high), 2));
    }

    private static EndKit kit(Random random) {
        Length box = Length.ofMm(random.nextInt(60));
        Part.SeatShape seat = new Part.SeatShape(
                Length.ofMm(200),
                Length.ofMm(206),
                Length.ofMm(195 + random.nextInt(10)),
                Length.ofMm(200 + random.nextInt(12)));
        return new EndKit(
                random.nextBoolean() ? Optional.of(new Advertised.Range(box, box)) : Optional.empty(),
                random.nextBoolean(),
                Optional.of(SpringFacts.printed(spring(random))),
                random.nextBoolean()
                        ? Optional.empty()
                        : Optional.of(new DamperFacts(
                                Typical.SINGLE_TUBE, damper(random, 440, 520), damper(random, 280, 320))),
                Optional.empty(),
                random.nextBoolean()
                        ? List.of(
                                seat,
                                new Part.Perch(Length.ofMm(5)),
                                shackle(random),
                                link(random),
                                new Flipped(Length.ofMm(60), Length.ofMm(80), Length.ofMm(12), Length.ofMm(15)),
                                new Part.AtWheel(Length.ofMm(20), Part.AtWheel.Kind.LESS_ARCH),
                                new BagLift(new Pressure(34), 38_000, Told.typical(30, 6)),
                                new Part.LeafEyes(
                                        Length.ZERO,
                                        Length.ofMm(random.nextInt(60)),
                                        Optional.empty(),
                                        Optional.empty()))
                        : List.of(new Part.Pocket(Length.ofMm(random.nextInt(30)))),
                OwnFits.NONE,
                EndKit.BoxOf.values()[random.nextInt(3)]);
    }

    private static Told exact(double value) {
        return Told.measured(value, 0);
    }

    private static Part shackle(Random random) {
        return Shackled.of(
                new Shackled.Measures(
                        Optional.empty(), Optional.empty(), 110, between(random, -5, 70), random.nextBoolean()),
                new Shackled.Change(between(random, 80, 160), false, 0, random.nextInt(8) == 0 ? 400 : 0));
    }

    private static RearLinkage.Point back(double back, double up) {
        return new RearLinkage.Point(back, up);
    }

    /** A usual one, and one whose short rocker ends over a bump. */
    private static Part link(Random random) {
        boolean ends = random.nextInt(4) == 0;
        return Linked.of(
                new Linked.Measures(
                        RearLinkage.Kind.ROCKER_ON_FRAME,
                        back(600, -60),
                        back(60, -105),
                        ends ? back(95, -122) : back(135, -130),
                        ends ? back(400, -10) : back(190, -10),
                        ends ? back(100, -100) : back(130, -65),
                        back(60, random.nextInt(5) == 0 ? -400 : 260)),
                new Linked.Change(ends ? between(random, -6, 6) : random.nextInt(4) == 0 ? 900 : 5, 0, 0, 0),
                Optional.empty(),
                Told.typical(1200, 300));
    }

    private static Machine machine(Random random) {
        Optional<ForkSlide> stops =
                random.nextBoolean() ? Optional.empty() : Optional.of(new ForkSlide(between(random, 0, 200), 90, 60));
        return new Machine(
                exact(1480),
                random.nextInt(4) == 0
                        ? Optional.empty()
                        : Optional.of(new Machine.Front(exact(300), exact(24), exact(30), stops)),
                Optional.of(new Machine.Leg(exact(230 + random.nextInt(60)), exact(110), exact(250), exact(35))),
                List.of(new Machine.Touch(KitFinding.Side.LEFT, exact(300), exact(310), exact(80))));
    }

    private static Truck truck(Random random) {
        double load = between(random, 200, 8000);
        return new Truck(
                random.nextInt(4) == 0
                        ? Optional.empty()
                        : Optional.of(new Truck.Shafts(
                                exact(between(random, 2, 4)),
                                exact(between(random, 2, 12)),
                                Optional.empty(),
                                exact(between(random, -5, 0)),
                                exact(1300))),
                Optional.of(new Truck.Bags(
                        exact(38_000 / (1 + random.nextInt(12))),
                        exact(load),
                        Optional.of(5000.0),
                        random.nextBoolean(),
                        exact(35))),
                Optional.empty(),
                exact(between(random, -4, 4)));
    }

    /** A rear axle under its frame, read on either side. */
    private static HeightSheet axle(Random random) {
        List<Reading> readings = Stream.of(Corner.RR, Corner.LR)
                .map(corner -> Reading.of(
                        MeasuringPoint.of((Place) corner, PointMethod.AXLE),
                        TapeText.parse(
                                        Integer.toString(3 + random.nextInt(6)),
                                        LengthUnit.INCH,
                                        Graduation.SIXTEENTH_INCH,
                                        TapeText.Allowed.POSITIVE)
                                .asReading()
                                .orElseThrow()))
                .toList();
        return HeightSheet.of(SheetState.NOT_TAKEN, readings);
    }

    @Test
    void every_finding_and_every_line_has_its_words() {
        Words words = new Words(Said.bundles(), List.of(new UnitWords(), new VehicleWords(), new KitWords()));
        Random random = new Random(16);
        Reader inches = new Reader(LengthUnit.INCH, new Graduation(LengthUnit.INCH, 32), ZoneId.of("UTC"));
        Set<Class<?>> seen = new HashSet<>();
        for (int i = 0; i < 4000; i++) {
            PerEnd<EndNow> now = PerEnd.of(end -> now(random));
            PerEnd<EndKit> kit = PerEnd.of(end -> kit(random));
            KitPlan plan = KitPlan.predict(now, kit, PerEnd.of(end -> EndPlan.USUAL_SETTLING));
            Reader reader = random.nextBoolean() ? inches : inches.other();
            LateralRod rod = new LateralRod(900, between(random, -120, 120), random.nextBoolean());
            List<KitFinding> found = new ArrayList<>(
                    plan.with(PerEnd.of(end -> Optional.of(rod))).findings());
            found.addAll(plan.over(axle(random), 76.2).findings());
            found.addAll(plan.on(machine(random)).findings());
            found.addAll(plan.on(truck(random), kit.rear()).findings());
            KitPlan alone =
                    KitPlan.predict(now, kit.with(End.FRONT, EndKit.NOTHING), PerEnd.of(end -> EndPlan.USUAL_SETTLING));
            found.addAll(alone.on(machine(random)).findings());
            for (KitFinding finding : found) {
                if (seen.add(finding.getClass()) || i < 100) {
                    Words.Said said = words.finding(finding, reader);
                    good(said.title());
                    good(said.text());
                }
            }
            if (i < 50) {
                plan.ends().stream()
                        .flatMap(Optional::stream)
                        .flatMap(p -> p.lines().stream())
                        .forEach(line -> {
                            good(words.word(line.row(), reader));
                            words.reason(line.reason(), reader).forEach(KitWordsTest::good);
                        });
            }
        }
        Set<String> all = Set.of(KitFinding.class.getPermittedSubclasses()).stream()
                .map(Class::getSimpleName)
                .collect(Collectors.toSet());
        assertEquals(all, seen.stream().map(Class::getSimpleName).collect(Collectors.toSet()));
    }

    private static void good(String sentence) {
        assertFalse(sentence.isBlank() || sentence.contains("{") || sentence.contains("Optional["), sentence);
    }
}
