package abbex.app.workcard;

import abbex.app.arrive.Jobs;
import abbex.app.form.Form;
import abbex.app.page.Me;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.VehicleKind;
import abbex.core.workcard.Book;
import abbex.core.workcard.Chapter;
import abbex.core.workcard.Step;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The lead's page of the shop's own steps: added, changed, ordered, taken away, as a form or as a file. */
@Controller
class StepsController {
    private static final JsonMapper JSON = JsonMapper.shared();
    private static final int MOST_BYTES = 500_000;
    private static final String TO = "redirect:/rules/steps";

    private final OwnSteps own;
    private final Books books;
    private final Words words;
    private final StepTimes times;
    private final Jobs jobs;

    StepsController(OwnSteps own, Books books, Words words, StepTimes times, Jobs jobs) {
        this.times = times;
        this.jobs = jobs;
        this.own = own;
        this.books = books;
        this.words = words;
    }

    /** A step of the shop's own in the list. */
    public record OwnRow(String id, String title, String where, String after, String before, int minutes) {}

    /** A step to come after or before. */
    public record Choice(String id, String title) {}

    @GetMapping("/rules/steps")
    ModelAndView steps(@Me Person me, @RequestParam(defaultValue = "") String step) {
        Map<String, String> files = own.of(me.shop());
        return page(me, Form.blank(me, words), files.containsKey(step) ? step : "");
    }

    private ModelAndView page(Person me, Form form, String step) {
        List<Chapter> book = books.today(me.shop());
        Map<String, String> files = own.of(me.shop());
        ModelAndView page = form.on(new ModelAndView("steps"));
        page.addObject("rows", files.values().stream().map(this::row).toList());
        page.addObject("step", step);
        page.addObject(
                "standing",
                StepForm.texts(files.containsKey(step) ? JSON.readTree(files.get(step)) : JSON.createObjectNode()));
        page.addObject("edition", own.edition(me.shop(), step));
        page.addObject("client", UUID.randomUUID().toString());
        page.addObject("worked", worked(me, book));
        page.addObject("asides", asides(me, book));
        page.addObject(
                "choices",
                book.stream()
                        .flatMap(chapter -> chapter.steps().stream())
                        .filter(s -> s.role()
                                .filter(r -> r == Step.Role.RAISE || r == Step.Role.LOWER)
                                .isEmpty())
                        .filter(s -> !s.id().equals(step))
                        .map(s -> new Choice(s.id(), s.title()))
                        .toList());
        page.addObject(
                "architectures",
                Stream.of(Architecture.values()).map(Enum::name).toList());
        page.addObject("kinds", Stream.of(VehicleKind.values()).map(Enum::name).toList());
        return page;
    }

    /** A step as the shop works it, in minutes. */
    public record Worked(String title, String kind, int count, long mean, long shipped, long expected) {}

    private List<Worked> worked(Person me, List<Chapter> book) {
        Map<String, Step> steps = byId(book);
        return times.seen(me.shop()).stream()
                .flatMap(seen -> Optional.ofNullable(steps.get(seen.step())).stream()
                        .map(step -> new Worked(
                                step.title(),
                                words.say("kind." + seen.kind()),
                                seen.time().count(),
                                Math.round(seen.time().sum() / seen.time().count()),
                                step.minutes(),
                                Math.round(seen.time().minutes(step.minutes())))))
                .toList();
    }

    /** What was set aside. */
    public record SetAside(String title, String plate, UUID job, String took, String by) {}

    private List<SetAside> asides(Person me, List<Chapter> book) {
        Map<String, String> titles = new HashMap<>();
        byId(book).forEach((id, step) -> titles.put(id, step.title()));
        return times.aside(me.shop()).stream()
                .filter(aside -> titles.containsKey(aside.step()))
                .flatMap(aside -> jobs.find(me.shop(), aside.job()).stream()
                        .map(job -> new SetAside(
                                titles.getOrDefault(aside.step(), ""),
                                job.vehicle().plate(),
                                aside.job(),
                                String.format(Locale.ROOT, "%.0f", aside.minutes()),
                                aside.initials())))
                .toList();
    }

    private static Map<String, Step> byId(List<Chapter> book) {
        Map<String, Step> steps = new HashMap<>();
        book.forEach(chapter -> chapter.steps().forEach(step -> steps.put(step.id(), step)));
        return steps;
    }

    private OwnRow row(String file) {
        JsonNode json = JSON.readTree(file);
        JsonNode step = json.path("steps").path(0);
        String architecture = json.path("for").path("architectures").path(0).asString("");
        return new OwnRow(
                step.path("id").asString(""),
                step.path("title").asString(""),
                architecture.isEmpty() ? "" : words.say("architecture." + architecture),
                step.path("after").path(0).asString(""),
                step.path("before").path(0).asString(""),
                step.path("minutes").asInt(0));
    }

