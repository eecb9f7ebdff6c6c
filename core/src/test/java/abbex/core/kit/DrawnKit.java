package abbex.core.kit;

import abbex.core.heights.Advertised;
import abbex.core.springs.BumpStop;
import abbex.core.springs.CornerRest;
import abbex.core.springs.Damper;
import abbex.core.springs.Spring;
import abbex.core.springs.SpringLaw;
import abbex.core.springs.SpringLaw.Linear;
import abbex.core.springs.SpringLaw.Point;
import abbex.core.springs.SpringLaw.Progressive;
import abbex.core.units.Length;
import abbex.core.vehicle.Architecture;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Ends of vehicles with kits as they may come, drawn; and the same with all that is not known drawn once more. */
record DrawnKit(EndNow now, EndKit kit) {
    /** How much somebody knows. */
    enum Told3 {
        BOX,
        PRINTED,
        BENCH
    }

    /** How ends are made, as often as they come to a shop (invented): more than half of them are struts. */
    private static final List<Architecture> MADE = List.of(
            Architecture.STRUT,
            Architecture.STRUT,
            Architecture.STRUT,
            Architecture.STRUT,
            Architecture.STRUT,
            Architecture.STRUT,
            Architecture.DOUBLE_WISHBONE,
            Architecture.MULTI_LINK,
            Architecture.TWIST_BEAM,
            Architecture.SOLID_AXLE_COIL,
            Architecture.SOLID_AXLE_LEAF);

    static final double GRAVITY = 9.80665;

    static final List<Point> RING = List.of(new Point(0, 0), new Point(6, 250), new Point(14, 3500));

