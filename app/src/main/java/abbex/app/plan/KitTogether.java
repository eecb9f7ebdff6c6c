package abbex.app.plan;

import abbex.app.form.Form;
import abbex.app.kit.KitField;
import abbex.app.kit.KitValues;
import abbex.app.kit.RateTable;
import abbex.app.kit.StackSizes;
import abbex.core.kit.Stacks;
import abbex.core.motorcycle.SideStand;
import abbex.core.truck.HelperBags;
import abbex.core.units.Length;
import abbex.core.units.Pressure;
import abbex.core.vehicle.End;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What somebody tells of a kit that only goes together, or not at all; each is told at its field. */
final class KitTogether {
    private KitTogether() {}

    static void check(Form form, KitValues all, End end) {
        shorter(form, all, end, KitField.OLD_SOLID, KitField.OLD_FREE, "problem.kit.solid");
        shorter(form, all, end, KitField.NEW_SOLID, KitField.NEW_FREE, "problem.kit.solid");
        shorter(form, all, end, KitField.OLD_SHORT, KitField.OLD_LONG, "problem.kit.damper");
        shorter(form, all, end, KitField.NEW_SHORT, KitField.NEW_LONG, "problem.kit.damper");
        pair(form, all, end, KitField.OLD_RATE, KitField.OLD_TABLE, KitField.OLD_FREE);
        pair(form, all, end, KitField.NEW_RATE, KitField.NEW_TABLE, KitField.NEW_FREE);
        whole(form, all, end, List.of(KitField.OLD_SECOND_RATE, KitField.OLD_SECOND_FREE, KitField.OLD_SECOND_SOLID));
        whole(form, all, end, List.of(KitField.NEW_SECOND_RATE, KitField.NEW_SECOND_FREE, KitField.NEW_SECOND_SOLID));
        shorter(form, all, end, KitField.OLD_SECOND_SOLID, KitField.OLD_SECOND_FREE, "problem.kit.solid");
        shorter(form, all, end, KitField.NEW_SECOND_SOLID, KitField.NEW_SECOND_FREE, "problem.kit.solid");
        whole(form, all, end, List.of(KitField.TURNS, KitField.PITCH));
        most(form, all, end, KitField.TUBES_UP, KitField.SLIDE_SHOULDER);
        within(form, all, end, KitField.PERCH_SEAT, KitField.PERCH_SEAT_LEAST, KitField.PERCH_SEAT_MOST);
        whole(form, all, end, List.of(KitField.JACK_TURNS, KitField.JACK_PITCH));
        stack(form, all, end);
        machines(form, all, end);
        shorter(form, all, end, KitField.SEATS, KitField.OLD_FREE, "problem.kit.seats");
    }

    /** What was measured of a linkage, a driveline, a flip and of parts that touch belongs together. */
    private static void machines(Form form, KitValues all, End end) {
        whole(form, all, end, List.of(KitField.OLD_SHACKLE, KitField.SHACKLE_LEAN));
        needs(form, all, end, KitField.NEW_SHACKLE, KitField.OLD_SHACKLE);
        needs(form, all, end, KitField.HANGER_BACK, KitField.OLD_SHACKLE);
        needs(form, all, end, KitField.SHACKLE_FLIP, KitField.OLD_SHACKLE);
        needs(form, all, end, KitField.FLIP_SADDLE, KitField.FLIP_PACK);
        whole(form, all, end, List.of(KitField.FLIP_PACK, KitField.FLIP_TUBE));
        whole(
                form,
                all,
                end,
                List.of(KitField.ENGINE_SLOPE, KitField.SHAFT_SLOPE, KitField.PINION_SLOPE, KitField.SHAFT_LENGTH));
        needs(form, all, end, KitField.SHAFT2_SLOPE, KitField.SHAFT_SLOPE);
        needs(form, all, end, KitField.BAG_PRESSURE, KitField.BAG_AREA);
        bag(form, all, end);
        stand(form, all, end);
        whole(form, all, end, List.of(KitField.LEFT_HIGH, KitField.LEFT_OUT));
        whole(form, all, end, List.of(KitField.RIGHT_HIGH, KitField.RIGHT_OUT));
        needs(form, all, end, KitField.NEW_LINK, KitField.OLD_LINK);
        needs(form, all, end, KitField.NEW_EYES, KitField.OLD_EYES);
        whole(
                form,
                all,
                end,
                List.of(
                        KitField.AXLE_BACK,
                        KitField.AXLE_UP,
                        KitField.FOOT_BACK,
                        KitField.FOOT_UP,
                        KitField.TOP_BACK,
                        KitField.TOP_UP));
        whole(
                form,
                all,
                end,
                List.of(
                        KitField.ROCKER_BACK,
                        KitField.ROCKER_UP,
                        KitField.KNEE_BACK,
                        KitField.KNEE_UP,
                        KitField.FAR_BACK,
                        KitField.FAR_UP));
    }

    /** Under its least a bag pinches. */
    private static void bag(Form form, KitValues all, End end) {
        Double set = value(all, end, KitField.BAG_PRESSURE);
        double least = HelperBags.LEAST;
        if (set != null && set < least - 0.01) {
            form.problem(
                    new KitValues.Key(end, KitField.BAG_PRESSURE).name(),
                    "problem.kit.bag",
                    "read",
                    new Pressure(set),
                    "least",
                    new Pressure(least));
        }
    }

