package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.app.rules.Rules;
import abbex.app.support.Later;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.app.workcard.Cards;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.io.IOException;
import java.io.StringReader;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A shop's day: planned, dragged and put back, who is away, promises, calendars. Each test in a shop of its own. */
@ExtendWith(Shop.class)
class PlannedDayTest {
    private final String tag = UUID.randomUUID().toString().substring(0, 8);
    private final UUID shop = Shop.bean(People.class).addShop("Day " + tag);
    private final UUID lead = person("lead", Role.LEAD);
    private final UUID hand = person("hand", Role.TECHNICIAN);
    private final Visitor by = Visitor.signedIn("lead" + tag);
    private final String day = LocalDate.now(ZoneOffset.UTC).plusDays(3).toString();
    private final List<String> received = new ArrayList<>();

    PlannedDayTest() {
        People people = Shop.bean(People.class);
        Shop.bean(Rules.class).bays(people.byId(lead).orElseThrow(), List.of("Bay 1, lift", "Bay 2"));
        hours("08:00", "17:00");
    }

    private UUID person(String name, Role role) {
        Person.Likes likes = new Person.Likes(LengthUnit.INCH, Graduation.SIXTEENTH_INCH, ZoneOffset.UTC, "auto", true);
        return Shop.bean(People.class)
                .add(
                        shop,
                        name + tag,
                        "The " + name,
                        name.substring(0, 2).toUpperCase(),
                        role,
                        Shop.password(),
                        false,
                        likes);
    }

    private void hours(String opens, String closes) {
        List<String> form = new ArrayList<>(List.of(
                "on",
                day,
                "opens",
                opens,
                "closes",
                closes,
                "pauseFrom",
                "12:00",
                "pauseTo",
                "12:30",
                "delivery",
                "10:00"));
        for (String weekday : List.of("MONDAY", "TUESDAY", "WEDNESDAY", "THURSDAY", "FRIDAY", "SATURDAY", "SUNDAY")) {
            form.addAll(List.of("weekday", weekday));
        }
        HttpResponse<String> answer = by.post("/day/hours", form.toArray(String[]::new));
        assertEquals(302, answer.statusCode(), answer.body());
    }

    /** A gets springs at both ends, any other at the front. */
    private String vehicle(String plate) {
        String job = UUID.randomUUID().toString();
        String rear = plate.equals("A") ? "30 N/mm" : "";
        by.post(
                "/arrive",
                "job",
                job,
                "plate",
                plate + " " + tag,
                "name",
                "day hatch",
                "archFront",
                "STRUT",
                "archRear",
                "TWIST_BEAM");
        HttpResponse<String> told = by.post(
                "/jobs/" + job + "/plan",
                "FRONT_NEW_RATE",
                "28 N/mm",
                "FRONT_NEW_FREE",
                "300 mm",
                "REAR_NEW_RATE",
                rear,
                "REAR_NEW_FREE",
                rear.isEmpty() ? "" : "310 mm",
                "NAME",
                "Kit");
        assertEquals(302, told.statusCode(), told.body());
        received.add(job);
        return job;
    }

    private String planned() {
        HttpResponse<String> answer = by.post("/day", "on", day);
        assertEquals(302, answer.statusCode(), answer.body());
        return by.get("/day?on=" + day).body();
    }

    /** Begin and end of the vehicle as they are kept. */
    private String kept(String job) {
        return Shop.bean(JdbcClient.class)
                .sql("""
                        select concat(d.bay, ' ', d.why, ' ', coalesce(min(time_format(s.starts, '%H:%i')), ''), ' ',
                                      coalesce(max(time_format(s.ends, '%H:%i')), ''))
                          from day_job d left join day_stint s on s.day = d.day and s.job_id = d.job_id
                         where d.day = :day and d.job_id = :job group by d.bay, d.why
                        """)
                .param("day", day)
                .param("job", job)
                .query(String.class)
                .single();
    }

