package abbex.app.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.arrive.Job;
import abbex.app.measure.JobSheets;
import abbex.app.measure.Sheets;
import abbex.app.page.JobMark;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.state.VehicleStates;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.core.clearance.ClearanceFinding;
import abbex.core.figure.Finding;
import abbex.core.heights.HeightFinding;
import abbex.core.heights.Method;
import abbex.core.state.OpenWork;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import abbex.core.vehicle.Corner;
import abbex.core.verdict.Found;
import abbex.core.verdict.JobVerdict;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.web.util.HtmlUtils;

/**
 * Drawn stays through the application itself: kits on trial, wheels, turns, remedies, cards half done, a misread inch, all in
 * an order that nobody planned. After each act tag, hand-over and sheet say one verdict and one progress; a plan ends no stop;
 * what was done on purpose is blamed for nothing.
 */
@ExtendWith(Shop.class)
class AsItStandsTest {
    /** So many as were promised; fewer for who is at it. */
    private static final int STAYS = Integer.getInteger("abbex.stays", 500);

    private static final Reader READER = new Reader(LengthUnit.MILLIMETRE, Graduation.MILLIMETRE, ZoneId.of("UTC"));

    private final Visitor orla = Visitor.signedIn("orla");
    private final JobVerdicts verdicts = Shop.bean(JobVerdicts.class);
    private final VehicleStates states = Shop.bean(VehicleStates.class);
    private final Words words = Shop.bean(Words.class);
    private int clean;
    private int accused;
    private int planted;
    private int named;

    @Test
    void every_station_says_one_thing_of_a_vehicle() {
        for (int i = 0; i < STAYS; i++) {
            Random random = new Random(360_000L + i);
            DrawnStay stay = new DrawnStay(orla, "orla", random, i % 3 != 0);
            work(stay, random, i);
            // Off the floor: what stands there is drawn again for everybody.
            Shop.bean(abbex.app.arrive.Jobs.class)
                    .move(
                            stay.job().shop(),
                            UUID.fromString(stay.id),
                            new Job.Where(Job.Place.GONE, ""),
                            null,
                            null,
                            java.util.Optional.empty());
        }
        System.out.printf(
                "as it stands: %d stays, %d of %d clean ones accused, %d of %d planted inches named%n",
                STAYS, accused, clean, named, planted);
        assertTrue(accused <= Math.max(1, clean / 20), accused + " of " + clean + " clean stays are accused");
        assertTrue(named >= 0.9 * planted, named + " of " + planted + " are named");
    }

    private void work(DrawnStay stay, Random random, int number) {
        int ways = 2 + random.nextInt(2);
        stay.measure(ways);
        agree(stay, number, "measured");
        if (random.nextInt(3) == 0) {
            stay.card(3 + random.nextInt(25));
            agree(stay, number, "card begun");
        }
        stay.wheels();
        stay.probe(stay.corner(), 2 + random.nextInt(60));
        agree(stay, number, "probed");
        stay.lower();
        stay.measure(ways);
        agree(stay, number, "lowered");
        int acts = 1 + random.nextInt(4);
        for (int act = 0; act < acts; act++) {
            act(stay, random, ways, number);
        }
        if (stay.careful()) {
            clean++;
            if (accused(stay)) {
                accused++;
                System.out.printf("accused: stay %d, %s%n", number, heights(stay));
            }
        } else {
            Corner corner = stay.corner();
            stay.misread(corner, Method.HF);
            agree(stay, number, "misread");
            planted++;
            named += named(stay, corner) ? 1 : 0;
        }
    }

    private void act(DrawnStay stay, Random random, int ways, int number) {
        Set<String> stops = stops(stay.job());
        switch (random.nextInt(5)) {
            case 0 -> {
                stay.turn();
                agree(stay, number, "turned");
                stay.measure(ways);
                agree(stay, number, "measured again");
            }
            case 1 -> {
                stay.remedy(stay.corner());
                assertTrue(stops(stay.job()).containsAll(stops), () -> number + ": a plan ended a stop");
                agree(stay, number, "remedy planned");
                if (random.nextBoolean()) {
                    stay.fit();
                    assertTrue(
                            stops(stay.job()).containsAll(stops),
                            () -> number + ": fitted and not measured ended a stop");
                    agree(stay, number, "remedy fitted");
                }
            }
            case 2 -> {
                stay.probe(stay.corner(), 2 + random.nextInt(70));
                agree(stay, number, "probed again");
            }
            case 3 -> {
                stay.trial();
                stay.measure(ways);
                agree(stay, number, "trial");
            }
            default -> {
                stay.measure(ways);
                agree(stay, number, "read again");
            }
        }
    }

