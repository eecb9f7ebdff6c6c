package abbex.app.workcard;

import abbex.app.form.Form;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.VehicleKind;
import abbex.core.workcard.Book;
import abbex.core.workcard.Step;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A step of the shop's own as a form: what the form does not know of its file stays as it is. */
final class StepForm {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final int LINE = 160;
    private static final int LINES = 1200;

    /** Fields that are lines of text, each an entry of the file. */
    static final List<String> LISTS = List.of("tools", "holds", "checks", "cautions", "locks");

    private StepForm() {}

    /** An id from a title; those of a shop's own begin alike, so that none is taken that ships. */
    static String id(String title) {
        String plain =
                title.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-").replaceAll("(^-|-$)", "");
        String id = "own-" + plain;
        return id.substring(0, Math.min(40, id.length())).replaceAll("-$", "");
    }

    /** What stands in each field for a file. */
    static Map<String, String> texts(JsonNode file) {
        JsonNode step = file.path("steps").path(0);
        Map<String, String> texts = new LinkedHashMap<>();
        for (String field : List.of("title", "why", "span", "footing")) {
            texts.put(field, step.path(field).asString(""));
        }
        texts.put("minutes", step.path("minutes").asString(""));
        texts.put("hands", step.path("hands").asString("1"));
        LISTS.forEach(field -> texts.put(field, lines(step.path(field))));
        texts.put(
                "writes",
                step.path("captures")
                        .valueStream()
                        .map(c -> c.path("what").asString(""))
                        .collect(Collectors.joining("\n")));
        texts.put("after", step.path("after").path(0).asString(""));
        texts.put("before", step.path("before").path(0).asString(""));
        JsonNode bolt = step.path("fasteners").path(0);
        texts.put("bolt", bolt.path("name").asString(""));
        texts.put("thread", bolt.path("thread").asString(""));
        texts.put("architecture", file.path("for").path("architectures").path(0).asString(""));
        texts.put("kind", file.path("for").path("kinds").path(0).asString(""));
        return texts;
    }

    private static String lines(JsonNode list) {
        return list.valueStream().map(JsonNode::asString).collect(Collectors.joining("\n"));
    }

    /** The file with what the form says. */
    static ObjectNode file(ObjectNode file, String id, Form form) {
        file.put("format", "abbex-steps");
        file.put("version", 1);
        ObjectNode of = file.withObject("for");
        only(of, "architectures", form.text("architecture"), Architecture.values());
        only(of, "kinds", form.text("kind"), VehicleKind.values());
        ArrayNode steps = file.withArray("steps");
        ObjectNode step = steps.isEmpty() ? steps.addObject() : (ObjectNode) steps.get(0);
        step.put("id", id);
        step.put("title", form.line("title", LINE));
        step.put("why", form.line("why", LINE));
        step.put(
                "span",
                form.choice("span", Step.Span.values(), Step.Span.CORNER).name());
        step.put(
                "footing",
                form.choice("footing", Step.Footing.values(), Step.Footing.HANGING)
                        .name());
        form.number("minutes", 1, 480).ifPresent(minutes -> step.put("minutes", (int) minutes));
        step.put("hands", form.text("hands").equals("2") ? 2 : 1);
        LISTS.forEach(field -> list(step, field, form.lines(field, LINES)));
        arrow(step, "after", form.text("after"));
        arrow(step, "before", form.text("before"));
        writes(step, form.lines("writes", LINES));
        bolt(step, id, form);
        return file;
    }

    private static void only(ObjectNode of, String field, String text, Enum<?>[] all) {
        ArrayNode list = of.putArray(field);
        Stream.of(all).filter(one -> one.name().equals(text)).forEach(one -> list.add(one.name()));
    }

    private static void list(ObjectNode step, String field, String lines) {
        step.remove(field);
        Arrays.stream(lines.split("\\R"))
                .map(String::strip)
                .filter(line -> !line.isEmpty())
                .forEach(line -> step.withArray(field).add(line));
    }

    /** One that stands first already keeps those after it. */
    private static void arrow(ObjectNode step, String field, String id) {
        if (id.equals(step.path(field).path(0).asString(""))) {
            return;
        }
        step.remove(field);
        if (!id.isEmpty()) {
            step.putArray(field).add(id);
        }
    }

    /** What is written down: a line that was there keeps its kind and what is usual of it. */
    private static void writes(ObjectNode step, String lines) {
        JsonNode had = step.path("captures").deepCopy();
        step.remove("captures");
        int number = 1;
        for (String line : lines.split("\\R")) {
            String what = line.strip();
            if (what.isEmpty()) {
                continue;
            }
            JsonNode before = had.valueStream()
                    .filter(c -> c.path("what").asString("").equals(what))
                    .findFirst()
                    .orElse(JSON.createObjectNode());
            ObjectNode capture = step.withArray("captures").addObject();
            capture.setAll((ObjectNode) before);
            capture.put("id", before.path("id").asString("note-" + number));
            capture.put("what", what);
            capture.put("kind", before.path("kind").asString(Step.Capture.Kind.TEXT.name()));
            number++;
        }
    }

    private static void bolt(ObjectNode step, String id, Form form) {
        String name = form.line("bolt", LINE);
        ArrayNode all = step.withArray("fasteners");
        if (name.isEmpty()) {
            step.remove("fasteners");
            return;
        }
        ObjectNode bolt = all.isEmpty() ? all.addObject().put("id", id) : (ObjectNode) all.get(0);
        bolt.put("name", name);
        bolt.put("thread", form.line("thread", 20));
    }

    /** A fault is told at the field that it is about, or at the title. */
    static void tell(Form form, List<Book.Fault> faults) {
        for (Book.Fault fault : faults) {
            String field = fault.field().equals("captures")
                    ? "writes"
                    : fault.field().equals("fasteners") ? "bolt" : fault.field();
            boolean known = LISTS.contains(field)
                    || List.of("title", "why", "minutes", "after", "before", "writes", "bolt")
                            .contains(field);
            form.problem(known ? field : "title", "problem.step", "field", fault.field(), "what", fault.what());
        }
    }
}
