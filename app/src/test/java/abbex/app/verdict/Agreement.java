package abbex.app.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.arrive.Job;
import abbex.app.measure.JobSheets;
import abbex.app.measure.RideHeights;
import abbex.app.measure.Sheets;
import abbex.app.page.JobHeads;
import abbex.app.page.JobMark;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.state.VehicleStates;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.core.heights.Assessment;
import abbex.core.heights.CornerHeights;
import abbex.core.heights.Method;
import abbex.core.heights.RideHeight;
import abbex.core.state.OpenWork;
import abbex.core.units.Estimate;
import abbex.core.vehicle.Corner;
import abbex.core.verdict.Found;
import abbex.core.verdict.JobVerdict;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.web.util.HtmlUtils;

/** What all stations, floor, tag, strip, hand-over and sheet have to agree on after each act. */
final class Agreement {
    private static final String CLEAR = Said.by("verdict.clear");

    private static final Pattern VERDICT = Pattern.compile("class=\"verdict (\\w+)\"");
    private static final Pattern BAD =
            Pattern.compile("[\\[\\]{}]|\\bnull\\b|\\babbex\\.|\\bOptional\\b|\\b\\w{1,40}=\\w");
    private static final Pattern SIGN = Pattern.compile("class=\"sign (\\w+)\"");

    private static final List<String> STATIONS = List.of(
            "arrive",
            "measure",
            "plan",
            "plan/kits",
            "parts",
            "fit",
            "set",
            "fitment",
            "prove",
            "prove/road",
            "ground",
            "align",
            "left",
            "return");

    private static final Pattern MARKED =
            Pattern.compile("class=\"judged (\\w+)\"\\s*href=\"[^\"]*\"\\s*>(.*?)</a", Pattern.DOTALL);
    private static final Pattern LINE = Pattern.compile("class=\"found-line\"");

    private final Visitor reads;
    private final Reader reader;
    private final JobVerdicts verdicts = Shop.bean(JobVerdicts.class);
    private final VehicleStates states = Shop.bean(VehicleStates.class);
    private final JobHeads heads = Shop.bean(JobHeads.class);
    private final Words words = Shop.bean(Words.class);
    private int turn;

    Agreement(Visitor reads, Reader reader) {
        this.reads = reads;
        this.reader = reader;
    }

    /** After an act: tag, floor, hand-over, sheet and one of the stations in turn. */
    void check(DrawnStay stay, String at) {
        Job job = stay.job();
        JobVerdict verdict = verdicts.of(job);
        JobMark mark = verdicts.mark(job, reader);
        tag(job, verdict, mark, at);
        String worst = worst(verdict);
        floor(job, verdict, mark, at);
        String sheet = main(reads.get("/jobs/" + stay.id + "/sheet").body());
        sheet(stay, sheet, worst, at);
        if (!worst.isEmpty()) {
            handOver(stay, verdict, at);
        }
        heights(job, at);
        station(stay, mark, at);
    }

    /** All stations, one after the other. */
    void walk(DrawnStay stay, String at) {
        JobMark mark = verdicts.mark(stay.job(), reader);
        for (int i = 0; i < STATIONS.size(); i++) {
            station(stay, mark, at);
        }
    }

    private String worst(JobVerdict verdict) {
        return verdict.worst()
                .filter(Found::toAnswer)
                .map(f -> words.finding(f.finding(), reader).title())
                .orElse("");
    }

    private void tag(Job job, JobVerdict verdict, JobMark mark, String at) {
        OpenWork open = states.now(job).open();
        assertEquals(open.underWay(), mark.work() != null, at);
        assertEquals(
                open.underWay(),
                verdict.found().stream().anyMatch(f -> f.finding().code().equals("CARD_OPEN")),
                at + ": a card that is under way is a stop");
        assertEquals(worst(verdict), mark.title(), at);
        assertEquals(verdict.stops(), mark.mark().equals("stop"), at);
    }

    /** The floor’s own mark and sentence of it. */
    private void floor(Job job, JobVerdict verdict, JobMark mark, String at) {
        String floor = reads.get("/").body();
        int from = floor.indexOf("data-id=\"" + job.id() + "\"");
        assertTrue(from > 0, at + ": is not on the floor");
        String stand = floor.substring(from, floor.indexOf("</article>", from));
        Matcher verdictOf = VERDICT.matcher(stand);
        String is = verdictOf.find() ? verdictOf.group(1) : "";
        if (mark.mark().isEmpty()) {
            assertFalse(is.equals("stop") || is.equals("look"), at + ": the floor’s mark");
            assertFalse(is.equals("clear") && !verdict.open().isEmpty(), at + ": the floor calls clear what is open");
        } else {
            assertEquals(mark.mark(), is, at + ": the floor’s mark");
        }
        if (mark.work() != null) {
            assertTrue(
                    plain(stand).contains(plain(mark.work().next())),
                    () -> at + ": the floor names no step of a card under way: " + plain(stand));
        }
    }

