package abbex.app.kit;

import abbex.app.arrive.Job;
import abbex.core.kit.BagLift;
import abbex.core.kit.EndNow;
import abbex.core.kit.Flipped;
import abbex.core.kit.KitFinding;
import abbex.core.kit.Linked;
import abbex.core.kit.Machine;
import abbex.core.kit.Part;
import abbex.core.kit.Shackled;
import abbex.core.kit.Told;
import abbex.core.kit.Truck;
import abbex.core.motorcycle.ForkSlide;
import abbex.core.motorcycle.LeanClearance;
import abbex.core.motorcycle.RearLinkage.Kind;
import abbex.core.motorcycle.RearLinkage.Point;
import abbex.core.motorcycle.SideStand;
import abbex.core.motorcycle.Steering;
import abbex.core.truck.HelperBags;
import abbex.core.units.Angle;
import abbex.core.units.Length;
import abbex.core.units.Pressure;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Vehicle;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What was told of a truck's rear axle and of a motorcycle, as the core takes it. Each figure is as sure as its instrument
 * (common practice).
 */
final class Machines {
    /** By tape, mm; by calliper or a sheet, mm; by an angle gauge, degrees. */
    private static final double TAPED = 1.5;

    private static final double CLOSE = 1;
    private static final double GAUGE = 0.3;

    /** A leg's spread against a plumb line, degrees. */
    private static final double SPREAD = 0.7;

    /** A head angle by the maker's sheet, degrees. */
    private static final double PRINTED = 0.15;

    /** Of motorcycles whose own nobody measured, mm (common practice). */
    private static final Told USUAL_BIKE = Told.typical(1480, 60);

    /** A tyre's crown where nobody measured it, mm (common practice). */
    private static final Told CROWN = Told.typical(75, 12);

    private static final double AREA = 0.08;

    /** Levers of a pack that nobody measured, and the arch that it has left at ride height, mm (common practice). */
    private static final Told LEVER = Told.typical(650, 40);

    private static final Told ARCHED = Told.typical(60, 30);

    private Machines() {}

    private static Optional<Told> told(KitValues values, End end, KitField field, double standard) {
        return values.value(end, field).map(value -> Told.measured(value, standard));
    }

    private static boolean all(KitValues values, End end, KitField... fields) {
        for (KitField field : fields) {
            if (values.value(end, field).isEmpty()) {
                return false;
            }
        }
        return true;
    }

    private static double mm(KitValues values, End end, KitField field) {
        return values.value(end, field).orElseThrow();
    }

    private static double or0(KitValues values, End end, KitField field) {
        return values.value(end, field).orElse(0.0);
    }

    private static final List<KitField> WHOLE = List.of(
            KitField.NEW_LINK,
            KitField.NEW_EYES,
            KitField.NEW_SHACKLE,
            KitField.SHACKLE_FLIP,
            KitField.HANGER_UP,
            KitField.HANGER_BACK,
            KitField.FIXED_EYE,
            KitField.SHACKLED_EYE,
            KitField.FLIP_SADDLE,
            KitField.ARCH);

    /** It brings what lowers by itself, so that a printed number is of that. */
    static boolean wholeKit(KitValues values, End end) {
        return WHOLE.stream().anyMatch(field -> values.at(end, field).isPresent());
    }

    /** What of a motorcycle turns with its chassis; empty for what has two tracks. */
    static Optional<Machine> motorcycle(Job job, KitValues values) {
        if (!job.vehicle().kind().singleTrack()) {
            return Optional.empty();
        }
        Vehicle vehicle = job.vehicle().vehicle();
        return Optional.of(new Machine(
                vehicle.wheelbase().map(mm -> Told.measured(mm.mm(), 3)).orElse(USUAL_BIKE),
                front(vehicle, values),
                leg(values),
                touches(values)));
    }

    /** A head angle that nobody told, degrees from the vertical (common practice). */
    private static final Told USUAL_HEAD = Told.typical(26, 2.5);

    static Told headAngle(Job job) {
        return job.vehicle()
                .vehicle()
                .headAngle()
                .map(angle -> Told.printed(angle.degrees(), PRINTED))
                .orElse(USUAL_HEAD);
    }

