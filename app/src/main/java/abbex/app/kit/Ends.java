package abbex.app.kit;

import abbex.app.arrive.Job;
import abbex.core.heights.Advertised;
import abbex.core.kit.DamperFacts;
import abbex.core.kit.EndKit;
import abbex.core.kit.EndNow;
import abbex.core.kit.ForkTubes;
import abbex.core.kit.KitKind;
import abbex.core.kit.LateralRod;
import abbex.core.kit.Linked;
import abbex.core.kit.Measured;
import abbex.core.kit.OwnFits;
import abbex.core.kit.Part;
import abbex.core.kit.SpringFacts;
import abbex.core.kit.StopFacts;
import abbex.core.kit.Told;
import abbex.core.kit.Typical;
import abbex.core.springs.SpringLaw;
import abbex.core.units.Length;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;

/** What was told of a vehicle and a kit as the core takes it: what nobody told is typical of the kind. */
final class Ends {
    private Ends() {}

    static EndNow now(Job job, End end, KitValues values) {
        Architecture architecture = job.vehicle().sprung(end);
        Told load = values.value(end, KitField.LOAD)
                .map(scale -> Measured.onScale(scale, architecture))
                .orElseGet(() -> Typical.load(job.vehicle().kind(), end));
        return new EndNow(
                        load,
                        told(values, end, KitField.RATIO, Measured::ratio)
                                .or(() -> linkage(job, end, values))
                                .orElseGet(() -> Typical.ratio(architecture)),
                        told(values, end, KitField.ROD_RATIO, Measured::ratio)
                                .orElseGet(() -> Typical.rodRatio(architecture)),
                        Typical.wheelRate(load),
                        spring(values, end, OLD),
                        told(values, end, KitField.SEATS, Measured::taped),
                        new DamperFacts(
                                told(values, end, KitField.OLD_GAS, Measured::gas)
                                        .orElse(Typical.TWIN_TUBE),
                                told(values, end, KitField.OLD_LONG, Measured::damper),
                                told(values, end, KitField.OLD_SHORT, Measured::damper)),
                        told(values, end, KitField.ROD, Measured::taped),
                        stop(values, end, KitField.OLD_STOP, KitField.OLD_RINGS))
                .withSlope(Typical.ratioSlope(architecture));
    }

    /** A linkage that was measured says its own ratio. */
    private static Optional<Told> linkage(Job job, End end, KitValues values) {
        return end == End.FRONT
                ? Optional.empty()
                : Machines.linkage(job, values).flatMap(Linked.Measures::ratio);
    }

    private static Optional<Told> told(KitValues values, End end, KitField field, Function<Double, Told> as) {
        return values.value(end, field).map(as);
    }

    /** The fields of a spring. */
    private record SpringFields(
            KitField rate,
            KitField free,
            KitField solid,
            KitField table,
            KitField secondRate,
            KitField secondFree,
            KitField secondSolid,
            KitField bench) {}

    private static final SpringFields OLD = new SpringFields(
            KitField.OLD_RATE,
            KitField.OLD_FREE,
            KitField.OLD_SOLID,
            KitField.OLD_TABLE,
            KitField.OLD_SECOND_RATE,
            KitField.OLD_SECOND_FREE,
            KitField.OLD_SECOND_SOLID,
            KitField.OLD_BENCH);

    private static final SpringFields NEW = new SpringFields(
            KitField.NEW_RATE,
            KitField.NEW_FREE,
            KitField.NEW_SOLID,
            KitField.NEW_TABLE,
            KitField.NEW_SECOND_RATE,
            KitField.NEW_SECOND_FREE,
            KitField.NEW_SECOND_SOLID,
            KitField.NEW_BENCH);

    private static Optional<SpringFacts> spring(KitValues values, End end, SpringFields of) {
        Optional<Double> free = values.value(end, of.free());
        if (free.isEmpty()) {
            return Optional.empty();
        }
        boolean bench = values.yes(end, of.bench());
        Optional<List<SpringLaw.Point>> rates =
                values.at(end, of.table()).map(KitValues.Told::raw).flatMap(RateTable::read);
        if (rates.isPresent()) {
            return Measured.progressive(rates.get(), free.get(), bench);
        }
        Optional<Double> solid = values.value(end, of.solid());
        return values.value(end, of.rate()).map(k -> {
            Measured.Plain main = new Measured.Plain(k, free.get(), solid);
            return all(values, end, of.secondRate(), of.secondFree(), of.secondSolid())
                    ? Measured.dual(
                            main,
                            new Measured.Plain(
                                    values.value(end, of.secondRate()).get(),
                                    values.value(end, of.secondFree()).get(),
                                    values.value(end, of.secondSolid())),
                            bench)
                    : Measured.spring(k, free.get(), solid, bench);
        });
    }

    private static Optional<StopFacts> stop(KitValues values, End end, KitField height, KitField rings) {
        return values.value(end, height)
                .map(mm -> StopFacts.foam(mm, Math.max(1, (int)
                        Math.round(values.value(end, rings).orElse(1.0)))));
    }

    static EndKit kit(Job job, End end, KitValues values, EndNow now, OwnFits own) {
        Optional<StopFacts> stop = stop(values, end, KitField.NEW_STOP, KitField.NEW_RINGS);
        return new EndKit(
                box(values, end),
                values.yes(end, KitField.BOX_DAMPERS),
                spring(values, end, NEW).map(s -> values.yes(end, KitField.NEW_CALLIPER) ? s.byCalliper() : s),
                damper(values, end),
                stop,
                parts(job, values, end, now),
                own,
                boxOf(values, end));
    }

