package abbex.app.handover;

import abbex.app.arrive.Job;
import abbex.app.arrive.StayValues;
import abbex.app.facts.Fact;
import abbex.app.form.Form;
import abbex.app.page.Numerals;
import abbex.app.page.Words;
import abbex.app.store.TextColumn;
import abbex.core.units.Length;
import abbex.core.units.TapeText;
import abbex.core.vehicle.VehicleKind;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** The settings as they were left: by which whoever comes next finds them again. */
@Service
class AsLeft {
    static final List<String> THREADS = List.of("threadLF", "threadRF", "threadRR", "threadLR");
    static final List<String> ENDS = List.of("threadFRONT", "threadREAR");
    static final List<String> CLICKS = List.of("clicksFRONT", "clicksREAR");
    static final String SPARES = "spares";
    static final String STAYS = "stays";
    private static final Length LONGEST_THREAD = Length.ofMm(400);
    private static final int LONGEST_CLICKS = 60;
    private static final int LONGEST = 300;

    private final StayValues values;
    private final Words words;

    AsLeft(StayValues values, Words words) {
        this.values = values;
        this.words = words;
    }

    /** A setting; its text is safe for a page. */
    public record Line(String name, String text) {}

    static List<String> threads(VehicleKind kind) {
        return kind.singleTrack() ? ENDS : THREADS;
    }

    static List<String> all(VehicleKind kind) {
        List<String> all = new ArrayList<>(threads(kind));
        all.addAll(CLICKS);
        all.add(SPARES);
        all.add(STAYS);
        return all;
    }

    StayValues.Told told(Job job) {
        return values.told(job, StayValues.Station.LEFT);
    }

    /** Reads what was typed; the texts as they are kept, problems at their fields. */
    static Map<String, String> read(Form form, VehicleKind kind) {
        Map<String, String> kept = new LinkedHashMap<>();
        for (String field : threads(kind)) {
            kept.put(
                    field,
                    form.length(field, TapeText.Allowed.POSITIVE, LONGEST_THREAD)
                            .map(form::raw)
                            .orElse(""));
        }
        CLICKS.forEach(field -> kept.put(field, form.line(field, LONGEST_CLICKS)));
        kept.put(SPARES, form.line(SPARES, LONGEST));
        kept.put(STAYS, form.line(STAYS, LONGEST));
        return kept;
    }

    /** What was entered, in order. */
    List<Line> lines(Job job) {
        StayValues.Told told = told(job);
        return all(job.vehicle().kind()).stream()
                .filter(field -> !told.text(field).isEmpty())
                .map(field -> new Line(words.say("left." + field), Numerals.html(Numerals.typed(told.text(field)))))
                .toList();
    }

    List<Fact> facts(Job job) {
        StayValues.Told told = told(job);
        return all(job.vehicle().kind()).stream()
                .filter(field -> !told.text(field).isEmpty())
                .map(field -> Fact.of(Fact.Kind.LEFT, List.of(field), Fact.line(told.text(field))))
                .toList();
    }

    /** What is written of it in somebody's own words. */
    @Configuration
    static class Texts {
        @Bean
        TextColumn leftTexts(JdbcClient jdbc) {
            return StayValues.texts(jdbc, "left", StayValues.Station.LEFT);
        }
    }
}
