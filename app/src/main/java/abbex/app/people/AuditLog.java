package abbex.app.people;

import abbex.app.people.Audit.Line;
import abbex.app.people.Audit.What;
import abbex.app.store.Times;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Reads the record of who did what: by pages, by what is looked for, and whether it is whole. */
@Service
public class AuditLog {
    /** Lines a page. */
    static final int PAGE = 100;

    /** Before an id, the newest first; a blank or null asks for nothing. */
    private static final String FIND = """
            select a.id, p.display_name, a.what, a.detail, a.at
              from audit a left join person p on p.id = a.person_id
             where a.shop_id = :shop and a.id < :before
               and (:person = '' or a.person_id = :person) and (:what = '' or a.what = :what)
               and (:text = '' or instr(a.detail, :text) > 0)
             order by a.id desc limit :most
            """;

    private static final String ALL = """
            select shop_id, coalesce(person_id, '') person, what, detail, at, chain
              from audit where shop_id = :shop order by id
            """;

    private final JdbcClient jdbc;

    AuditLog(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A line of the list. */
    public record Entry(long id, String who, What what, String detail, Instant at) {}

    /**
     * What is looked for.
     *
     * @param person an id, or blank for everybody
     * @param what null for everything
     * @param text part of the details, or blank
     */
    public record Asked(String person, @Nullable What what, String text) {}

    /** A page of it; {@code older} is what the next is asked for by, empty on the last. */
    public record Page(List<Entry> entries, Optional<Long> older) {}

    /** @param before only what is older than this line; {@link Long#MAX_VALUE} for the newest */
    public Page find(UUID shop, Asked asked, long before) {
        List<Entry> found = jdbc.sql(FIND)
                .param("shop", shop.toString())
                .param("before", before)
                .param("person", asked.person())
                .param("what", asked.what() == null ? "" : asked.what().name())
                .param("text", asked.text())
                .param("most", PAGE + 1)
                .query(AuditLog::entry)
                .list();
        return found.size() > PAGE
                ? new Page(
                        found.subList(0, PAGE), Optional.of(found.get(PAGE - 1).id()))
                : new Page(found, Optional.empty());
    }

    private static Entry entry(ResultSet row, int n) throws SQLException {
        return new Entry(
                row.getLong("id"),
                Objects.requireNonNullElse(row.getString("display_name"), ""),
                What.valueOf(row.getString("what")),
                row.getString("detail"),
                Times.instant(row, "at"));
    }

    /**
     * Whether no line was changed, put in or taken out, as far as the lines themselves tell.
     *
     * @param lines that carry a digest
     * @param broken when the first line was written that does not follow from the one before; empty when all do. The newest
     *     line's time where lines are missing at the end
     * @param mark of the newest line: whoever noted it down knows later whether all was written anew
     */
    public record Whole(long lines, Optional<Instant> broken, String mark) {}

    /** Goes through all of a shop's lines. */
    @Transactional(readOnly = true)
    public Whole whole(UUID shop) {
        Chain chain = new Chain();
        jdbc.sql(ALL).param("shop", shop.toString()).query(row -> {
            chain.add(
                    new Line(
                            row.getString("shop_id"),
                            row.getString("person"),
                            row.getString("what"),
                            row.getString("detail"),
                            row.getObject("at", LocalDateTime.class)),
                    row.getBytes("chain"));
        });
        boolean all = jdbc.sql("select n, chain from audit_head where shop_id = :shop")
                .param("shop", shop.toString())
                .query((row, n) -> row.getLong("n") == chain.lines && Arrays.equals(row.getBytes("chain"), chain.last))
                .optional()
                .orElse(chain.lines == 0);
        Optional<LocalDateTime> broken = Optional.ofNullable(chain.broken != null || all ? chain.broken : chain.newest);
        String mark = HexFormat.of().formatHex(chain.last, 0, 6);
        return new Whole(
                chain.lines,
                broken.map(at -> at.toInstant(ZoneOffset.UTC)),
                mark.substring(0, 4) + "-" + mark.substring(4, 8) + "-" + mark.substring(8));
    }

    /** The lines so far. */
    private static final class Chain {
        private byte[] last = Line.BEGINNING;
        private long lines;
        private @Nullable LocalDateTime broken;
        private LocalDateTime newest = LocalDateTime.MIN;

        void add(Line line, byte @Nullable [] digest) {
            newest = line.at();
            if (digest == null && lines == 0) {
                return;
            }
            lines++;
            if (broken == null && !Arrays.equals(digest, line.chained(last))) {
                broken = line.at();
            }
            last = digest == null ? Line.BEGINNING : digest;
        }
    }
}