    private static Optional<Machine.Front> front(Vehicle vehicle, KitValues values) {
        Optional<Double> head =
                vehicle.headAngle().map(Angle::degrees).filter(degrees -> degrees > 0 && degrees < Steering.MOST);
        if (head.isEmpty() || !all(values, End.FRONT, KitField.STEER_RADIUS, KitField.STEER_OFFSET)) {
            return Optional.empty();
        }
        return Optional.of(new Machine.Front(
                told(values, End.FRONT, KitField.STEER_RADIUS, TAPED).orElseThrow(),
                Told.printed(head.get(), PRINTED),
                told(values, End.FRONT, KitField.STEER_OFFSET, CLOSE).orElseThrow(),
                stops(values)));
    }

    /** What nobody measured stops nothing; empty where nothing was measured. */
    private static Optional<ForkSlide> stops(KitValues values) {
        Optional<Double> shoulder = values.value(End.FRONT, KitField.SLIDE_SHOULDER);
        Optional<Double> clamp = values.value(End.FRONT, KitField.SLIDE_CLAMP);
        Optional<Double> fender = values.value(End.FRONT, KitField.SLIDE_FENDER);
        return shoulder.isEmpty() && clamp.isEmpty() && fender.isEmpty()
                ? Optional.empty()
                : Optional.of(new ForkSlide(
                        shoulder.orElse(Double.POSITIVE_INFINITY),
                        clamp.orElse(Double.POSITIVE_INFINITY),
                        fender.orElse(Double.POSITIVE_INFINITY)));
    }

    private static Optional<Machine.Leg> leg(KitValues values) {
        if (!all(
                        values,
                        End.REAR,
                        KitField.STAND_HEIGHT,
                        KitField.STAND_OUT,
                        KitField.STAND_LENGTH,
                        KitField.STAND_SPREAD)
                || SideStand.read(
                                mm(values, End.REAR, KitField.STAND_HEIGHT),
                                mm(values, End.REAR, KitField.STAND_OUT),
                                mm(values, End.REAR, KitField.STAND_LENGTH),
                                mm(values, End.REAR, KitField.STAND_SPREAD))
                        .isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Machine.Leg(
                told(values, End.REAR, KitField.STAND_HEIGHT, TAPED).orElseThrow(),
                told(values, End.REAR, KitField.STAND_OUT, 2).orElseThrow(),
                told(values, End.REAR, KitField.STAND_LENGTH, TAPED).orElseThrow(),
                told(values, End.REAR, KitField.STAND_SPREAD, SPREAD).orElseThrow()));
    }

    private static List<Machine.Touch> touches(KitValues values) {
        List<Machine.Touch> touches = new ArrayList<>();
        touch(values, KitFinding.Side.LEFT, KitField.LEFT_HIGH, KitField.LEFT_OUT)
                .ifPresent(touches::add);
        touch(values, KitFinding.Side.RIGHT, KitField.RIGHT_HIGH, KitField.RIGHT_OUT)
                .ifPresent(touches::add);
        return touches;
    }

    private static Optional<Machine.Touch> touch(KitValues values, KitFinding.Side side, KitField high, KitField out) {
        Told crown = told(values, End.REAR, KitField.CROWN, 3).orElse(CROWN);
        return !all(values, End.REAR, high, out)
                        || !LeanClearance.outside(mm(values, End.REAR, high), mm(values, End.REAR, out), crown.value())
                ? Optional.empty()
                : Optional.of(new Machine.Touch(
                        side,
                        told(values, End.REAR, high, 3).orElseThrow(),
                        told(values, End.REAR, out, 3).orElseThrow(),
                        crown));
    }

    private static Point point(KitValues values, KitField back, KitField up) {
        return new Point(mm(values, End.REAR, back), mm(values, End.REAR, up));
    }

