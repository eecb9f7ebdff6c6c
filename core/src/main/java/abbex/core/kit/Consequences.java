package abbex.core.kit;

import abbex.core.figure.Finding;
import abbex.core.heights.Advertised;
import abbex.core.springs.BumpStop;
import abbex.core.springs.Ride;
import abbex.core.springs.Spring;
import abbex.core.units.Angle;
import abbex.core.units.Frequency;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** What a drop takes with it at an end, as far as it needs no linkage: travel, droop, bind, ride. */
final class Consequences {
    /** Below that it rides on its stops, above the other street cars are content (common practice). */
    private static final double LITTLE = 12.7;

    private static final double ENOUGH = 38.1;

    /** Of a spring's travel so much is to be left before its coils touch (common practice: 10 to 15 %). */
    private static final double BIND_MARGIN = 0.1;

    private static final double GRAVITY = 9.80665;

    /** What is put into a vehicle to feel how it rides, N. */
    private static final double FIFTY_KG = 50 * GRAVITY;

    /** A seat on which a strut's spring stands, mm across, where nobody measured it (common practice). */
    private static final Length SEAT = Length.ofMm(150);

    private final End end;
    private final EndNow now;
    private final EndKit kit;
    private final EndModel model;
    private final EndPlan plan;
    private final double[] p;
    private final double travelled;
    private final List<KitFinding> findings = new ArrayList<>();

    private Consequences(End end, EndNow now, EndKit kit, EndModel model, EndPlan plan) {
        this.end = end;
        this.now = now;
        this.kit = kit;
        this.model = model;
        this.plan = plan;
        p = model.at.clone();
        travelled = plan.setDown().value() - model.beside();
    }

    /** Travel and findings, worst first. */
    record Found(Travel travel, List<KitFinding> findings) {}

    static Found of(End end, EndNow now, EndKit kit, EndModel model, EndPlan plan) {
        Consequences all = new Consequences(end, now, kit, model, plan);
        Travel travel = all.travel();
        all.say(travel);
        all.findings.sort(Finding.WORST_FIRST);
        return new Found(travel, List.copyOf(all.findings));
    }

    private double rodRatio() {
        return now.rodRatio().value();
    }

    /** How far the rod still comes out, mm, of the old damper or of the one that goes in, at the height as it stands. */
    private OptionalDouble out(Optional<DamperFacts> damper) {
        Optional<Told> longest = damper.flatMap(DamperFacts::longest);
        Optional<Told> shortest = now.damper().shortest();
        return longest.isPresent() && shortest.isPresent() && now.rod().isPresent()
                ? OptionalDouble.of(longest.get().value()
                        - shortest.get().value()
                        - now.rod().get().value())
                : OptionalDouble.empty();
    }

    private static OptionalDouble map(OptionalDouble of, double by, double plus) {
        return of.isPresent() ? OptionalDouble.of(of.getAsDouble() / by + plus) : OptionalDouble.empty();
    }

    private Travel travel() {
        OptionalDouble rod = now.rod().map(r -> OptionalDouble.of(r.value())).orElseGet(OptionalDouble::empty);
        OptionalDouble rodIs = rod.isPresent() ? OptionalDouble.of(model.rod(p)) : rod;
        OptionalDouble gapWas =
                now.stop().isPresent() ? map(rod, 1, -now.stop().get().stop().height()) : OptionalDouble.empty();
        Optional<StopFacts> stop = kit.stop().or(now::stop);
        OptionalDouble gapIs =
                stop.isPresent() ? map(rodIs, 1, -stop.get().stop().height()) : OptionalDouble.empty();
        OptionalDouble outWas = out(Optional.of(now.damper()));
        OptionalDouble outIs = kit.damper().isEmpty() ? outWas : out(kit.damper());
        Travel.Both droop = new Travel.Both(map(outWas, rodRatio(), 0), map(outIs, rodRatio(), travelled));
        return new Travel(
                new Travel.Both(map(gapWas, rodRatio(), 0), map(gapIs, rodRatio(), -travelled)),
                new Travel.Both(map(rod, rodRatio(), 0), map(rodIs, rodRatio(), -travelled)),
                droop,
                slack(outIs),
                springs(droop),
                rides());
    }

    private Optional<Interval> slack(OptionalDouble out) {
        if (!model.bySprings() || out.isEmpty()) {
            return Optional.empty();
        }
        double value = slack(out.getAsDouble());
        double square = 0;
        for (int i = 0; i < p.length; i++) {
            if (model.standard[i] == 0) {
                continue;
            }
            double was = p[i];
            p[i] = was + model.standard[i];
            double up = slack(out.getAsDouble());
            p[i] = was - model.standard[i];
            double down = slack(out.getAsDouble());
            p[i] = was;
            square += Math.pow((up - down) / 2, 2);
        }
        double half = 2 * Math.sqrt(square);
        return Optional.of(new Interval(value, value - half, value + half));
    }

