package abbex.app.handover;

import abbex.app.arrive.CustomerBlanked;
import abbex.app.arrive.Job;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.people.Person;
import abbex.app.store.Times;
import java.time.Clock;
import java.time.Instant;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;

/**
 * The papers of sheets: one that is handed over is made in that moment, for both sizes of paper, and never again; what cannot
 * be printed is not handed over. A draft is made when it is asked for.
 */
@Service
class Papers {
    private static final String KEEP = """
            insert into sheet_paper (shop_id, handed_over_id, size, body) values (:shop, :of, :size, :body)
                on duplicate key update body = coalesce(body, values(body))
            """;

    private final JdbcClient jdbc;
    private final SheetPdf pdf;
    private final Words words;
    private final SpringTemplateEngine templates;
    private final Clock clock;

    Papers(JdbcClient jdbc, SheetPdf pdf, Words words, SpringTemplateEngine templates, Clock clock) {
        this.jdbc = jdbc;
        this.pdf = pdf;
        this.words = words;
        this.templates = templates;
        this.clock = clock;
    }

    /** Whose it is and what was asked for: no part of what is frozen as a page, so that a name that is deleted is on none. */
    String whose(Job job) {
        Context context = new Context(Locale.ENGLISH);
        context.setVariable("customer", job.customer());
        context.setVariable("wish", job.wish());
        return templates.process("sheet-body", Set.of("whose"), context);
    }

    byte[] draft(Person me, Job job, String body, SheetPdf.Size size) {
        Reader reader = Reader.of(me);
        String foot = words.say("sheet.foot.draft", reader, "shop", me.shopName(), "day", reader.full(clock.instant()));
        return make(job, body, foot, size, reader);
    }

    /** Both papers of a version that has just been frozen. */
    @Transactional
    void make(Person me, Job job, Handovers.Version version) {
        for (SheetPdf.Size size : SheetPdf.Size.values()) {
            of(me, job, version, size);
        }
    }

    /** A version's paper; one of before papers were kept, or whose customer was deleted since, is made now, once. */
    @Transactional
    byte[] of(Person me, Job job, Handovers.Version version, SheetPdf.Size size) {
        Kept kept = kept(version, size);
        if (kept.body() != null) {
            return kept.body();
        }
        Reader reader = Reader.of(me);
        String foot = words.say(
                "sheet.foot",
                reader,
                "shop",
                me.shopName(),
                "version",
                String.valueOf(version.number()),
                "day",
                reader.full(version.madeAt()),
                "by",
                version.by());
        String told = kept.blankedAt() == null
                ? foot
                : foot + " " + words.say("sheet.foot.blanked", reader, "day", reader.full(kept.blankedAt()));
        byte[] body = make(job, version.body(), told, size, reader);
        jdbc.sql(KEEP)
                .param("shop", job.shop().toString())
                .param("of", version.id().toString())
                .param("size", size.name())
                .param("body", body)
                .update();
        return Objects.requireNonNullElse(kept(version, size).body(), body);
    }

    private byte[] make(Job job, String body, String foot, SheetPdf.Size size, Reader reader) {
        return pdf.make(words.say("sheet.page", reader, "plate", job.vehicle().plate()), whose(job) + body, foot, size);
    }

    private record Kept(byte @Nullable [] body, @Nullable Instant blankedAt) {}

    private Kept kept(Handovers.Version version, SheetPdf.Size size) {
        Optional<Kept> kept = jdbc.sql(
                        "select body, blanked_at from sheet_paper where handed_over_id = :of and size = :size")
                .param("of", version.id().toString())
                .param("size", size.name())
                .query((row, n) -> new Kept(
                        row.getBytes("body"),
                        row.getObject("blanked_at") == null ? null : Times.instant(row, "blanked_at")))
                .optional();
        return kept.orElse(new Kept(null, null));
    }

    /** One whose paper was never made says it too, once it is. */
    @EventListener
    void blanked(CustomerBlanked blanked) {
        jdbc.sql("""
                        insert into sheet_paper (shop_id, handed_over_id, size, blanked_at)
                        select h.shop_id, h.id, s.size, :at
                          from handed_over h join (select 'A4' size union all select 'LETTER') s where h.job_id = :job
                            on duplicate key update body = null, blanked_at = :at
                        """)
                .param("at", Times.column(clock.instant()))
                .param("job", blanked.job().toString())
                .update();
    }
}