    /** A rear linkage as far as it was measured: arm and spring, or these with rocker and link. */
    static Optional<Linked.Measures> linkage(Job job, KitValues values) {
        if (!job.vehicle().kind().singleTrack()
                || !all(
                        values,
                        End.REAR,
                        KitField.AXLE_BACK,
                        KitField.AXLE_UP,
                        KitField.FOOT_BACK,
                        KitField.FOOT_UP,
                        KitField.TOP_BACK,
                        KitField.TOP_UP)) {
            return Optional.empty();
        }
        Point axle = point(values, KitField.AXLE_BACK, KitField.AXLE_UP);
        Point foot = point(values, KitField.FOOT_BACK, KitField.FOOT_UP);
        Point top = point(values, KitField.TOP_BACK, KitField.TOP_UP);
        boolean rocker = all(
                values,
                End.REAR,
                KitField.ROCKER_BACK,
                KitField.ROCKER_UP,
                KitField.KNEE_BACK,
                KitField.KNEE_UP,
                KitField.FAR_BACK,
                KitField.FAR_UP);
        if (!rocker) {
            Point none = new Point(0, 0);
            return Optional.of(new Linked.Measures(Kind.DIRECT, axle, none, none, none, foot, top));
        }
        return Optional.of(new Linked.Measures(
                values.yes(End.REAR, KitField.ROCKER_ON_ARM) ? Kind.ROCKER_ON_ARM : Kind.ROCKER_ON_FRAME,
                axle,
                point(values, KitField.ROCKER_BACK, KitField.ROCKER_UP),
                point(values, KitField.KNEE_BACK, KitField.KNEE_UP),
                point(values, KitField.FAR_BACK, KitField.FAR_UP),
                foot,
                top));
    }

    /** Another link, shock or eye; empty while the linkage was not measured, and where nothing of it changes. */
    static Optional<Linked> linked(Job job, KitValues values, Told load) {
        Linked.Change change = new Linked.Change(
                changed(values, KitField.OLD_LINK, KitField.NEW_LINK),
                -changed(values, KitField.OLD_EYES, KitField.NEW_EYES),
                or0(values, End.REAR, KitField.FOOT_MOVED_BACK),
                or0(values, End.REAR, KitField.FOOT_MOVED_UP));
        if (change.equals(new Linked.Change(0, -0.0, 0, 0)) || change.equals(new Linked.Change(0, 0, 0, 0))) {
            return Optional.empty();
        }
        Optional<Told> rate = values.value(End.REAR, KitField.NEW_RATE)
                .or(() -> values.value(End.REAR, KitField.OLD_RATE))
                .map(k -> Told.printed(k, 0.03 * k));
        return linkage(job, values).map(measures -> Linked.of(measures, change, rate, load));
    }

    private static double changed(KitValues values, KitField was, KitField is) {
        return all(values, End.REAR, was, is) ? mm(values, End.REAR, is) - mm(values, End.REAR, was) : 0;
    }

    /** Shackle, hanger and axle of a leaf pack; an eye that nobody speaks of stays. */
    static List<Part> leaves(End end, KitValues values, Told wheelRate) {
        List<Part> parts = new ArrayList<>();
        Optional<Part> shackled = shackled(end, values);
        shackled.ifPresent(parts::add);
        Optional<Length> fixed = length(values, end, KitField.FIXED_EYE);
        Optional<Length> eye = shackled.isPresent() ? Optional.empty() : eye(values, end);
        if (fixed.isPresent() || eye.isPresent()) {
            parts.add(new Part.LeafEyes(
                    fixed.orElse(Length.ZERO),
                    eye.orElse(Length.ZERO),
                    length(values, end, KitField.LEAF_FIXED),
                    length(values, end, KitField.LEAF_SHACKLED)));
        }
        if (all(values, end, KitField.FLIP_PACK, KitField.FLIP_TUBE, KitField.FLIP_SADDLE)) {
            parts.add(new Flipped(
                    length(values, end, KitField.FLIP_PACK).orElseThrow(),
                    length(values, end, KitField.FLIP_TUBE).orElseThrow(),
                    length(values, end, KitField.FLIP_PERCH).orElse(Length.ZERO),
                    length(values, end, KitField.FLIP_SADDLE).orElseThrow()));
        }
        length(values, end, KitField.ARCH)
                .ifPresent(arch -> parts.add(new Part.AtWheel(arch, Part.AtWheel.Kind.LESS_ARCH)));
        values.value(end, KitField.BAG_AREA)
                .ifPresent(area -> parts.add(new BagLift(
                        new Pressure(values.value(end, KitField.BAG_PRESSURE)
                                .orElse(HelperBags.pair(area).least())),
                        area,
                        wheelRate)));
        return parts;
    }