    /** The room between the seats at full droop less the spring's free length: what it is pressed by at rest lets go first. */
    private double slack(double out) {
        double down = out / p[Input.ROD_RATIO.ordinal()] + model.free(p) - model.beside();
        return p[Input.RATIO.ordinal()] * down - model.pressed(p);
    }

    private Travel.BothSprings springs(Travel.Both droop) {
        Optional<Travel.Lengths> was =
                now.spring().map(s -> lengths(s.spring(), s.spring().free() - model.oldDeflection(p), droop.was()));
        Optional<SpringFacts> fitted = kit.spring().or(() -> model.bySprings() ? now.spring() : Optional.empty());
        Optional<Travel.Lengths> is =
                fitted.filter(s -> model.bySprings()).map(s -> lengths(s.spring(), rides(s.spring()), droop.is()));
        return new Travel.BothSprings(was, is);
    }

    /** How long the spring is where the corner rests, on its stop perhaps. */
    private double rides(Spring spring) {
        return spring.free()
                - model.pressed(p)
                + now.ratio().value() * (model.free(p) - plan.setDown().value());
    }

    private Travel.Lengths lengths(Spring spring, double ride, OptionalDouble droop) {
        double ratio = now.ratio().value();
        return new Travel.Lengths(
                spring.free(),
                droop.isPresent()
                        ? OptionalDouble.of(Math.min(spring.free(), ride + ratio * droop.getAsDouble()))
                        : OptionalDouble.empty(),
                ride,
                spring.solidLength());
    }

    private Travel.BothRides rides() {
        double load = now.load().value();
        Optional<Travel.Riding> was = now.spring()
                .map(s -> riding(model.oldRate(p) * Math.pow(now.ratio().value(), 2), load));
        Optional<Travel.Riding> is = model.bySprings() ? Optional.of(riding(plan.wheelRate(), load)) : Optional.empty();
        return new Travel.BothRides(was, is);
    }

    private static Travel.Riding riding(double rate, double load) {
        return new Travel.Riding(Ride.frequency(rate, load / GRAVITY), FIFTY_KG / rate);
    }

    private void say(Travel travel) {
        carries();
        bump(travel);
        droop(travel);
        bind(travel);
        lengths(travel);
        box();
        seats();
        if (travel.ride().was().isPresent()
                && travel.ride().is().isPresent()
                && kit.spring().isPresent()) {
            findings.add(new KitFinding.Rides(
                    end,
                    new Frequency(travel.ride().was().get().hertz()),
                    new Frequency(travel.ride().is().get().hertz())));
        }
        if (plan.setDown().value() < 0) {
            findings.add(new KitFinding.GoesUp(end, mm(-plan.setDown().value())));
        } else {
            plan.lines().stream()
                    .filter(line -> line.row() == Row.GAS && line.drop() < -1)
                    .forEach(line -> findings.add(new KitFinding.GasLifts(end, mm(-line.drop()))));
        }
    }

    private static Length mm(double mm) {
        return Length.ofRoundedMm(mm);
    }

    private void carries() {
        if (model.bySprings()) {
            double pressed = model.pressed(p);
            if (pressed <= 0 || pressed >= model.fittedSolid()) {
                findings.add(new KitFinding.CannotCarry(end));
            }
        }
    }

    private void bump(Travel travel) {
        if (travel.toStop().is().isEmpty()) {
            findings.add(new KitFinding.TravelUnknown(end));
            return;
        }
        double left = travel.toStop().is().getAsDouble();
        BumpStop stop = kit.stop().or(now::stop).orElseThrow().stop();
        KitFinding.Trim off = trim(stop, (LITTLE - left) * rodRatio());
        Length then = mm(trimmed(left, off.off().mm()));
        double contact = left + plan.setDown().value();
        if (left < 0) {
            // Said of what is sure; what nobody measured accuses nobody.
            findings.add(
                    plan.setDown().low() > contact
                            ? new KitFinding.OnStops(end, mm(-left), off, then)
                            : new KitFinding.PerhapsOnStops(end, mm(-left), off, then));
        } else if (left < LITTLE) {
            findings.add(
                    off.rings() == 0 && then.mm() < LITTLE - 0.5
                            ? new KitFinding.LittleTravelLeft(end, mm(left))
                            : new KitFinding.LittleTravel(end, mm(left), off, then));
        } else {
            findings.add(
                    left < ENOUGH || contact - plan.setDown().high() < LITTLE
                            ? new KitFinding.SomeTravel(end, mm(left))
                            : new KitFinding.EnoughTravel(end, mm(left)));
        }
    }

    /**
     * What is cut off a stop so that it is so much shorter, mm: whole rings, never all of them; of one without rings so much of
     * its length, at most half.
     */
    private static KitFinding.Trim trim(BumpStop stop, double by) {
        double needed = Math.max(0, by);
        if (stop.rings() == 1) {
            return new KitFinding.Trim(0, mm(Math.min(Math.ceil(needed - 1e-9), stop.height() / 2)));
        }
        int rings = Math.min((int) Math.ceil(needed / stop.ringHeight() - 1e-9), stop.rings() - 1);
        return new KitFinding.Trim(rings, mm(rings * stop.ringHeight()));
    }