    private static EndKit.BoxOf boxOf(KitValues values, End end) {
        Set<KitKind> said = KitKinds.said(values, end);
        if (!said.isEmpty() && said.stream().noneMatch(KitKind::springs)) {
            return EndKit.BoxOf.PARTS;
        }
        return values.yes(end, KitField.BOX_WHOLE) ? EndKit.BoxOf.SPRINGS_AND_PARTS : EndKit.BoxOf.SPRINGS;
    }

    /** A drop other than 0 is printed. */
    static boolean printed(KitValues values, End end) {
        return Stream.of(KitField.BOX, KitField.BOX_TO)
                .anyMatch(field -> values.value(end, field).orElse(0.0) != 0);
    }

    private static Optional<Advertised.Range> box(KitValues values, End end) {
        // A kit that brings nothing to an end is often printed as a drop of 0 there.
        return values.value(end, KitField.BOX)
                .filter(least -> printed(values, end))
                .map(least -> {
                    double most = values.value(end, KitField.BOX_TO).orElse(least);
                    return new Advertised.Range(
                            Length.ofRoundedMm(Math.min(least, most)), Length.ofRoundedMm(Math.max(least, most)));
                });
    }

    private static Optional<DamperFacts> damper(KitValues values, End end) {
        Optional<Told> gas = told(values, end, KitField.NEW_GAS, Measured::gas);
        Optional<Told> longest = told(values, end, KitField.NEW_LONG, Measured::damper);
        Optional<Told> shortest = told(values, end, KitField.NEW_SHORT, Measured::damper);
        return gas.isEmpty() && longest.isEmpty() && shortest.isEmpty()
                ? Optional.empty()
                : Optional.of(new DamperFacts(gas.orElse(Typical.SINGLE_TUBE), longest, shortest));
    }

    /** Empty until both its length and its rise are told. */
    static Optional<LateralRod> rod(End end, KitValues values) {
        Optional<Double> length = values.value(end, KitField.LATERAL);
        Optional<Double> rise = values.value(end, KitField.LATERAL_RISE);
        return length.isEmpty() || rise.isEmpty() || Math.abs(rise.get()) >= length.get()
                ? Optional.empty()
                : Optional.of(new LateralRod(length.get(), rise.get(), values.yes(end, KitField.LATERAL_LEFT)));
    }

    private static Length mm(KitValues values, End end, KitField field) {
        return Length.ofRoundedMm(values.value(end, field).orElseThrow());
    }

    private static boolean all(KitValues values, End end, KitField... fields) {
        for (KitField field : fields) {
            if (values.value(end, field).isEmpty()) {
                return false;
            }
        }
        return true;
    }

    private static Part turns(KitValues values, End end, KitField turns, KitField pitch, boolean jackBolt) {
        return new Part.Turns(values.value(end, turns).orElseThrow(), mm(values, end, pitch), jackBolt);
    }

    private static List<Part> parts(Job job, KitValues values, End end, EndNow now) {
        List<Part> parts = new ArrayList<>();
        if (all(values, end, KitField.PERCH)) {
            parts.add(new Part.Perch(mm(values, end, KitField.PERCH)));
        }
        if (all(values, end, KitField.TURNS, KitField.PITCH)) {
            parts.add(turns(values, end, KitField.TURNS, KitField.PITCH, false));
        }
        if (all(values, end, KitField.JACK_TURNS, KitField.JACK_PITCH)) {
            parts.add(turns(values, end, KitField.JACK_TURNS, KitField.JACK_PITCH, true));
        }
        if (all(values, end, KitField.OLD_STACK, KitField.NEW_STACK)) {
            parts.add(new Part.Stack(mm(values, end, KitField.OLD_STACK), mm(values, end, KitField.NEW_STACK)));
        }
        if (all(values, end, KitField.OLD_PAD, KitField.NEW_PAD)) {
            parts.add(new Part.Isolator(mm(values, end, KitField.OLD_PAD), mm(values, end, KitField.NEW_PAD)));
        }
        if (all(
                values,
                end,
                KitField.OLD_SEAT_LOW,
                KitField.OLD_SEAT_HIGH,
                KitField.NEW_SEAT_LOW,
                KitField.NEW_SEAT_HIGH)) {
            parts.add(new Part.SeatShape(
                    mm(values, end, KitField.OLD_SEAT_LOW),
                    mm(values, end, KitField.OLD_SEAT_HIGH),
                    mm(values, end, KitField.NEW_SEAT_LOW),
                    mm(values, end, KitField.NEW_SEAT_HIGH)));
        }
        if (all(values, end, KitField.POCKET)) {
            parts.add(new Part.Pocket(mm(values, end, KitField.POCKET)));
        }
        if (all(values, end, KitField.SPINDLE)) {
            parts.add(new Part.AtWheel(mm(values, end, KitField.SPINDLE), Part.AtWheel.Kind.SPINDLE));
        }
        if (all(values, end, KitField.SUBFRAME)) {
            parts.add(new Part.AtWheel(mm(values, end, KitField.SUBFRAME), Part.AtWheel.Kind.SUBFRAME));
        }
        if (all(values, end, KitField.TUBES_UP)) {
            parts.add(new ForkTubes(mm(values, end, KitField.TUBES_UP), Machines.headAngle(job)));
        }
        if (all(values, end, KitField.BLOCK)) {
            parts.add(new Part.AtWheel(mm(values, end, KitField.BLOCK), Part.AtWheel.Kind.BLOCK));
        }
        parts.addAll(Machines.leaves(end, values, now.wheelRate()));
        if (end == End.REAR) {
            Machines.linked(job, values, now.load()).ifPresent(parts::add);
        }
        return parts;
    }
}
