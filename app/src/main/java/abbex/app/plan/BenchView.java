package abbex.app.plan;

import abbex.app.arrive.VehicleFacts;
import abbex.app.form.Form;
import abbex.app.kit.KitField;
import abbex.app.kit.KitKinds;
import abbex.app.kit.KitValues;
import abbex.app.page.Words;
import abbex.core.kit.KitKind;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The bench as a form shows it, every text ready: some two hundred fields are too many to be worked out on the page. */
public record BenchView(List<OfEnd> ends) {
    /** An end with what lies on its bench. */
    public record OfEnd(String code, String name, List<Chip> kinds, List<Group> groups) {}

    /**
     * A kind that can be had there.
     *
     * @param code by which fields say that they are asked for it
     */
    public record Chip(String name, String code, String label, boolean ticked) {}

    /**
     * Lines that belong together.
     *
     * @param open true for what is filled in most, and where something is to be said
     * @param both true where the old part and the new one stand beside each other
     * @param asked false where nothing of it is asked for the kinds that are ticked
     */
    public record Group(String name, boolean open, boolean both, boolean asked, List<Line> lines) {}

    /** A line: the old part's field and the new one's; null where there is no such part. */
    public record Line(String what, boolean asked, List<@Nullable Cell> cells) {}

    /**
     * A field.
     *
     * @param invalid true for a browser, or null
     * @param described the id of what is said under it, or null
     * @param kinds for which it is asked, apart by blanks; empty where it always is
     */
    public record Cell(
            String name,
            String label,
            String value,
            String like,
            boolean check,
            @Nullable String invalid,
            @Nullable String described,
            String kinds,
            boolean asked) {}

    private static final List<String> GROUPS = List.of(
            "box",
            "spring",
            "second",
            "damper",
            "coilover",
            "seat",
            "tubes",
            "link",
            "leaf",
            "flip",
            "driveline",
            "bags",
            "other",
            "rod",
            "machine",
            "lean",
            "vehicle");

    /** What most have in hand. */
    private static final List<String> OPEN =
            List.of("box", "spring", "coilover", "seat", "other", "tubes", "leaf", "flip", "link");

    /** What a form is filled from. */
    private record Filled(
            VehicleFacts vehicle, Form form, Map<String, String> values, Words words, PerEnd<Set<KitKind>> ticked) {
        String text(String name) {
            return form.text(name, values.getOrDefault(name, ""));
        }
    }

    static BenchView of(VehicleFacts vehicle, Form form, KitValues values, Map<String, String> texts, Words words) {
        PerEnd<Set<KitKind>> ticked = PerEnd.of(end -> ticked(vehicle, end, form, values));
        Filled filled = new Filled(vehicle, form, texts, words, ticked);
        List<OfEnd> ends = new ArrayList<>();
        for (End end : End.values()) {
            String name = words.say(end == End.FRONT ? "plan.front" : "plan.rear");
            ends.add(new OfEnd(
                    end.name(),
                    name,
                    chips(filled, end),
                    GROUPS.stream()
                            .map(g -> group(g, end, name, filled))
                            .filter(g -> !g.lines().isEmpty())
                            .toList()));
        }
        return new BenchView(ends);
    }

    /** As they were sent, else as the kit is: springs that nobody named are those that the end has. */
    private static Set<KitKind> ticked(VehicleFacts vehicle, End end, Form form, KitValues values) {
        Architecture built = new PerEnd<>(vehicle.front(), vehicle.rear()).get(end);
        Set<KitKind> of = KitKinds.of(values, end);
        if (of.contains(KitKind.SPRINGS) && !KitKind.SPRINGS.fits(vehicle.kind(), built, end)) {
            of.remove(KitKind.SPRINGS);
            of.add(KitKind.FORK.fits(vehicle.kind(), built, end) ? KitKind.FORK : KitKind.LEAVES);
        }
        Set<KitKind> ticked = EnumSet.noneOf(KitKind.class);
        for (KitKind kind : KitKind.values()) {
            String name = end.name() + "_" + KitKinds.field(kind).name();
            boolean sent = form.has(name) || form.has(name + ".asked");
            if (sent ? !form.text(name).isEmpty() : of.contains(kind)) {
                ticked.add(kind);
            }
        }
        return ticked;
    }

    private static List<Chip> chips(Filled filled, End end) {
        VehicleFacts vehicle = filled.vehicle();
        Architecture built = new PerEnd<>(vehicle.front(), vehicle.rear()).get(end);
        Set<KitKind> ticked = filled.ticked().get(end);
        return Stream.of(KitKind.values())
                .filter(kind -> ticked.contains(kind) || kind.fits(vehicle.kind(), built, end))
                .map(kind -> new Chip(
                        end.name() + "_" + KitKinds.field(kind).name(),
                        kind.name(),
                        filled.words().say("kind." + kind.name()),
                        ticked.contains(kind)))
                .toList();
    }

    private static Group group(String group, End end, String name, Filled filled) {
        List<Line> lines = new ArrayList<>();
        boolean both = false;
        for (BenchRow row : BenchRow.ALL) {
            if (row.group().equals(group) && row.of(filled.vehicle(), end)) {
                String what = filled.words().say("bench." + row.key());
                both |= row.old() != null && row.fresh() != null;
                Cell old = cell(row.old(), "bench.old", what, end, name, filled);
                Cell fresh = cell(row.fresh(), "bench.new", what, end, name, filled);
                boolean asked = old != null && old.asked() || fresh != null && fresh.asked();
                lines.add(new Line(what, asked, Arrays.asList(old, fresh)));
            }
        }
        boolean speaks =
                lines.stream().flatMap(line -> line.cells().stream()).anyMatch(c -> c != null && c.described() != null);
        return new Group(
                filled.words().say("bench.group." + group),
                OPEN.contains(group) || speaks,
                both,
                lines.stream().anyMatch(Line::asked),
                lines);
    }

    private static @Nullable Cell cell(
            @Nullable KitField field, String which, String what, End end, String endName, Filled filled) {
        if (field == null) {
            return null;
        }
        Words words = filled.words();
        Form form = filled.form();
        String name = end.name() + "_" + field.name();
        boolean check = field.kind() == KitField.Kind.YES;
        String like = check
                ? ""
                : words.say("like." + field.kind() + (form.reader().unit().metric() ? ".mm" : ""));
        Set<KitKind> kinds = KitKinds.asking(field);
        return new Cell(
                name,
                what + ", " + words.say(which) + ", " + endName,
                filled.text(name),
                like,
                check,
                form.invalid(name),
                form.speaks(name) ? name + "-bad" : null,
                kinds.stream().map(Enum::name).collect(Collectors.joining(" ")),
                kinds.isEmpty() || kinds.stream().anyMatch(filled.ticked().get(end)::contains) || form.speaks(name));
    }
}