    /** What is left to a stop that is so much shorter: a body that rested on it comes down by that, to where its spring holds it. */
    private double trimmed(double left, double by) {
        double fell = Math.max(0, model.free(p) - plan.setDown().value());
        return left + by / rodRatio() - fell;
    }

    private void droop(Travel travel) {
        if (travel.slack().isEmpty()) {
            // Where nothing of the springs is known, that is said with the travel already.
            if (model.bySprings()) {
                findings.add(new KitFinding.DroopUnknown(end));
            }
            return;
        }
        Interval slack = travel.slack().get();
        double shorter = rodRatio() / now.ratio().value();
        if (slack.low() > 0) {
            findings.add(new KitFinding.LooseAtDroop(end, mm(slack.value()), mm(slack.value() * shorter)));
        } else if (slack.high() > 0) {
            findings.add(new KitFinding.MayBeLoose(end, mm(slack.high()), mm(slack.high() * shorter)));
        } else {
            findings.add(new KitFinding.Captive(end, mm(-slack.value())));
        }
    }

    /** Up to metal, or with the stop crushed as far as it goes. */
    private void bind(Travel travel) {
        if (travel.spring().is().isEmpty()
                || travel.toMetal().is().isEmpty()
                || !kit.spring().or(now::spring).orElseThrow().solidKnown()) {
            return;
        }
        double up = travel.toMetal().is().getAsDouble();
        if (travel.toStop().is().isPresent()) {
            BumpStop stop = kit.stop().or(now::stop).orElseThrow().stop();
            up = Math.min(up, travel.toStop().is().getAsDouble() + stop.most() / rodRatio());
        }
        Travel.Lengths spring = travel.spring().is().get();
        double margin = spring.ride() - spring.solid() - now.ratio().value() * up;
        if (margin < 0) {
            findings.add(new KitFinding.Binds(end, mm(-margin)));
        } else if (margin < BIND_MARGIN * (spring.free() - spring.solid())) {
            findings.add(new KitFinding.NearBind(end, mm(margin)));
        }
    }

    private void lengths(Travel travel) {
        if (kit.spring().isEmpty()
                || travel.spring().was().isEmpty()
                || travel.spring().is().isEmpty()) {
            return;
        }
        double shorter =
                travel.spring().was().get().free() - travel.spring().is().get().free();
        double drop = plan.setDown().value();
        if (shorter <= 1 && drop > 1) {
            findings.add(new KitFinding.NoShorter(end, mm(-shorter), mm(drop)));
        } else if (drop >= 0 && shorter / now.ratio().value() > 1.5 * drop + 5) {
            findings.add(new KitFinding.MuchShorter(end, mm(shorter), mm(drop)));
        }
    }

    /** The printed number beside what the parts come to, always: against it where that is sure, in doubt, or not to be told. */
    private void box() {
        if (kit.box().isEmpty()) {
            return;
        }
        Advertised.Range box = kit.box().get();
        double usual = 2 * Box.STANDARD;
        double parts = kit.parts().stream()
                .mapToDouble(part ->
                        part.atWheel() ? part.move() : part.move() / now.ratio().value())
                .sum();
        if (kit.boxOf() == EndKit.BoxOf.SPRINGS && kit.springBox().isPresent() && Math.abs(parts) > usual) {
            findings.add(new KitFinding.BoxAndParts(end, box.mean(), mm(parts)));
        }
        if (!plan.bySprings() && kit.springBox().isPresent()) {
            if (kit.spring().isPresent()) {
                findings.add(new KitFinding.BoxUnproven(end, box.mean()));
            }
            return;
        }
        // Against it stands what the parts come to by themselves.
        Interval drop = EndPlan.of(now, kit.withoutBox(), Told.measured(0, 0))
                .map(EndPlan::setDown)
                .orElse(plan.setDown());
        double least = box.least().mm() - usual;
        double most = box.most().mm() + usual;
        if (drop.high() < least || drop.low() > most) {
            findings.add(new KitFinding.NotAsBoxed(end, mm(drop.value()), box.mean()));
        } else if (drop.value() < least || drop.value() > most) {
            findings.add(new KitFinding.PerhapsNotAsBoxed(end, mm(drop.value()), mm(drop.half()), box.mean()));
        }
    }

    private void seats() {
        for (Part part : kit.parts()) {
            if (part instanceof Part.SeatShape seat) {
                if (seat.untellable()) {
                    findings.add(new KitFinding.SeatUntellable(end, seat.least(), seat.most()));
                }
                if (seat.across().sign() != 0) {
                    findings.add(new KitFinding.SeatTilted(end, new Angle(seat.tilt(SEAT))));
                }
            }
        }
    }
}