    /** A stand on which a machine can lean at all. */
    private static void stand(Form form, KitValues all, End end) {
        Double height = value(all, end, KitField.STAND_HEIGHT);
        Double out = value(all, end, KitField.STAND_OUT);
        Double length = value(all, end, KitField.STAND_LENGTH);
        Double spread = value(all, end, KitField.STAND_SPREAD);
        if (height != null
                && out != null
                && length != null
                && spread != null
                && SideStand.read(height, out, length, spread).isEmpty()) {
            form.problem(
                    new KitValues.Key(end, KitField.STAND_LENGTH).name(),
                    "problem.kit.stand",
                    "read",
                    Length.ofRoundedMm(length),
                    "most",
                    Length.ofRoundedMm(SideStand.most(height, out, spread)));
        }
    }

    /** A figure that counts from another one. */
    private static void needs(Form form, KitValues all, End end, KitField figure, KitField of) {
        if (all.at(end, figure).isPresent() && all.at(end, of).isEmpty()) {
            form.problem(new KitValues.Key(end, of).name(), "problem.kit.whole.of");
        }
    }

    /** Figures that say nothing one without the other. */
    private static void whole(Form form, KitValues all, End end, List<KitField> fields) {
        List<KitField> missing =
                fields.stream().filter(field -> all.at(end, field).isEmpty()).toList();
        if (!missing.isEmpty() && missing.size() < fields.size()) {
            form.problem(new KitValues.Key(end, missing.get(0)).name(), "problem.kit.whole.of");
        }
    }

    /** A stack of sizes that there are, where these are told. */
    private static void stack(Form form, KitValues all, End end) {
        Optional<List<Stacks.Size>> sizes = all.at(end, KitField.SIZES).flatMap(told -> StackSizes.read(told.raw()));
        Double wanted = value(all, end, KitField.NEW_STACK);
        if (sizes.isEmpty() || wanted == null) {
            return;
        }
        Length height = Length.ofRoundedMm(wanted);
        if (Stacks.exactly(sizes.get(), height).isEmpty()) {
            Length nearest = Stacks.nearest(sizes.get(), height).height();
            form.problem(
                    new KitValues.Key(end, KitField.NEW_STACK).name(),
                    "problem.kit.stack",
                    "read",
                    height,
                    "nearest",
                    nearest);
        }
    }

    private static @Nullable Double value(KitValues all, End end, KitField field) {
        return all.at(end, field).map(KitValues.Told::value).orElse(null);
    }

    private static void shorter(Form form, KitValues all, End end, KitField less, KitField more, String key) {
        Double a = value(all, end, less);
        Double b = value(all, end, more);
        if (a != null && b != null && a >= b) {
            form.problem(
                    new KitValues.Key(end, less).name(),
                    key,
                    "read",
                    Length.ofRoundedMm(a),
                    "most",
                    Length.ofRoundedMm(b));
        }
    }

    /** No further than what stops it, where that was measured. */
    private static void most(Form form, KitValues all, End end, KitField what, KitField stop) {
        Double at = value(all, end, what);
        Double most = value(all, end, stop);
        if (at != null && most != null && at > most) {
            form.problem(
                    new KitValues.Key(end, what).name(),
                    "problem.kit.stopped",
                    "read",
                    Length.ofRoundedMm(at),
                    "most",
                    Length.ofRoundedMm(most));
        }
    }

    /** A maker's range is not left. */
    private static void within(Form form, KitValues all, End end, KitField what, KitField least, KitField most) {
        Double at = value(all, end, what);
        Double low = value(all, end, least);
        Double high = value(all, end, most);
        if (at != null && low != null && high != null && (at < low || at > high)) {
            form.problem(
                    new KitValues.Key(end, what).name(),
                    "problem.kit.range",
                    "read",
                    Length.ofRoundedMm(at),
                    "least",
                    Length.ofRoundedMm(low),
                    "most",
                    Length.ofRoundedMm(high));
        }
    }

    private static void pair(Form form, KitValues all, End end, KitField rate, KitField table, KitField free) {
        if (all.at(end, KitField.AXLE_BACK).isPresent() && all.at(end, free).isEmpty()) {
            // Through a linkage that was measured a rate says enough.
            return;
        }
        boolean has = all.at(end, rate).isPresent() || all.at(end, table).isPresent();
        if (has != all.at(end, free).isPresent()) {
            form.problem(new KitValues.Key(end, has ? free : rate).name(), "problem.kit.pair");
        }
        Optional<Double> solid = all.at(end, table)
                .flatMap(told -> RateTable.read(told.raw()))
                .map(points -> points.get(points.size() - 1).deflection());
        Double length = value(all, end, free);
        if (solid.isPresent() && length != null && solid.get() >= length) {
            form.problem(
                    new KitValues.Key(end, table).name(),
                    "problem.kit.tablelong",
                    "read",
                    Length.ofRoundedMm(solid.get()),
                    "most",
                    Length.ofRoundedMm(length));
        }
    }
}