    private Set<String> stops(Job job) {
        return verdicts.of(job).found().stream()
                .filter(f -> f.finding() instanceof ClearanceFinding.Touches)
                .map(Found::key)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** Tag, progress, hand-over and sheet of one vehicle are one. */
    private void agree(DrawnStay stay, int number, String after) {
        Job job = stay.job();
        String at = number + ", " + after;
        JobVerdict verdict = verdicts.of(job);
        JobMark mark = verdicts.mark(job, READER);
        OpenWork open = states.now(job).open();
        assertEquals(open.underWay(), mark.work() != null, at);
        assertEquals(
                open.underWay(),
                verdict.found().stream().anyMatch(f -> f.finding().code().equals("CARD_OPEN")),
                at + ": a card that is under way is a stop");
        String worst = verdict.worst()
                .filter(Found::toAnswer)
                .map(f -> words.finding(f.finding(), READER).title())
                .orElse("");
        assertEquals(worst, mark.title(), at);
        assertEquals(verdict.stops(), mark.mark().equals("stop"), at);
        String sheet = text(orla.get("/jobs/" + stay.id + "/sheet").body());
        readable(sheet, at);
        if (!worst.isEmpty()) {
            assertTrue(plain(sheet).contains(plain(worst)), at + ": the sheet does not say " + worst);
            assertFalse(sheet.contains(words.say("verdict.clear")), at + ": the sheet says that nothing is wrong");
            handOver(stay, verdict, at);
        }
        agreeOnHeights(job, at);
    }

    private void handOver(DrawnStay stay, JobVerdict verdict, String at) {
        String page = orla.get("/jobs/" + stay.id + "/hand-over").body();
        int asked = 0;
        Matcher line = Pattern.compile("class=\"found-line\"").matcher(page);
        while (line.find()) {
            asked++;
        }
        assertEquals(verdict.toAnswer().size(), asked, at + ": what is asked at hand-over");
    }

    /** Every station asks the same adjustment: where two tell how far a corner came down they tell the same. */
    private static void agreeOnHeights(Job job, String at) {
        JobSheets all = Shop.bean(Sheets.class).of(job.shop(), job.id());
        var heights = Shop.bean(abbex.app.measure.RideHeights.class).of(job).heights();
        int newest = all.sheets().size() - 1;
        for (Corner corner : Corner.WALK) {
            all.judge(job)
                    .down(0, newest, corner)
                    .ifPresent(down -> assertEquals(
                            down.value().mm(),
                            heights.at(newest, corner).value().mm(),
                            1e-6,
                            at + ": " + corner));
        }
    }

    private static String text(String html) {
        String body = html.substring(html.indexOf("<main"));
        return HtmlUtils.htmlUnescape(
                body.replaceAll("(?s)<(script|style).*?</\\1>", "").replaceAll("<[^>]*>", " "));
    }

    private static String plain(String text) {
        return HtmlUtils.htmlUnescape(text).replaceAll("[^\\p{L}\\p{N}]+", " ").toLowerCase(java.util.Locale.ROOT);
    }

    /** No placeholder and no program's text. */
    private static void readable(String sheet, String at) {
        Matcher bad = Pattern.compile("\\w*[\\[\\]{}]\\w*|\\bnull\\b|abbex\\.|Optional|\\w+=\\w+")
                .matcher(sheet);
        assertFalse(bad.find(), () -> at + ": " + bad.group());
    }

    private List<Finding> heights(DrawnStay stay) {
        List<Finding> found = new ArrayList<>();
        verdicts.of(stay.job()).found().forEach(f -> found.add(f.finding()));
        return found;
    }

    /** Something of the work is blamed, or a reading, in a stay where all went well. */
    private boolean accused(DrawnStay stay) {
        return heights(stay).stream()
                .anyMatch(f -> f instanceof HeightFinding.LeftRightNew
                        || f instanceof HeightFinding.DiagonalMoved
                        || f instanceof HeightFinding.ReadingSuspect
                        || f instanceof HeightFinding.ReadingsSuspect
                        || f instanceof HeightFinding.ReadingsSuspectSettled
                        || f instanceof HeightFinding.SidesExchanged
                        || f instanceof HeightFinding.EndsExchanged
                        || f instanceof HeightFinding.WheelAgainstFrame
                        || f instanceof HeightFinding.ReadingsRestless);
    }

    /** The corner that was misread is among what is to be read again. */
    private boolean named(DrawnStay stay, Corner corner) {
        Job job = stay.job();
        return Shop.bean(Sheets.class).of(job.shop(), job.id()).judge(job).suspects().stream()
                .anyMatch(s -> s.spot().corner() == corner);
    }
}
