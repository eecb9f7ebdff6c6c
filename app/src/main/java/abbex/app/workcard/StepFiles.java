package abbex.app.workcard;

import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.VehicleKind;
import abbex.core.workcard.Book;
import abbex.core.workcard.Chapter;
import abbex.core.workcard.Step;
import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ClassPathResource;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Step knowledge as files: read, held against its schema and against itself, and refused by file, step and field. */
public final class StepFiles {
    /** What ships, in the order in which a card lists what may be done next. */
    static final List<String> SHIPPED = List.of(
            "everywhere",
            "strut",
            "double-wishbone",
            "multi-link",
            "twist-beam",
            "solid-axle-coil",
            "solid-axle-leaf",
            "other",
            "motorcycle",
            "brakes",
            "steering",
            "uprights",
            "arms",
            "subframe",
            "sway-bar",
            "alignment");

    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();
    private static final Pattern STEP = Pattern.compile("/steps/(\\d+)(?:/(\\w+))?.*");
    private static final Schema SCHEMA = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
            .getSchema(text("openapi/steps.schema.json"));

    private StepFiles() {}

    /** Files that do not fit: what is wrong, each with its file, step and field. */
    public static final class Unfit extends IllegalArgumentException {
        private static final long serialVersionUID = 1;
        private final List<Book.Fault> faults;

        Unfit(List<Book.Fault> faults) {
            super(faults.stream()
                    .map(Book.Fault::toString)
                    .reduce((a, b) -> a + "; " + b)
                    .orElse(""));
            this.faults = List.copyOf(faults);
        }

        public List<Book.Fault> faults() {
            return faults;
        }
    }

    /** What ships with the application. */
    static List<Chapter> shipped() {
        List<Chapter> book = new ArrayList<>();
        for (String name : SHIPPED) {
            book.add(read(name, text("steps/" + name + ".json")));
        }
        List<Book.Fault> faults = Book.check(book);
        if (!faults.isEmpty()) {
            throw new Unfit(faults);
        }
        return List.copyOf(book);
    }

    /**
     * A file's steps.
     *
     * @throws Unfit where it is no such file
     */
    static Chapter read(String name, String text) {
        List<Book.Fault> faults = new ArrayList<>();
        List<Error> errors;
        try {
            errors = SCHEMA.validate(text, InputFormat.JSON);
        } catch (RuntimeException broken) {
            throw new Unfit(List.of(new Book.Fault(name, "none", "file", "no JSON: " + broken.getMessage())));
        }
        for (Error error : errors) {
            faults.add(fault(name, text, error));
        }
        if (!faults.isEmpty()) {
            throw new Unfit(faults);
        }
        File file = JSON.readValue(text, File.class);
        return new Chapter(
                name,
                file.of().architectures().isEmpty()
                        ? Set.of()
                        : EnumSet.copyOf(file.of().architectures()),
                file.of().kinds().isEmpty()
                        ? Set.of()
                        : EnumSet.copyOf(file.of().kinds()),
                file.steps().stream().map(Raw::step).toList());
    }

    private static Book.Fault fault(String name, String text, Error error) {
        String where = error.getInstanceLocation().toString();
        Matcher at = STEP.matcher(where);
        if (!at.matches()) {
            return new Book.Fault(name, "none", where.isEmpty() ? "file" : where.substring(1), error.getMessage());
        }
        String id = JSON.readTree(text)
                .path("steps")
                .path(Integer.parseInt(at.group(1)))
                .path("id")
                .asString("number " + at.group(1));
        String field =
                at.group(2) == null ? Optional.ofNullable(error.getProperty()).orElse("step") : at.group(2);
        return new Book.Fault(name, id, field, error.getMessage());
    }

    static String text(String path) {
        try (InputStream in = new ClassPathResource(path).getInputStream()) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException none) {
            throw new IllegalStateException(path + " is not there", none);
        }
    }

    private record For(List<Architecture> architectures, List<VehicleKind> kinds) {}

    private record File(
            String format,
            int version,

            @com.fasterxml.jackson.annotation.JsonProperty("for")
            For of,

            List<Raw> steps) {}

    private record Access(String what, int clips, int screws) {}

    private record Capture(
            String id,
            String what,
            Step.Capture.Kind kind,
            @Nullable String usual,
            @Nullable Boolean places) {}

    private record Trap(String step, String what) {}

    private record Fastener(
            String id,
            String name,
            String thread,
            @Nullable Boolean once,
            @Nullable Boolean locker) {
        private Step.Fastener of() {
            return new Step.Fastener(id, name, thread, Boolean.TRUE.equals(once), Boolean.TRUE.equals(locker));
        }
    }

    private record Raw(
            String id,
            String title,
            String why,
            Step.Span span,
            Step.Footing footing,
            int minutes,
            @Nullable Integer hands,
            @Nullable Access access,
            @Nullable List<String> tools,
            @Nullable List<String> holds,
            @Nullable List<String> cautions,
            @Nullable List<Capture> captures,
            @Nullable List<Fastener> fasteners,
            @Nullable List<String> off,
            @Nullable List<String> on,
            @Nullable List<String> after,
            @Nullable List<String> when,
            Step.@Nullable Role role,
            @Nullable List<String> before,
            @Nullable List<Trap> traps,
            @Nullable List<String> locks,
            @Nullable List<String> checks) {
        private Step step() {
            return new Step(
                    id,
                    title,
                    why,
                    span,
                    footing,
                    minutes,
                    hands == null ? 1 : hands,
                    access == null ? Step.Access.NONE : new Step.Access(access.what(), access.clips(), access.screws()),
                    or(tools),
                    or(holds),
                    or(cautions),
                    or(captures).stream()
                            .map(c -> new Step.Capture(
                                    c.id(),
                                    c.what(),
                                    c.kind(),
                                    c.usual() == null ? "" : c.usual(),
                                    Boolean.TRUE.equals(c.places())))
                            .toList(),
                    or(fasteners).stream().map(Fastener::of).toList(),
                    or(off),
                    or(on),
                    or(after),
                    or(when),
                    Optional.ofNullable(role),
                    or(before),
                    or(traps).stream()
                            .map(t -> new Step.Trap(t.step(), t.what()))
                            .toList(),
                    or(locks),
                    or(checks));
        }

        private static <T> List<T> or(@Nullable List<T> list) {
            return list == null ? List.of() : list;
        }
    }
}
