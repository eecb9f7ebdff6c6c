package abbex.app.set;

import abbex.app.arrive.StayValues;
import abbex.app.form.Form;
import abbex.app.kit.KitField;
import abbex.app.kit.KitPlans;
import abbex.app.kit.KitValues;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.core.heights.Method;
import abbex.core.kit.PlannedHeight;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** What the fields of an end hold while nobody told anything of it: what the plan says. Nothing of it counts before it is saved. */
record SetUsual(StayValues.Told told, KitValues kit, Optional<Method> method, KitPlans.Planned plan, Reader reader) {
    /** A field that the right side may have otherwise, the key of its label and the part of the form that it belongs to. */
    public record Side(String field, String label, String of) {}

    private static final Map<String, String> PARTS =
            Map.of("wanted", "of-side", "up", "of-thread", "down", "of-thread", "there", "of-stack", "air", "of-bag");

    public List<Side> sides(End end) {
        return SetForm.SIDES.stream()
                .map(name -> new Side(SetForm.right(name, end), "set.right." + name, PARTS.getOrDefault(name, "")))
                .toList();
    }

    public boolean sidesDiffer(End end, Form form) {
        return SetForm.SIDES.stream()
                .map(name -> SetForm.right(name, end))
                .anyMatch(field -> !form.text(field, told.text(field)).isEmpty());
    }

    private boolean untold(End end) {
        return told.text(SetForm.field("kind", end)).isEmpty();
    }

    /** Something of it is the plan's. */
    public boolean filled(End end) {
        return untold(end) && kind(end) != SetForm.Kind.NONE;
    }

    public String text(String name, End end) {
        return untold(end) ? planned(name, end) : told.text(SetForm.field(name, end));
    }

    private String planned(String name, End end) {
        SetForm.Kind kind = kind(end);
        return switch (name) {
            case "kind" -> kind.name();
            case "pitch" -> kit.raw(end, kind == SetForm.Kind.BOLT ? KitField.JACK_PITCH : KitField.PITCH);
            case "ratio" -> kind == SetForm.Kind.NONE ? "" : kit.raw(end, KitField.RATIO);
            case "sizes" -> kit.raw(end, KitField.SIZES);
            case "air" -> kit.raw(end, KitField.BAG_PRESSURE);
            case "wanted" -> kind == SetForm.Kind.NONE ? "" : settled(end);
            default -> "";
        };
    }

    /** What is counted with while nobody entered another. */
    public String ratio(End end) {
        return Numerals.typed(
                String.format(Locale.ROOT, "%.2f", plan.now().get(end).ratio().value()));
    }

    private SetForm.Kind kind(End end) {
        if (!kit.raw(end, KitField.PITCH).isEmpty()) {
            return SetForm.Kind.THREAD;
        }
        if (!kit.raw(end, KitField.JACK_PITCH).isEmpty()) {
            return SetForm.Kind.BOLT;
        }
        if (!kit.raw(end, KitField.SIZES).isEmpty()) {
            return SetForm.Kind.STACK;
        }
        return kit.raw(end, KitField.BAG_PRESSURE).isEmpty() ? SetForm.Kind.NONE : SetForm.Kind.BAG;
    }

    /** Where the plan has the end when it is set down, the mean of its sides, as the tape shows it. */
    private String settled(End end) {
        OptionalDouble mean = plan.heights().stream()
                .filter(height -> method.isPresent() && at(height, end))
                .mapToDouble(height -> height.setDown().value())
                .average();
        return mean.isEmpty() ? "" : Numerals.text(Length.ofRoundedMm(mean.getAsDouble()), reader);
    }

    private boolean at(PlannedHeight height, End end) {
        return height.spot().place() instanceof Corner corner
                && corner.end() == end
                && height.spot().way() == method.orElseThrow();
    }
}