    /** More than any day has: its share of the day, and how much goes on another; what is promised for that day is not cut short. */
    @Test
    void what_is_longer_than_any_day_goes_on_another() {
        hours("09:00", "12:40");
        String job = vehicle("A");
        String page = planned();
        String goesOn = Said.by("day.goes-on", "today", "x", "rest", "y").replaceAll(".*x(.*), y.*", "$1");
        assertTrue(page.contains(goesOn), page);
        assertTrue(kept(job).matches(".+ {2}09:00 12:[0-4]\\d"), kept(job));
        by.post("/day/agreed", "on", day, "job", job, "edition", "0", "ready" + job, day + "T12:40");
        page = planned();
        assertFalse(page.contains(goesOn), page);
        assertTrue(page.contains(Said.by("day.left.promised")), page);
    }

    /** Planned while the shop was open longer: what runs over its closing is drawn as that. */
    @Test
    void work_after_closing_is_drawn_as_that() {
        vehicle("A");
        assertFalse(planned().contains(">" + Said.by("day.closed") + "<"));
        hours("08:00", "09:00");
        String page = by.get("/day?on=" + day).body();
        assertTrue(page.contains(">" + Said.by("day.closed") + "<"), page);
    }

    @Test
    void dragged_its_price_told_and_put_back() {
        String first = vehicle("A");
        String second = vehicle("B");
        planned();
        String before = kept(first) + kept(second);
        String early = kept(first).contains("08:00") ? first : second;
        String late = early.equals(first) ? second : first;
        try (Screen screen = Screen.desk().signIn("lead" + tag)) {
            Page page = screen.page;
            screen.open("/day?on=" + day);
            Locator block = page.locator(".block[data-job='" + late + "'] a");
            BoundingBox box = block.boundingBox();
            page.mouse().move(box.x + 20, box.y + 12);
            page.mouse().down();
            page.mouse().move(box.x - 100, box.y + 12);
            page.mouse().move(page.locator(".bay-row").first().boundingBox().x + 20, box.y + 12);
            page.mouse().up();
            assertThat(page.locator(".day-price li").first())
                    .containsText(Said.by("day.price.later", "plate", "", "minutes", "", "ready", "")
                            .substring(0, 10)
                            .strip());
            assertTrue(kept(late).contains("08:00"), kept(late));
            assertThat(page.locator(".block.put")).hasCount(1);
            page.locator(".day-price button").click();
            assertThat(page.locator(".day-price")).hasCount(0);
            assertEquals(before, kept(first) + kept(second));

            // The same by keys: four steps of five minutes later.
            page.locator(".block[data-job='" + early + "'] a").focus();
            for (int i = 0; i < 4; i++) {
                page.keyboard().press("ArrowRight");
            }
            page.keyboard().press("Enter");
            assertThat(page.locator(".block.put")).hasCount(1);
            assertTrue(kept(early).contains("08:20"), kept(early));

            // What cannot be taken stays where it was typed.
            page.locator("#v-" + late + " summary").click();
            page.locator("#comes" + late).fill(day + "T10:00");
            page.locator("#ready" + late).fill(day + "T09:00");
            page.locator("#v-" + late + " form").nth(1).locator("button").click();
            assertThat(page.locator("#ready" + late + "-bad")).isVisible();
            assertThat(page.locator("#ready" + late)).hasValue(day + "T09:00");
            assertEquals(List.of(), screen.complaints());
        }
    }