    /** By the eye itself and by its hanger: a shackle that nobody measured is taken to hang as it did. */
    private static Optional<Length> eye(KitValues values, End end) {
        Optional<Length> eye = length(values, end, KitField.SHACKLED_EYE);
        Optional<Length> hanger = length(values, end, KitField.HANGER_UP);
        return eye.isEmpty() && hanger.isEmpty()
                ? Optional.empty()
                : Optional.of(eye.orElse(Length.ZERO).plus(hanger.orElse(Length.ZERO)));
    }

    private static Optional<Length> length(KitValues values, End end, KitField field) {
        return values.value(end, field).map(Length::ofRoundedMm);
    }

    /** Empty until the shackle was measured as it hangs, and something of it changes. */
    private static Optional<Part> shackled(End end, KitValues values) {
        if (!all(values, end, KitField.OLD_SHACKLE, KitField.SHACKLE_LEAN)) {
            return Optional.empty();
        }
        double was = mm(values, end, KitField.OLD_SHACKLE);
        Shackled.Change change = new Shackled.Change(
                values.value(end, KitField.NEW_SHACKLE).orElse(was),
                values.yes(end, KitField.SHACKLE_FLIP),
                or0(values, end, KitField.HANGER_UP),
                or0(values, end, KitField.HANGER_BACK));
        return change.equals(new Shackled.Change(was, false, 0, 0))
                ? Optional.empty()
                : Optional.of(Shackled.of(
                        new Shackled.Measures(
                                values.value(end, KitField.LEAF_FIXED),
                                values.value(end, KitField.LEAF_SHACKLED),
                                was,
                                mm(values, end, KitField.SHACKLE_LEAN),
                                values.yes(end, KitField.SHACKLE_HANGS)),
                        change));
    }

    /** What of a live rear axle turns and carries; empty for other axles. */
    static Optional<Truck> truck(Job job, KitValues values, EndNow rear) {
        Architecture axle = job.vehicle().rear();
        if (axle != Architecture.SOLID_AXLE_LEAF && axle != Architecture.SOLID_AXLE_COIL) {
            return Optional.empty();
        }
        return Optional.of(new Truck(
                shafts(values),
                bags(values, rear),
                axle == Architecture.SOLID_AXLE_LEAF ? Optional.of(pack(values)) : Optional.empty(),
                told(values, End.REAR, KitField.SADDLE_ANGLE, GAUGE).orElse(Told.measured(0, 0))));
    }

    private static Truck.Pack pack(KitValues values) {
        return new Truck.Pack(
                told(values, End.REAR, KitField.LEAF_FIXED, TAPED).orElse(LEVER),
                told(values, End.REAR, KitField.LEAF_SHACKLED, TAPED).orElse(LEVER),
                ARCHED);
    }

    private static Optional<Truck.Shafts> shafts(KitValues values) {
        return !all(
                        values,
                        End.REAR,
                        KitField.ENGINE_SLOPE,
                        KitField.SHAFT_SLOPE,
                        KitField.PINION_SLOPE,
                        KitField.SHAFT_LENGTH)
                ? Optional.empty()
                : Optional.of(new Truck.Shafts(
                        told(values, End.REAR, KitField.ENGINE_SLOPE, GAUGE).orElseThrow(),
                        told(values, End.REAR, KitField.SHAFT_SLOPE, GAUGE).orElseThrow(),
                        told(values, End.REAR, KitField.SHAFT2_SLOPE, GAUGE),
                        told(values, End.REAR, KitField.PINION_SLOPE, GAUGE).orElseThrow(),
                        told(values, End.REAR, KitField.SHAFT_LENGTH, 3).orElseThrow()));
    }

    /** Bags with a load to carry: over the axle, and of a trailer's tongue by its lever. */
    private static Optional<Truck.Bags> bags(KitValues values, EndNow rear) {
        Optional<Double> load = values.value(End.REAR, KitField.BED_LOAD);
        return values.value(End.REAR, KitField.BAG_AREA).isEmpty() || load.isEmpty()
                ? Optional.empty()
                : Optional.of(new Truck.Bags(
                        told(values, End.REAR, KitField.BAG_AREA, AREA * mm(values, End.REAR, KitField.BAG_AREA))
                                .orElseThrow(),
                        Told.measured(load.get(), 0.02 * load.get()),
                        values.value(End.REAR, KitField.PLATE),
                        values.yes(End.REAR, KitField.BAG_JOINED),
                        rear.wheelRate()));
    }
}
