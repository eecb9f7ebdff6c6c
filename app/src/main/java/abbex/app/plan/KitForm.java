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
import abbex.core.kit.Wish;
import abbex.core.units.AreaText;
import abbex.core.units.ForceText;
import abbex.core.units.ForceUnit;
import abbex.core.units.Length;
import abbex.core.units.RateUnit;
import abbex.core.units.SidedText;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;

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
            KitTogether.check(form, all, end);
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
                .orElseGet(() -> Optional.of(SidedText.of(form.text(name))));
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
        // With its unit, so that it reads alike to everybody.
        return Optional.of(new KitValues.Told(sided.orElseThrow().text(form.raw(reading.get())), mm));
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
}