    @Test
    void who_is_away_what_is_promised_and_what_does_not_fit() {
        String job = vehicle("A");
        by.post("/day/agreed", "on", day, "job", job, "edition", "0", "ready" + job, day + "T09:00");
        String page = planned();
        assertTrue(page.contains(Said.by("day.kept", "promised", "9:00", "kept", "0")), page);
        assertTrue(kept(job).startsWith("Bay 1, lift "), kept(job));

        // A lift is there and two people; one of them goes, and who is needed for two is missing.
        HttpResponse<String> away = by.post(
                "/day/away", "on", day, "who", hand.toString(), "first", day, "last", "", "awayFrom", "", "awayTo", "");
        assertEquals(302, away.statusCode(), away.body());
        planned();
        assertTrue(kept(job).contains("NO_SECOND"), kept(job));
        String id = Shop.bean(JdbcClient.class)
                .sql("select id from absence where shop_id = :shop")
                .param("shop", shop.toString())
                .query(String.class)
                .single();
        assertEquals(
                404, Visitor.signedIn("orla").post("/day/away/" + id + "/back").statusCode());
        assertEquals(302, by.post("/day/away/" + id + "/back", "on", day).statusCode());
        planned();
        assertTrue(kept(job).contains("08:00"), kept(job));

        // Not on this day, and on it again.
        by.post("/day/vehicle", "on", day, "job", job, "what", "OUT");
        assertTrue(by.get("/day?on=" + day).body().contains("A " + tag + ": "));
        by.post("/day/vehicle", "on", day, "job", job, "what", "FREE");
        assertTrue(kept(job).contains("08:00"), kept(job));

        // The shop is shut.
        by.post("/day/away", "on", day, "who", "SHOP", "first", day);
        assertTrue(by.get("/day?on=" + day).body().contains(Said.by("day.shut")));
    }

    @Test
    void a_page_of_before_moves_nothing() {
        String job = vehicle("A");
        planned();
        planned();
        HttpResponse<String> stale =
                by.post("/day/vehicle", "on", day, "job", job, "what", "PUT", "edition", "1", "at" + job, "13:00");
        assertEquals(422, stale.statusCode());
        assertTrue(stale.body().contains(Said.by("problem.day.meanwhile")));
        assertTrue(stale.body().contains("value=\"13:00\""), "what was typed stays");
        assertTrue(kept(job).contains("08:00"), kept(job));
        HttpResponse<String> bad =
                by.post("/day/hours", "on", day, "opens", "8 o'clock", "closes", "17:00", "delivery", "10:00");
        assertEquals(422, bad.statusCode());
        assertTrue(bad.body().contains("8 o&#39;clock"), bad.body());
    }

    /** Ticked and in its bay, it stays there with who has it, whatever is planned again. */
    @Test
    void what_was_begun_is_not_moved() throws Exception {
        try (AutoCloseable back = Later.morning()) {
            begunIsNotMoved(Later.today().toString());
        }
    }

    private void begunIsNotMoved(String today) {
        hours("00:00", "23:55");
        String job = vehicle("A");
        vehicle("B");
        by.post("/jobs/" + job + "/move", "place", "BAY", "bay", "Bay 1, lift", "holder", hand.toString());
        by.post("/jobs/" + job + "/fit", "lift", "yes");
        Shop.bean(JdbcClient.class)
                .sql("""
                        insert into card_entry (shop_id, job_id, client, what, step, item, text, more, value, spec_seq, person_id,
                                                made_at)
                        select :shop, :job, :client, 'TICKED', :step, '', '', '', 0, 0, :person, timestamp(:day, '09:00:00')
                        """)
                .param("shop", shop.toString())
                .param("job", job)
                .param("client", UUID.randomUUID().toString())
                .param("step", step(job))
                .param("person", hand.toString())
                .param("day", today)
                .update();
        by.post("/day", "on", today);
        String line = Shop.bean(JdbcClient.class)
                .sql("select concat(bay, ' ', lead_id, ' ', begun) from day_job where day = :day and job_id = :job")
                .param("day", today)
                .param("job", job)
                .query(String.class)
                .single();
        assertEquals("Bay 1, lift " + hand + " 1", line);
        // On the next day too it stands where it stands, unless it is done today; whatever else needs a lift has none.
        Shop.bean(JdbcClient.class)
                .sql("delete from day_job where day = :day and shop_id = :shop")
                .param("day", today)
                .param("shop", shop.toString())
                .update();
        planned();
        assertTrue(kept(job).startsWith("Bay 1, lift "), kept(job));
        by.post("/jobs/" + job + "/parts", "why", "SUPPLIED", "what", "ASKED", "mark", "x", "duex", "2199-01-01");
        planned();
        assertTrue(kept(job).contains("COMES_LATER"), kept(job));
        assertTrue(kept(received.get(1)).contains("NO_LIFT"), kept(received.get(1)));
        by.post("/jobs/" + job + "/parts", "why", "SUPPLIED", "what", "HERE", "mark", "x");
        by.post("/day", "on", today);

        // Begun hours ago with most of it open, it runs over what was planned then.
        Shop.bean(JdbcClient.class)
                .sql("""
                        update day_stint set starts = date_sub(starts, interval 5 hour), ends = date_sub(ends, interval 5 hour)
                         where day = :day and job_id = :job
                        """)
                .param("day", today)
                .param("job", job)
                .update();
        String page = by.get("/day?on=" + today).body();
        String over = Said.by("day.over", "plate", "A " + tag, "minutes", "\\d+");
        assertTrue(Pattern.compile(over).matcher(page).find(), page);
    }

