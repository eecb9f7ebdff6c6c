package abbex.app.plan;

import abbex.app.form.Form;
import abbex.app.kit.BagText;
import abbex.app.kit.KitField;
import abbex.app.kit.KitKinds;
import abbex.app.kit.KitValues;
import abbex.app.kit.RateTable;
import abbex.app.kit.StackSizes;
import abbex.app.kit.TurnsText;
import abbex.core.kit.KitKind;
import abbex.core.kit.Stacks;
import abbex.core.kit.Wish;
import abbex.core.motorcycle.SideStand;
import abbex.core.truck.HelperBags;
import abbex.core.units.AreaText;
import abbex.core.units.ForceText;
import abbex.core.units.ForceUnit;
import abbex.core.units.Length;
import abbex.core.units.Pressure;
import abbex.core.units.RateUnit;
import abbex.core.units.SidedText;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** What somebody types of a vehicle's springs and of a kit. */
final class KitForm {
    /** A box that was on the page, ticked or not. */
    private static final String ASKED = ".asked";

    private final Form form;
    private final KitValues standing;
    private final PerEnd<Set<KitKind>> said;

    private KitForm(Form form, KitValues standing) {
        this.form = form;
        this.standing = standing;
        said = PerEnd.of(this::said);
    }

    /** Kinds that stand ticked for an end, by the form where it asks for them. */
    private Set<KitKind> said(End end) {
        Set<KitKind> said = EnumSet.noneOf(KitKind.class);
        for (KitKind kind : KitKind.values()) {
            String name = new KitValues.Key(end, KitKinds.field(kind)).name();
            boolean asked = form.has(name) || form.has(name + ASKED);
            if (asked ? !form.text(name).isEmpty() : standing.yes(end, KitKinds.field(kind))) {
                said.add(kind);
            }
        }
        return said;
    }

    /** A figure of a kind that the form asks for and that is not ticked: it is not asked, and nothing of it stands. */
    private boolean unasked(KitValues.Key key) {
        End end = key.end();
        if (end == null || key.field().vehicle()) {
            return false;
        }
        Set<KitKind> asking = KitKinds.asking(key.field());
        return !asking.isEmpty()
                && asking.stream().noneMatch(said.get(end)::contains)
                && asking.stream()
                        .anyMatch(kind -> form.has(new KitValues.Key(end, KitKinds.field(kind)).name() + ASKED));
    }

    /** What stands, with what was sent in its place; what cannot be taken is told by the form. */
    static KitValues read(Form form, KitValues standing) {
        KitForm read = new KitForm(form, standing);
        Map<KitValues.Key, KitValues.Told> told = new HashMap<>();
        for (KitField field : KitField.values()) {
            if (field.perEnd()) {
                for (End end : End.values()) {
                    read.take(new KitValues.Key(end, field), told);
                }
            } else {
                read.take(new KitValues.Key(null, field), told);
            }
        }
        KitValues all = standing.with(told);
        for (End end : End.values()) {
            together(form, all, end);
        }
        return all;
    }

    private void take(KitValues.Key key, Map<KitValues.Key, KitValues.Told> told) {
        String name = key.name();
        boolean box = key.field().kind() == KitField.Kind.YES;
        if (unasked(key)) {
            told.put(key, new KitValues.Told("", 0));
            return;
        }
        if (!form.has(name) && !(box && form.has(name + ASKED))) {
            return;
        }
        String text = form.text(name);
        if (text.isEmpty()) {
            told.put(key, new KitValues.Told("", 0));
        } else if (text.equals(standing.raw(key.end(), key.field()))) {
            told.put(key, standing.at(key.end(), key.field()).orElseThrow());
        } else {
            value(key.field(), name, text).ifPresent(value -> told.put(key, value));
        }
    }

    private Optional<KitValues.Told> value(KitField field, String name, String text) {
        return switch (field.kind()) {
            case TEXT -> Optional.of(new KitValues.Told(form.line(name, (int) field.most()), 0));
            case TABLE -> table(name, text);
            case SIZES -> sizes(name, text);
            case TURNS -> turns(field, name, text);
            case WISH -> wish(name, text);
            case YES -> Optional.of(new KitValues.Told("yes", 1));
            case LENGTH, DROP -> length(field, name);
            case NUMBER, COUNT, ANGLE -> number(field, name);
            case AREA -> unit(field, name, AreaText.area(text, metric()), "60 in², 387 cm²");
            case PRESSURE -> unit(field, name, BagText.pressure(text, metric()), "5 psi, 0.35 bar, 35 kPa");
            case FORCE ->
                unit(
                        field,
                        name,
                        ForceText.force(text, metric() ? ForceUnit.KILOGRAM : ForceUnit.POUND),
                        "770 lb, 350 kg, 3400 N");
            case RATE ->
                unit(
                        field,
                        name,
                        ForceText.rate(text, metric() ? RateUnit.NEWTON_PER_MM : RateUnit.POUND_PER_INCH),
                        "160 lb/in, 28 N/mm");
        };
    }

