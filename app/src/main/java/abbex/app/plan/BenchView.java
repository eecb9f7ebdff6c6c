package abbex.app.plan;

import abbex.app.arrive.VehicleFacts;
import abbex.app.form.Form;
import abbex.app.kit.KitField;
import abbex.app.page.Words;
import abbex.core.vehicle.End;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The bench as a form shows it, every text ready: some two hundred fields are too many to be worked out on the page. */
public record BenchView(List<OfEnd> ends) {
    /** An end with what lies on its bench. */
    public record OfEnd(String code, String name, List<Group> groups) {}

    /**
     * Lines that belong together.
     *
     * @param open true for what is filled in most, and where something is to be said
     * @param both true where the old part and the new one stand beside each other
     */
    public record Group(String name, boolean open, boolean both, List<Line> lines) {}

    /** A line: the old part's field and the new one's; null where there is no such part. */
    public record Line(String what, List<@Nullable Cell> cells) {}

    /**
     * A field.
     *
     * @param invalid true for a browser, or null
     * @param described the id of what is said under it, or null
     */
    public record Cell(
            String name,
            String label,
            String value,
            String like,
            boolean check,
            @Nullable String invalid,
            @Nullable String described) {}

    private static final List<String> GROUPS = List.of(
            "box",
            "spring",
            "second",
            "damper",
            "coilover",
            "seat",
            "link",
            "leaf",
            "flip",
            "driveline",
            "bags",
            "other",
            "machine",
            "lean",
            "vehicle");

    /** What most have in hand. */
    private static final List<String> OPEN = List.of("box", "spring", "leaf", "link");

    static BenchView of(VehicleFacts vehicle, Form form, Map<String, String> values, Words words) {
        List<OfEnd> ends = new ArrayList<>();
        for (End end : End.values()) {
            String name = words.say(end == End.FRONT ? "plan.front" : "plan.rear");
            ends.add(new OfEnd(
                    end.name(),
                    name,
                    GROUPS.stream()
                            .map(g -> group(g, vehicle, end, name, form, values, words))
                            .filter(g -> !g.lines().isEmpty())
                            .toList()));
        }
        return new BenchView(ends);
    }

    private static Group group(
            String group,
            VehicleFacts vehicle,
            End end,
            String name,
            Form form,
            Map<String, String> values,
            Words words) {
        List<Line> lines = new ArrayList<>();
        boolean both = false;
        for (BenchRow row : BenchRow.ALL) {
            if (row.group().equals(group) && row.of(vehicle, end)) {
                String what = words.say("bench." + row.key());
                both |= row.old() != null && row.fresh() != null;
                lines.add(new Line(
                        what,
                        Arrays.asList(
                                cell(
                                        row.old(),
                                        end,
                                        what + ", " + words.say("bench.old") + ", " + name,
                                        form,
                                        values,
                                        words),
                                cell(
                                        row.fresh(),
                                        end,
                                        what + ", " + words.say("bench.new") + ", " + name,
                                        form,
                                        values,
                                        words))));
            }
        }
        boolean speaks =
                lines.stream().flatMap(line -> line.cells().stream()).anyMatch(c -> c != null && c.described() != null);
        return new Group(words.say("bench.group." + group), OPEN.contains(group) || speaks, both, lines);
    }

    private static @Nullable Cell cell(
            @Nullable KitField field, End end, String label, Form form, Map<String, String> values, Words words) {
        if (field == null) {
            return null;
        }
        String name = end.name() + "_" + field.name();
        boolean check = field.kind() == KitField.Kind.YES;
        String like = check
                ? ""
                : words.say("like." + field.kind() + (form.reader().unit().metric() ? ".mm" : ""));
        return new Cell(
                name,
                label,
                form.text(name, values.getOrDefault(name, "")),
                like,
                check,
                form.invalid(name),
                form.speaks(name) ? name + "-bad" : null);
    }
}