    private static double between(Random random, double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    /** Rate at the wheel of a frequency, N/mm. */
    private static double rate(double hertz, double load) {
        return Math.pow(2 * Math.PI * hertz, 2) * load / GRAVITY / 1000;
    }

    /**
     * An end whose parts, taken at their word, bring it down by 15 to 45 mm.
     *
     * @param room how much of the rod shows over the stop beyond that drop, mm at the wheel; negative where it comes to lie on it
     */
    static DrawnKit draw(Random random, Told3 told, boolean gas, double room) {
        Architecture architecture = MADE.get(random.nextInt(MADE.size()));
        Told ratio = Typical.ratio(architecture);
        Told rod = Typical.rodRatio(architecture);
        double load = between(random, 2400, 4600);
        Told weighed = told == Told3.BENCH ? Told.measured(load, 0.01 * load) : Told.printed(load, 0.04 * load);
        double gasWas = 67;
        double gasIs = gas ? 200 : 67;
        double drop = between(random, 15, 45);
        double r = ratio.value();
        double kOld = rate(between(random, 1.2, 1.5), load) / r / r;
        double kNew = rate(between(random, 1.45, 1.9), load) / r / r;
        double fOld = (load - rod.value() * gasWas) / r;
        double fNew = (load - rod.value() * gasIs) / r;
        double freeOld = 200 + fOld / kOld;
        SpringLaw lawNew = random.nextBoolean()
                ? new Linear(kNew, fNew / kNew + 100)
                : Progressive.of(List.of(
                        new Point(0, kNew * 0.7),
                        new Point(fNew / kNew, kNew * 1.1),
                        new Point(fNew / kNew + 120, kNew * 1.8)));
        double freeNew = 200 - drop * r + lawNew.deflection(fNew);
        Spring old = new Spring(new Linear(kOld, fOld / kOld + 100), freeOld);
        Spring fitted = new Spring(lawNew, freeNew);
        DamperFacts was = new DamperFacts(Told.typical(gasWas, 25), Optional.empty(), Optional.empty());
        BumpStop stop = new BumpStop(new SpringLaw.Measured(RING), 1 + random.nextInt(3), 16);
        double shows = (drop + room) * rod.value() + stop.height();
        EndNow now = new EndNow(
                weighed,
                ratio,
                rod,
                Typical.wheelRate(weighed),
                told == Told3.BOX ? Optional.empty() : Optional.of(facts(told, old)),
                Optional.empty(),
                was,
                shows > 1 ? Optional.of(Told.measured(shows, 1.5)) : Optional.empty(),
                Optional.of(new StopFacts(stop, 0.2, Told.Origin.TYPICAL)),
                Typical.ratioSlope(architecture));
        EndKit kit = EndKit.NOTHING;
        if (told == Told3.BOX) {
            Length box = Length.ofRoundedMm(drop);
            kit = kit.withBox(new Advertised.Range(box, box));
        } else {
            kit = kit.withSpring(facts(told, fitted));
        }
        if (gas) {
            kit = kit.withDamper(new DamperFacts(Told.typical(gasIs, 50), Optional.empty(), Optional.empty()));
        }
        return new DrawnKit(now, kit);
    }

    private static SpringFacts facts(Told3 told, Spring spring) {
        return told == Told3.BENCH ? SpringFacts.measured(spring) : SpringFacts.printed(spring);
    }

    /**
     * One vehicle of those that the figures may be of, solved by whatever solves a corner.
     *
     * @param wide times how wide all of it is
     */
    private Optional<CornerRest> drawn(Random random, double wide) {
        double load = off(random, now.load(), wide);
        double ratio = off(random, now.ratio(), wide);
        double rod = off(random, now.rodRatio(), wide);
        double gasWas = Math.max(0, off(random, now.damper().gas(), wide));
        double gasIs =
                kit.damper().map(d -> Math.max(0, off(random, d.gas(), wide))).orElse(gasWas);
        Spring old = off(random, now.spring().orElseThrow(), wide);
        Spring fitted = kit.spring().map(s -> off(random, s, wide)).orElse(old);
        double shows = off(random, now.rod().orElseThrow(), wide);
        StopFacts stop = now.stop().orElseThrow();
        double firm = 1 + stop.force() * wide * random.nextGaussian();
        if (firm < 0.1 || load < 500 || ratio < 0.2) {
            return Optional.empty();
        }
        BumpStop pressed = new BumpStop(
                new SpringLaw.Measured(RING.stream()
                        .map(p -> new Point(p.deflection(), p.value() * firm))
                        .toList()),
                stop.stop().rings(),
                stop.stop().ringHeight());
        double crushed = pressed.force(pressed.height() - shows);
        double space = old.free() - old.law().deflection((load - rod * (gasWas + crushed)) / ratio);
        double seat = kit.parts().stream()
                .filter(p -> !p.atWheel())
                .mapToDouble(Part::move)
                .sum();
        return Optional.of(new CornerRest(
                load,
                ratio,
                fitted,
                space + seat,
                new Damper(rod, 400, 400, gasIs),
                Optional.of(new CornerRest.Stop(pressed, shows - pressed.height()))));
    }

    /** How far it comes down; NaN where nobody would build it. */
    double down(Random random, double wide) {
        double slope = wide * now.slope().standard() * random.nextGaussian();
        return drawn(random, wide).map(c -> rest(c, slope)).orElse(Double.NaN);
    }

    /** Where a corner whose ratio changes on the way comes to rest, mm up, by halving: load = MR(z) · F + rod · (gas + stop). */
    private static double rest(CornerRest corner, double slope) {
        double low = -150;
        double high = 200;
        for (int i = 0; i < 34; i++) {
            double z = (low + high) / 2;
            double bent = corner.spring().free() - corner.space() + corner.ratio() * z + slope * z * z / 2;
            double spring = corner.spring()
                    .law()
                    .force(Math.max(0, Math.min(bent, corner.spring().law().solid())));
            double rod = corner.damper().ratio();
            double crushed =
                    corner.stop().map(s -> s.bump().force(rod * z - s.free())).orElse(0.0);
            boolean more = (corner.ratio() + slope * z) * spring
                            + rod * (corner.damper().gas() + crushed)
                    < corner.load();
            if (more && bent < corner.spring().law().solid()) {
                low = z;
            } else {
                high = z;
            }
        }
        return (low + high) / 2;
    }

    /** The same of what is known by its box alone: the box, as boxes are off, less what another gas takes back, but for the stop. */
    double box(Random random, double wide) {
        double box = kit.box().orElseThrow().mean().mm() + wide * 25.4 / 8 * random.nextGaussian();
        double gasWas = Math.max(0, off(random, now.damper().gas(), wide));
        double gasIs =
                kit.damper().map(d -> Math.max(0, off(random, d.gas(), wide))).orElse(gasWas);
        return box - off(random, now.rodRatio(), wide) * (gasIs - gasWas) / off(random, now.wheelRate(), wide);
    }

    private static double off(Random random, Told told, double wide) {
        return told.value() + wide * told.standard() * random.nextGaussian();
    }

    private static Spring off(Random random, SpringFacts facts, double wide) {
        return new Spring(
                new SpringLaw.Scaled(facts.spring().law(), 1 + wide * facts.rate() * random.nextGaussian()),
                facts.spring().free() + wide * facts.length() * random.nextGaussian());
    }

    /** Draws of how far it comes down, in order. */
    double[] sample(Random random, int draws, java.util.function.DoubleSupplier wide) {
        List<Double> down = new ArrayList<>(draws);
        while (down.size() < draws) {
            double here = down(random, wide.getAsDouble());
            if (!Double.isNaN(here)) {
                down.add(here);
            }
        }
        return down.stream().mapToDouble(Double::doubleValue).sorted().toArray();
    }
}