    /** A page of a station: the same tag on it, no program's text, and nothing about a vehicle without a fault. */
    private void station(DrawnStay stay, JobMark mark, String at) {
        String station = STATIONS.get(turn++ % STATIONS.size());
        if (stay.twoWheels() && station.equals("align")) {
            return;
        }
        var answer = reads.get("/jobs/" + stay.id + "/" + station);
        if (answer.statusCode() == 302) {
            answer = reads.get(
                    answer.headers().firstValue("Location").orElseThrow().replaceAll("^https?://[^/]*", ""));
        }
        String of = at + " at " + station;
        assertEquals(200, answer.statusCode(), of);
        Matcher judged = MARKED.matcher(answer.body());
        boolean has = judged.find();
        assertEquals(!mark.mark().isEmpty(), has, of + ": its tag");
        if (has) {
            assertEquals(mark.mark(), judged.group(1), of + ": its tag");
            assertTrue(
                    plain(text(judged.group(2))).contains(plain(mark.title())),
                    of + ": its tag says " + judged.group(2));
        }
        assertEquals(strip(stay, mark), strip(answer.body()), of + ": its strip");
        String main = main(answer.body());
        readable(text(main), of);
        if (mark.mark().equals("stop")) {
            assertFalse(main.contains(CLEAR), of + ": says that nothing is wrong");
        }
    }

    private static void sheet(DrawnStay stay, String sheet, String worst, String at) {
        String text = text(sheet);
        readable(text, at);
        if (!worst.isEmpty()) {
            assertTrue(plain(text).contains(plain(worst)), at + ": the sheet does not say " + worst);
            assertFalse(text.contains(CLEAR), at + ": the sheet says that nothing is wrong");
        }
        if (!stay.carded) {
            // Locks and marks are told by a card alone.
            assertFalse(plain(text).contains("paint marked") || plain(text).contains("locked"), at);
        }
    }

    private void handOver(DrawnStay stay, JobVerdict verdict, String at) {
        String page = reads.get("/jobs/" + stay.id + "/hand-over").body();
        Matcher line = LINE.matcher(page);
        int asked = 0;
        while (line.find()) {
            asked++;
        }
        assertEquals(verdict.toAnswer().size(), asked, at + ": what is asked at hand-over");
    }

    /** Every station asks the same adjustment: where two tell how far a corner came down they tell the same. */
    private static void heights(Job job, String at) {
        JobSheets all = Shop.bean(Sheets.class).of(job.shop(), job.id());
        RideHeight stands = Shop.bean(RideHeights.class).of(job).heights();
        Assessment judged = all.judge(job);
        int newest = all.sheets().size() - 1;
        for (Corner corner : Corner.WALK) {
            Optional<Estimate> down = judged.down(0, newest, corner);
            down.ifPresent(d -> assertEquals(
                    d.value().mm(), stands.at(newest, corner).value().mm(), 1e-6, at + ": " + corner));
        }
        // What Set turns by, less than it had, is what came down.
        Optional<CornerHeights> was = judged.heights(0, Method.HF);
        Optional<CornerHeights> is = judged.heights(newest, Method.HF);
        if (was.isPresent() && is.isPresent()) {
            for (Corner corner : Corner.WALK) {
                double down = was.get().mm()[corner.ordinal()] - is.get().mm()[corner.ordinal()];
                judged.down(0, newest, corner)
                        .ifPresent(d -> assertEquals(d.value().mm(), down, 0.51, at + ": set, " + corner));
            }
        }
    }

    /** The marks on the strip, in its order. */
    private static List<String> strip(String page) {
        String strip = page.substring(page.indexOf("<nav class=\"strip\""), page.indexOf("</nav>"));
        return SIGN.matcher(strip).results().map(m -> m.group(1)).toList();
    }

    private List<String> strip(DrawnStay stay, JobMark mark) {
        return heads.head(stay.job().shop(), stay.job().id(), "measure", reader).stations().stream()
                .map(mark::of)
                .filter(m -> !m.isEmpty())
                .toList();
    }

    private static String main(String html) {
        return html.substring(html.indexOf("<main"));
    }

    /** What is read on a page: without tags, and without what lies in drawings, scripts and styles. */
    private static String text(String html) {
        StringBuilder text = new StringBuilder(html.length() / 2);
        int at = 0;
        while (at < html.length()) {
            int tag = html.indexOf('<', at);
            text.append(html, at, tag < 0 ? html.length() : tag).append(' ');
            if (tag < 0) {
                break;
            }
            int end = html.indexOf('>', tag);
            for (String unread : UNREAD) {
                if (html.startsWith(unread, tag + 1) && html.indexOf("</" + unread, tag) > 0) {
                    end = html.indexOf('>', html.indexOf("</" + unread, tag));
                }
            }
            at = end + 1;
        }
        return HtmlUtils.htmlUnescape(text.toString());
    }

    private static final List<String> UNREAD = List.of("script", "style", "svg");

    private static final Pattern PLAIN = Pattern.compile("[^\\p{L}\\p{N}]+");

    private static String plain(String text) {
        return HtmlUtils.htmlUnescape(text)
                .replaceAll("[^\\p{L}\\p{N}]+", " ")
                .strip()
                .toLowerCase(Locale.ROOT);
    }

    /** No placeholder and no program's text. */
    private static void readable(String text, String at) {
        Matcher bad = Pattern.compile("\\w*[\\[\\]{}]\\w*|\\bnull\\b|abbex\\.|Optional|\\w+=\\w+")
                .matcher(text);
        assertFalse(bad.find(), () -> at + ": " + bad.group());
    }
}
