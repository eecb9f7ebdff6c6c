package abbex.app.plan;

import abbex.app.arrive.Job;
import abbex.app.form.Form;
import abbex.app.kit.KitValues;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.store.Reads;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;

/** The two large parts of the page, ready while nothing is written of the vehicle: they are looked at far more often. */
@Component
class PlanFragments {
    private final Planner planner;
    private final Words words;
    private final Reads reads;
    private final SpringTemplateEngine templates;

    PlanFragments(Planner planner, Words words, Reads reads, SpringTemplateEngine templates) {
        this.planner = planner;
        this.words = words;
        this.reads = reads;
        this.templates = templates;
    }

    /** What comes of a kit as it is kept. */
    String answer(Job job, KitValues values, Reader reader) {
        return ready(
                "answer",
                job,
                values,
                reader,
                () -> process("answer", Map.of("view", planner.of(job, values, reader), "wrong", "")));
    }

    /** The bench's fields as they stand, or as they came back. */
    String bench(Job job, KitValues values, Map<String, String> texts, Form form) {
        Supplier<String> fields = () -> process(
                "benches", Map.of("bench", BenchView.of(job.vehicle(), form, values, texts, words), "form", form));
        return form.texts().isEmpty() ? ready("benches", job, values, form.reader(), fields) : fields.get();
    }

    private String ready(String part, Job job, KitValues values, Reader reader, Supplier<String> make) {
        return reads.ofVehicle(
                job.shop(),
                job.vehicle().id(),
                List.of(PlanFragments.class, part, job.shop(), job.id(), values, reader),
                make);
    }

    private String process(String part, Map<String, Object> known) {
        return templates.process("plan", Set.of(part), new Context(Locale.ENGLISH, known));
    }
}
