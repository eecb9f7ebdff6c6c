package abbex.core.workcard;

import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.VehicleKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What is wrong with step knowledge, found before anybody works by it. */
public final class Book {
    private Book() {}

    /** A fault: in which file, at which step and field, what it is and what would be right. */
    public record Fault(String file, String step, String field, String what) {
        @Override
        public String toString() {
            return file + ", step " + step + ", " + field + ": " + what;
        }
    }

    /** Empty where all of it fits together. */
    public static List<Fault> check(List<Chapter> book) {
        List<Fault> faults = new ArrayList<>();
        Map<String, String> known = new HashMap<>();
        for (Chapter chapter : book) {
            for (Step step : chapter.steps()) {
                String other = known.put(step.id(), chapter.name());
                if (other != null) {
                    faults.add(new Fault(chapter.name(), step.id(), "id", "used in " + other + " already"));
                }
            }
        }
        for (Chapter chapter : book) {
            for (Step step : chapter.steps()) {
                step(chapter, step, known.keySet(), faults);
            }
        }
        if (faults.isEmpty()) {
            rings(book, faults);
        }
        return faults;
    }

    private static void step(Chapter chapter, Step step, Set<String> known, List<Fault> faults) {
        arrows(chapter, step, "after", step.after(), known, faults);
        arrows(chapter, step, "before", step.before(), known, faults);
        arrows(
                chapter,
                step,
                "traps",
                step.traps().stream().map(Step.Trap::step).toList(),
                known,
                faults);
        boolean moves = step.role().filter(Step.Role::turns).isPresent();
        boolean spring = step.off().contains("spring") || step.on().contains("spring");
        if ((moves || spring) && step.allHolds().isEmpty()) {
            faults.add(new Fault(
                    chapter.name(),
                    step.id(),
                    "holds",
                    "one at least, where the vehicle is moved or a spring is in hand"));
        }
        Set<String> fasteners = new HashSet<>();
        for (Step.Fastener fastener : step.fasteners()) {
            if (!fasteners.add(fastener.id())) {
                faults.add(new Fault(chapter.name(), step.id(), "fasteners", "two are called " + fastener.id()));
            }
        }
    }

    private static void arrows(
            Chapter chapter, Step step, String field, List<String> to, Set<String> known, List<Fault> faults) {
        for (String id : to) {
            if (!known.contains(id)) {
                faults.add(new Fault(chapter.name(), step.id(), field, "no step is called " + id));
            }
        }
    }

    /** With everything that the steps ask for, so that every arrow is drawn. */
    private static void rings(List<Chapter> book, List<Fault> faults) {
        Set<String> everything = new HashSet<>(Set.of(Wanted.KIT));
        book.forEach(chapter -> chapter.steps().forEach(step -> step.asks().forEach(everything::add)));
        for (VehicleKind kind : VehicleKind.values()) {
            for (Architecture architecture : Architecture.values()) {
                try {
                    Card.of(
                            without(book),
                            new Wanted(kind, PerEnd.of(end -> architecture), PerEnd.of(end -> everything), everything));
                } catch (Card.Ring ring) {
                    faults.add(new Fault(
                            architecture.name(),
                            ring.keys().get(0),
                            "after",
                            "steps wait for each other: " + String.join(", ", ring.keys())));
                }
            }
        }
    }

    /** Every step whatever it is for: conditions only take steps away, and with them arrows. */
    private static List<Chapter> without(List<Chapter> book) {
        return book.stream()
                .map(c -> new Chapter(
                        c.name(),
                        c.architectures(),
                        c.kinds(),
                        c.steps().stream().map(Step::always).toList()))
                .toList();
    }
}