    private Optional<KitValues.Told> table(String name, String text) {
        String whole = RateTable.withUnit(form.line(name, 200), metric());
        if (RateTable.read(whole).isEmpty()) {
            form.problem(name, "problem.kit.table", "read", text);
            return Optional.empty();
        }
        return Optional.of(new KitValues.Told(whole, 0));
    }

    private Optional<KitValues.Told> sizes(String name, String text) {
        String whole = StackSizes.withUnits(form.line(name, 200), metric());
        if (StackSizes.read(whole).isEmpty()) {
            form.problem(name, "problem.kit.sizes", "read", text);
            return Optional.empty();
        }
        if (StackSizes.uncounted(whole)) {
            form.problem(name, "problem.kit.sizes.count", "read", text);
            return Optional.empty();
        }
        return Optional.of(new KitValues.Told(whole, 0));
    }

    private Optional<KitValues.Told> turns(KitField field, String name, String text) {
        OptionalDouble turns = TurnsText.read(text);
        if (turns.isEmpty() || Math.abs(turns.getAsDouble()) > field.most()) {
            form.problem(name, "problem.kit.turns", "read", text);
            return Optional.empty();
        }
        return Optional.of(new KitValues.Told(text, turns.getAsDouble()));
    }

    private Optional<KitValues.Told> wish(String name, String text) {
        boolean known = Stream.of(Wish.values()).anyMatch(wish -> wish.name().equals(text));
        if (!known) {
            form.problem(name, "problem.choice.unknown", "read", text);
        }
        return known ? Optional.of(new KitValues.Told(text, 0)) : Optional.empty();
    }

    private boolean metric() {
        return form.reader().unit().metric();
    }

    /** The figure of a field and the side that was said with it; empty, and told, where both contradict each other. */
    private Optional<SidedText> sided(KitField field, String name) {
        Optional<SidedText> read = field.sides()
                .map(sides -> SidedText.read(form.text(name), sides))
                .orElseGet(() -> Optional.of(new SidedText(1, false, form.text(name))));
        if (read.isEmpty()) {
            form.problem(name, "problem.kit.side", "read", form.text(name));
        }
        return read;
    }

    private Optional<KitValues.Told> length(KitField field, String name) {
        Optional<SidedText> sided = sided(field, name);
        TapeText.Allowed allowed =
                field.kind() == KitField.Kind.DROP ? TapeText.Allowed.ANY : TapeText.Allowed.ZERO_OR_MORE;
        Optional<TapeReading> reading =
                sided.flatMap(of -> form.needed(name, of.figure(), allowed, Length.ofRoundedMm(field.most())));
        if (reading.isEmpty()) {
            return Optional.empty();
        }
        double mm = sided.orElseThrow().sign() * reading.get().value().mm();
        if (mm < field.least() || mm > field.most()) {
            form.problem(
                    name,
                    "problem.range.length",
                    "read",
                    form.text(name),
                    "least",
                    Length.ofRoundedMm(field.least()),
                    "most",
                    Length.ofRoundedMm(field.most()));
            return Optional.empty();
        }
        return Optional.of(
                new KitValues.Told(sided.orElseThrow().said() ? form.text(name) : form.raw(reading.get()), mm));
    }

    private Optional<KitValues.Told> number(KitField field, String name) {
        Optional<SidedText> sided = sided(field, name);
        if (sided.isEmpty()) {
            return Optional.empty();
        }
        int sign = sided.get().sign();
        OptionalDouble number = form.number(
                name,
                sided.get().figure().replaceFirst("\\s*°$", ""),
                sign > 0 ? field.least() : -field.most(),
                sign > 0 ? field.most() : -field.least());
        if (number.isPresent() && field.kind() == KitField.Kind.COUNT && number.getAsDouble() % 1 != 0) {
            form.problem(name, "problem.kit.whole", "read", form.text(name));
            return Optional.empty();
        }
        return number.isPresent()
                ? Optional.of(new KitValues.Told(form.text(name), sign * number.getAsDouble()))
                : Optional.empty();
    }

    private Optional<KitValues.Told> unit(KitField field, String name, OptionalDouble read, String like) {
        if (read.isEmpty()) {
            form.problem(name, "problem.kit.unit", "read", form.text(name), "like", like);
            return Optional.empty();
        }
        if (read.getAsDouble() < field.least() || read.getAsDouble() > field.most()) {
            form.problem(name, "problem.kit.unlikely", "read", form.text(name), "like", like);
            return Optional.empty();
        }
        return Optional.of(new KitValues.Told(form.text(name), read.getAsDouble()));
    }

    /** What only goes together, or not at all. */
    private static void together(Form form, KitValues all, End end) {
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
        whole(form, all, end, List.of(KitField.OLD_LINK, KitField.NEW_LINK));
        whole(form, all, end, List.of(KitField.OLD_EYES, KitField.NEW_EYES));
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
