package abbex.app.kit;

import abbex.app.arrive.Job;
import abbex.core.heights.Advertised;
import abbex.core.kit.DamperFacts;
import abbex.core.kit.EndKit;
import abbex.core.kit.EndNow;
import abbex.core.kit.LateralRod;
import abbex.core.kit.OwnFits;
import abbex.core.kit.Part;
import abbex.core.kit.SpringFacts;
import abbex.core.kit.StopFacts;
import abbex.core.kit.Told;
import abbex.core.kit.Typical;
import abbex.core.springs.Spring;
import abbex.core.springs.SpringLaw;
import abbex.core.units.Length;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What was told of a vehicle and a kit as the core takes it: what nobody told is typical of the kind. */
final class Ends {
    /** Of a rod or between seats by tape, mm. */
    private static final double TAPED = 1.5;

    /** A damper's length by its sheet, mm. */
    private static final double PRINTED = 2;

    /** A motion ratio by jack and tape. */
    private static final double RATIO = 0.01;

    /** A corner on a scale. */
    private static final double SCALE = 0.01;

    /** A rod pressed down on a bathroom scale, N. */
    private static final double PRESSED = 10;

    /** A spring whose solid length nobody told goes down to this part of its free length: far enough to say nothing. */
    private static final double ANY_SOLID = 0.1;

    private Ends() {}

    static EndNow now(Job job, End end, KitValues values) {
        Architecture architecture =
                end == End.FRONT ? job.vehicle().front() : job.vehicle().rear();
        Told load = values.value(end, KitField.LOAD)
                .map(scale -> sprung(scale, architecture))
                .orElseGet(() -> Typical.load(job.vehicle().kind(), end));
        return new EndNow(
                load,
                measured(values, end, KitField.RATIO, RATIO).orElseGet(() -> Typical.ratio(architecture)),
                measured(values, end, KitField.ROD_RATIO, RATIO).orElseGet(() -> Typical.rodRatio(architecture)),
                Typical.wheelRate(load),
                spring(
                        values,
                        end,
                        KitField.OLD_RATE,
                        KitField.OLD_FREE,
                        KitField.OLD_SOLID,
                        KitField.OLD_TABLE,
                        KitField.OLD_BENCH),
                measured(values, end, KitField.SEATS, TAPED),
                new DamperFacts(
                        measured(values, end, KitField.OLD_GAS, PRESSED).orElse(Typical.TWIN_TUBE),
                        printed(values, end, KitField.OLD_LONG),
                        printed(values, end, KitField.OLD_SHORT)),
                measured(values, end, KitField.ROD, TAPED),
                stop(values, end, KitField.OLD_STOP, KitField.OLD_RINGS));
    }

    private static Told sprung(double scale, Architecture architecture) {
        Told unsprung = Typical.unsprung(architecture);
        return Told.measured(
                Math.max(scale / 2, scale - unsprung.value()), Math.hypot(SCALE * scale, unsprung.standard()));
    }

    private static Optional<Told> measured(KitValues values, End end, KitField field, double standard) {
        return values.value(end, field).map(value -> Told.measured(value, standard));
    }

    private static Optional<Told> printed(KitValues values, End end, KitField field) {
        return values.value(end, field).map(value -> Told.printed(value, PRINTED));
    }

    private static Optional<SpringFacts> spring(
            KitValues values, End end, KitField rate, KitField free, KitField solid, KitField table, KitField bench) {
        Optional<List<SpringLaw.Point>> rates =
                values.at(end, table).map(KitValues.Told::raw).flatMap(RateTable::read);
        if (values.value(end, free).isEmpty()) {
            return Optional.empty();
        }
        if (rates.isPresent()) {
            return progressive(rates.get(), values.value(end, free).get(), values.yes(end, bench));
        }
        if (values.value(end, rate).isEmpty()) {
            return Optional.empty();
        }
        double length = values.value(end, free).get();
        double coils = values.value(end, solid).orElse(ANY_SOLID * length);
        Spring spring = new Spring(new SpringLaw.Linear(values.value(end, rate).get(), length - coils), length);
        SpringFacts facts = values.yes(end, bench) ? SpringFacts.measured(spring) : SpringFacts.printed(spring);
        return Optional.of(values.value(end, solid).isPresent() ? facts : facts.withoutSolid());
    }

    /** Its table ends where it is solid. */
    private static Optional<SpringFacts> progressive(List<SpringLaw.Point> rates, double free, boolean bench) {
        SpringLaw law = SpringLaw.Progressive.of(rates);
        if (free <= law.solid()) {
            return Optional.empty();
        }
        Spring spring = new Spring(law, free);
        return Optional.of(bench ? SpringFacts.measured(spring) : SpringFacts.printed(spring));
    }

    private static Optional<StopFacts> stop(KitValues values, End end, KitField height, KitField rings) {
        return values.value(end, height)
                .map(mm -> StopFacts.foam(
                        mm, (int) Math.round(values.value(end, rings).orElse(1.0))));
    }

    static EndKit kit(Job job, End end, KitValues values) {
        Optional<StopFacts> stop = stop(values, end, KitField.NEW_STOP, KitField.NEW_RINGS);
        return new EndKit(
                box(values, end),
                values.yes(end, KitField.BOX_DAMPERS),
                spring(
                        values,
                        end,
                        KitField.NEW_RATE,
                        KitField.NEW_FREE,
                        KitField.NEW_SOLID,
                        KitField.NEW_TABLE,
                        KitField.NEW_BENCH),
                damper(values, end),
                stop,
                parts(values, end),
                OwnFits.NONE);
    }

    private static Optional<Advertised.Range> box(KitValues values, End end) {
        return values.value(end, KitField.BOX).map(least -> {
            double most = values.value(end, KitField.BOX_TO).orElse(least);
            return new Advertised.Range(
                    Length.ofRoundedMm(Math.min(least, most)), Length.ofRoundedMm(Math.max(least, most)));
        });
    }

    private static Optional<DamperFacts> damper(KitValues values, End end) {
        Optional<Told> gas = measured(values, end, KitField.NEW_GAS, PRESSED);
        Optional<Told> longest = printed(values, end, KitField.NEW_LONG);
        Optional<Told> shortest = printed(values, end, KitField.NEW_SHORT);
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

    private static List<Part> parts(KitValues values, End end) {
        List<Part> parts = new ArrayList<>();
        if (all(values, end, KitField.PERCH)) {
            parts.add(new Part.Perch(mm(values, end, KitField.PERCH)));
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
        if (all(values, end, KitField.BLOCK)) {
            parts.add(new Part.AtWheel(mm(values, end, KitField.BLOCK), Part.AtWheel.Kind.BLOCK));
        }
        return parts;
    }
}