    /** Adds a step or changes one; what does not fit into the order is told by the steps that would wait for each other. */
    @PostMapping("/rules/steps")
    ModelAndView save(@Me Person me, @RequestParam Map<String, String> typed) {
        Form form = new Form(me, words, typed);
        Map<String, String> files = own.of(me.shop());
        String id = files.containsKey(form.text("step")) ? form.text("step") : StepForm.id(form.text("title"));
        String had = files.getOrDefault(id, "");
        boolean fresh = !id.equals(form.text("step"));
        if (fresh && !had.isEmpty()) {
            form.problem("title", "problem.step.twice");
        }
        ObjectNode before = had.isEmpty() ? JSON.createObjectNode() : (ObjectNode) JSON.readTree(had);
        Map<String, String> standing = StepForm.texts(before);
        String body = StepForm.file(before, id, form).toString();
        long edition = own.edition(me.shop(), id);
        boolean stale = !fresh && form.edition().filter(e -> e != edition).isPresent();
        if (form.fits()) {
            StepForm.tell(form, faults(me.shop(), id, body));
        }
        if (!form.fits() || stale && form.meanwhile((int) edition, standing)) {
            return page(me, form, fresh ? "" : id);
        }
        own.put(me, client(form), id, body);
        return new ModelAndView(TO + "?kept=" + id);
    }

    private static UUID client(Form form) {
        return form.text("client").matches("[0-9a-f-]{36}") ? UUID.fromString(form.text("client")) : UUID.randomUUID();
    }

    /** What would be wrong with all steps, with one of them as it is to be. */
    private List<Book.Fault> faults(UUID shop, String id, String body) {
        List<Chapter> book = new ArrayList<>(books.shipped());
        try {
            for (String file : own.with(shop, id, body)) {
                book.add(StepFiles.read("own-" + book.size(), file));
            }
        } catch (StepFiles.Unfit unfit) {
            return unfit.faults();
        }
        return Book.check(book);
    }

    @PostMapping("/rules/steps/take-back")
    ModelAndView takeBack(@Me Person me, @RequestParam Map<String, String> typed) {
        Form form = new Form(me, words, typed);
        String step = form.text("step");
        if (!own.of(me.shop()).containsKey(step)) {
            return new ModelAndView(TO);
        }
        List<Book.Fault> faults = faults(me.shop(), step, "");
        if (!faults.isEmpty()) {
            form.problem("title", "problem.step.needed", "title", faults.get(0).step());
            return page(me, form, "");
        }
        own.put(me, client(form), step, "");
        return new ModelAndView(TO);
    }

    /** All of the shop's own in one file for each, as a list. */
    @GetMapping("/rules/steps/file")
    ResponseEntity<String> file(@Me Person me) {
        String all = "[" + String.join(",\n", own.of(me.shop()).values()) + "]\n";
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"steps.json\"")
                .body(all);
    }

    /** Steps from a file: one of the format, or a list of such as this page writes it. Taken whole or not at all. */
    @PostMapping("/rules/steps/file")
    ModelAndView file(
            @Me Person me,
            @RequestParam Map<String, String> typed,
            @RequestParam(required = false) @Nullable MultipartFile file)
            throws IOException {
        Form form = new Form(me, words, typed);
        Optional<List<ObjectNode>> files =
                file == null || file.getSize() > MOST_BYTES ? Optional.empty() : split(file.getBytes());
        if (files.isEmpty()) {
            form.problem("file", "problem.step.file");
            return page(me, form, "");
        }
        List<Book.Fault> faults = together(me.shop(), files.get());
        if (!faults.isEmpty()) {
            form.problem("file", "problem.step.fault", "fault", faults.get(0).toString());
            return page(me, form, "");
        }
        Map<String, String> bodies = new LinkedHashMap<>();
        files.get().forEach(one -> bodies.put(id(one), one.toString()));
        own.put(me, bodies);
        return new ModelAndView(TO);
    }

    private static String id(ObjectNode file) {
        return file.path("steps").path(0).path("id").asString("");
    }

    /** A file for each step; empty for what is no such file. */
    private static Optional<List<ObjectNode>> split(byte[] bytes) {
        try {
            JsonNode all = JSON.readTree(new String(bytes, StandardCharsets.UTF_8));
            List<ObjectNode> files = new ArrayList<>();
            for (JsonNode one : all.isArray() ? all : JSON.createArrayNode().add(all)) {
                for (JsonNode step : one.path("steps")) {
                    ObjectNode file = (ObjectNode) one.deepCopy();
                    file.putArray("steps").add(step);
                    files.add(file);
                }
            }
            return files.isEmpty() ? Optional.empty() : Optional.of(files);
        } catch (JacksonException | ClassCastException none) {
            return Optional.empty();
        }
    }

    private List<Book.Fault> together(UUID shop, List<ObjectNode> files) {
        Map<String, String> all = own.of(shop);
        files.forEach(file -> all.put(id(file), file.toString()));
        List<Chapter> book = new ArrayList<>(books.shipped());
        try {
            all.forEach((id, file) -> book.add(StepFiles.read(id, file)));
        } catch (StepFiles.Unfit unfit) {
            return unfit.faults();
        }
        return Book.check(book);
    }
}
