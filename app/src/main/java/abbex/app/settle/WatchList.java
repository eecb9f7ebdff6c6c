package abbex.app.settle;

import abbex.app.arrive.Job;
import abbex.app.arrive.Jobs;
import abbex.app.people.Person;
import abbex.app.store.TextColumn;
import abbex.app.store.Times;
import abbex.core.settling.Watch;
import java.time.Clock;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How each thing that was to be watched was found when the vehicle was back. */
@Service
public class WatchList {
    private static final String ANSWERS = """
            select w.seq, w.item, w.answer, w.note from watch_answer w
             where w.shop_id = :shop and w.job_id = :job and w.sheet_id = :sheet order by w.seq
            """;

    private static final String ANSWER = """
            insert into watch_answer (shop_id, job_id, sheet_id, item, answer, note, person_id, made_at)
            values (:shop, :job, :sheet, :item, :answer, :note, :person, :at)
            """;

    private final JdbcClient jdbc;
    private final Jobs jobs;
    private final Clock clock;

    WatchList(JdbcClient jdbc, Jobs jobs, Clock clock) {
        this.jdbc = jdbc;
        this.jobs = jobs;
        this.clock = clock;
    }

    /** How it was found, and what is to be said of it. */
    public record Given(Watch.Answer answer, String note) {}

    /**
     * All that was answered on a sheet.
     *
     * @param edition grows with each answer
     */
    public record Answered(Map<String, Given> items, long edition) {
        public Optional<Given> of(String item) {
            return Optional.ofNullable(items.get(item));
        }
    }

    public Answered of(Job job, UUID sheet) {
        Map<String, Given> items = new HashMap<>();
        long[] edition = {0};
        jdbc.sql(ANSWERS)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .param("sheet", sheet.toString())
                .query(row -> {
                    items.put(
                            row.getString("item"),
                            new Given(Watch.Answer.valueOf(row.getString("answer")), row.getString("note")));
                    edition[0] = row.getLong("seq");
                });
        return new Answered(items, edition[0]);
    }

    /** Keeps what differs; false, and nothing kept, when somebody else answered since the page was made. */
    @Transactional
    public boolean answer(Person by, Job job, UUID sheet, Map<String, Given> given, Optional<Integer> from) {
        jobs.hold(job);
        Answered standing = of(job, sheet);
        if (from.isPresent() && from.get() != standing.edition()) {
            return false;
        }
        given.forEach((item, answer) -> {
            if (!standing.of(item).filter(answer::equals).isPresent()) {
                jdbc.sql(ANSWER)
                        .param("shop", job.shop().toString())
                        .param("job", job.id().toString())
                        .param("sheet", sheet.toString())
                        .param("item", item)
                        .param("answer", answer.answer().name())
                        .param("note", answer.note())
                        .param("person", by.id().toString())
                        .param("at", Times.column(clock.instant()))
                        .update();
            }
        });
        return true;
    }

    /** The notes are in somebody's own words. */
    @Configuration
    static class Texts {
        @Bean
        TextColumn watchNotes(JdbcClient jdbc) {
            return new TextColumn(
                    jdbc,
                    "watch",
                    "select seq id, note text from watch_answer where shop_id = :shop and job_id = :job and :vehicle is not null",
                    "update watch_answer set note = :now where seq = :id and shop_id = :shop");
        }
    }
}