    private String step(String job) {
        return Shop.bean(Cards.class)
                .needs(Shop.bean(abbex.app.arrive.Jobs.class)
                        .find(shop, UUID.fromString(job))
                        .orElseThrow())
                .card()
                .steps()
                .get(0)
                .key();
    }

    private static List<VEvent> events(String text) throws IOException, ParserException {
        return new CalendarBuilder().build(new StringReader(text)).getComponents("VEVENT");
    }

    /** The address as it is shown once. */
    private String address(Visitor of, String whose) {
        String page = of.post("/day/calendars", "on", day, "of", whose).body();
        Matcher found = Pattern.compile("/calendar/[A-Za-z0-9_-]+[.]ics").matcher(page);
        assertTrue(found.find(), page);
        return found.group();
    }

    @Test
    void calendars_are_read_without_a_sign_in_until_they_are_withdrawn() throws IOException, ParserException {
        String job = vehicle("A");
        planned();
        Visitor stranger = Visitor.stranger();
        String whole = address(by, "SHOP");
        String own = address(Visitor.signedIn("hand" + tag), "ME");
        assertEquals(200, stranger.get(whole).statusCode());
        List<VEvent> all = events(stranger.get(whole).body());
        assertEquals(1, all.size());
        assertEquals("Bay 1, lift", all.get(0).getLocation().getValue());
        assertTrue(all.get(0).getDateTimeStart().getValue().startsWith(day.replace("-", "") + "T080000"));
        // One of the two has it, the other is called to it: each in their own.
        List<VEvent> mine = events(stranger.get(own).body());
        List<VEvent> others = events(stranger.get(address(by, "ME")).body());
        assertTrue(mine.size() == 1 && others.size() > 1
                || others.size() == 1 && mine.size() > 1
                || mine.size() + others.size() > 1);
        assertEquals(404, stranger.get("/calendar/" + "x".repeat(43) + ".ics").statusCode());

        // An offer of a lead's is no technician's to make.
        Visitor technician = Visitor.signedIn("hand" + tag);
        assertTrue(
                events(stranger.get(address(technician, "SHOP")).body()).size() <= mine.size(),
                "their own, not the shop's");

        String id = Shop.bean(JdbcClient.class)
                .sql("select id from calendar_link where shop_id = :shop and of_id is null")
                .param("shop", shop.toString())
                .query(String.class)
                .single();
        assertEquals(404, technician.post("/day/calendars/" + id + "/withdraw").statusCode());
        assertEquals(
                302, by.post("/day/calendars/" + id + "/withdraw", "on", day).statusCode());
        assertEquals(404, stranger.get(whole).statusCode());
        assertEquals(200, stranger.get(own).statusCode());

        assertEquals(404, by.get("/jobs/" + job + "/appointment.ics").statusCode(), "nothing is agreed");
        by.post("/day/agreed", "on", day, "job", job, "comes" + job, day + "T09:30", "ready" + job, day + "T16:00");
        List<VEvent> agreed = events(by.get("/jobs/" + job + "/appointment.ics").body());
        assertEquals(2, agreed.size());
        assertTrue(agreed.stream().anyMatch(e -> e.getDateTimeStart().getValue().endsWith("T093000Z")));
    }
}
