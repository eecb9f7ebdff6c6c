package abbex.app.arrive;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import java.net.http.HttpResponse;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Receiving a vehicle, known and unknown; what is typed wrongly comes back with its reason. */
@ExtendWith(Shop.class)
class ArriveTest {
    private final Visitor orla = Visitor.signedIn("orla");

    private HttpResponse<String> receive(String job, String plate, String... more) {
        String[] form = new String[6 + more.length];
        System.arraycopy(new String[] {"job", job, "plate", plate, "name", "test wagon"}, 0, form, 0, 6);
        System.arraycopy(more, 0, form, 6, more.length);
        return orla.post("/arrive", form);
    }

    private static String fresh() {
        return UUID.randomUUID().toString();
    }

    private long count(String sql, String value) {
        return Shop.bean(JdbcClient.class)
                .sql(sql)
                .param("v", value)
                .query(Long.class)
                .single();
    }

    @Test
    void sent_twice_it_arrives_once() {
        String job = fresh();
        assertEquals(302, receive(job, "AR " + job.substring(0, 6)).statusCode());
        assertEquals(302, receive(job, "AR " + job.substring(0, 6)).statusCode());
        assertEquals(1, count("select count(*) from sheet where job_id = :v", job));
    }

    /** On the page an outline is tapped, and no vehicle is a car because nobody said what it is. */
    @Test
    void an_outline_is_tapped_and_none_is_assumed() {
        String bike = "AR " + fresh().substring(0, 6);
        HttpResponse<String> none = receive(fresh(), bike, "outline", "");
        assertEquals(422, none.statusCode());
        assertTrue(none.body().contains(Said.by("problem.outline")));
        assertEquals(422, receive(fresh(), bike, "outline", "CAR-TRICYCLE").statusCode());
        assertEquals(
                302, receive(fresh(), bike, "outline", "MOTORCYCLE-MOTORCYCLE").statusCode());
        assertEquals(1, count("select count(*) from vehicle where kind = 'MOTORCYCLE' and plate = :v", bike));
        // A truck that is drawn as a hatch since it was typed so keeps its outline.
        String job = fresh();
        receive(job, "AR " + fresh().substring(0, 6), "kind", "TRUCK", "shape", "HATCH");
        assertTrue(orla.get("/jobs/" + job + "/arrive").body().contains("id=\"outline-TRUCK-HATCH\""));
    }

    /** Nobody chose an outline: a truck is drawn as a truck, and who chooses another has it. */
    @Test
    void the_kind_sets_the_outline_until_somebody_chooses() {
        String truck = "AR " + fresh().substring(0, 6);
        receive(fresh(), truck, "kind", "TRUCK", "shape", "");
        assertEquals(
                1,
                count(
                        "select count(*) from vehicle where plate_key = :v and shape = 'PICKUP'",
                        VehicleFacts.plateKey(truck)));
        String low = "AR " + fresh().substring(0, 6);
        receive(fresh(), low, "kind", "CAR", "shape", "COUPE");
        assertEquals(
                1,
                count(
                        "select count(*) from vehicle where plate_key = :v and shape = 'COUPE'",
                        VehicleFacts.plateKey(low)));
    }

    @Test
    void a_known_plate_is_the_known_vehicle_and_forgets_nothing() {
        String plate = "AR " + fresh().substring(0, 6);
        receive(fresh(), plate, "WHEELBASE", "103 15/16", "tyreFront", "205/55R16");
        String again = fresh();
        receive(again, plate.toLowerCase(), "TRACK_FRONT", "1500 mm", "another", "on", "known", "CHANGE");
        assertEquals(1, count("select count(*) from vehicle where plate_key = :v", VehicleFacts.plateKey(plate)));
        String page = orla.get("/jobs/" + again + "/arrive").body();
        assertTrue(page.contains("value=\"103 15/16 in\"") || page.contains("value=\"103 15/16\""), page);
        assertTrue(page.contains("1500 mm") && page.contains("205/55R16"));
    }

    @ParameterizedTest(name = "{0} = {1}")
    @CsvSource(delimiter = '|', textBlock = """
                    WHEELBASE    | 26,5 | refusal.COMMA
                    WHEELBASE    | -100 | refusal.MINUS
                    promiseFRONT | 1 17/16 | refusal.IMPROPER
                    promiseToREAR | 1 | problem.promise.first
                    promiseFRONT | 30 | form.take
                    WHEELBASE    | 104 mm | problem.short
                    kind         | SPACESHIP | problem.choice.unknown
                    tyreFront    | 12345678901234567890123456789012345678901 | problem.long
                    """)
    void a_field_that_cannot_be_taken_says_why_and_keeps_its_text(String field, String text, String says) {
        HttpResponse<String> answer = receive(fresh(), "AR " + fresh().substring(0, 6), field, text);
        assertEquals(422, answer.statusCode());
        assertTrue(answer.body().contains(Said.part(says)), answer.body());
        assertTrue(field.equals("kind") || answer.body().contains(text), "the text is still there");
        assertTrue(answer.body().contains("test wagon"), "and so are the others");
    }

    @Test
    void a_plate_is_needed_and_never_taken_from_another_vehicle() {
        assertTrue(receive(fresh(), " ").body().contains(Said.part("problem.plate.missing")));
        assertTrue(receive(fresh(), "---").body().contains(Said.part("problem.plate")));
        String job = fresh();
        receive(job, "AR " + job.substring(0, 6));
        HttpResponse<String> taken = orla.post("/jobs/" + job + "/arrive", "job", job, "plate", "kt4 207", "name", "x");
        assertEquals(422, taken.statusCode());
        assertTrue(taken.body().contains(Said.part("problem.plate.other")));
    }

    @Test
    void a_machines_password_must_be_changed_first() {
        People people = Shop.bean(People.class);
        UUID shop = people.addShop("Shop " + fresh());
        String name = "must-" + fresh().substring(0, 6);
        people.add(
                shop,
                name,
                "Lead",
                "LD",
                Role.LEAD,
                Shop.password(),
                true,
                new Person.Likes(LengthUnit.INCH, Graduation.SIXTEENTH_INCH, ZoneId.of("UTC"), "auto", true));
        Visitor lead = Visitor.signedIn(name);
        assertEquals("/account?must", location(lead.get("/")));
        assertEquals("/account?must", location(lead.get("/arrive")));
        String fresh = "a longer one 7";
        assertEquals(
                422,
                lead.post("/account/password", "present", "wrong", "fresh", fresh, "again", fresh)
                        .statusCode());
        assertEquals(
                422,
                lead.post("/account/password", "present", Shop.password(), "fresh", "short", "again", "short")
                        .statusCode());
        assertEquals(
                422,
                lead.post("/account/password", "present", Shop.password(), "fresh", fresh, "again", "other")
                        .statusCode());
        assertEquals(
                302,
                lead.post("/account/password", "present", Shop.password(), "fresh", fresh, "again", fresh)
                        .statusCode());
        HttpResponse<String> floor = lead.get("/");
        assertEquals(200, floor.statusCode());
        assertTrue(floor.body().contains(Said.part("board.empty")));
    }

    private static String location(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElse("").replaceFirst("^http://[^/]+", "");
    }

    @Test
    void likes_that_cannot_be_taken_say_so() {
        HttpResponse<String> answer =
                orla.post("/account", "unit", "in", "tape", "1/16 in", "zone", "Moon/Sea", "theme", "auto");
        assertEquals(422, answer.statusCode());
        assertTrue(answer.body().contains(Said.by("problem.zone", "read", "Moon/Sea")));
    }

    @Test
    void a_vehicle_is_moved_and_a_wrong_date_told() {
        String job = fresh();
        receive(job, "AR " + job.substring(0, 6));
        assertEquals(
                302,
                orla.post("/jobs/" + job + "/move", "place", "BAY", "bay", "Bay 9", "holder", "", "due", "")
                        .statusCode());
        assertTrue(orla.get("/").body().contains("Bay 9"));
        assertTrue(orla.post("/jobs/" + job + "/move", "place", "OUT", "due", "soon")
                .body()
                .contains(Said.by("problem.day", "read", "soon")));
        orla.post("/jobs/" + job + "/move", "place", "GONE");
    }

    /** Nothing of a known vehicle is changed by receiving it again, but by who says so; its open stay is offered. */
    @Test
    void a_known_vehicle_is_changed_only_by_who_says_so() {
        Visitor orla = Visitor.signedIn("orla");
        String plate = "KN " + System.nanoTime() % 1_000_000;
        orla.get("/arrive");
        String[] first = form(plate, "kind", "CAR", "tyreFront", "225/45R17 91W", "archFront", "STRUT");
        assertEquals(302, orla.post("/arrive", first).statusCode());
        HttpResponse<String> here = orla.post("/arrive", form(plate));
        assertEquals(422, here.statusCode());
        assertTrue(here.body().contains("/jobs/" + first[1] + "/measure"), "the stay that is open is offered");
        assertTrue(here.body().contains(Said.part("problem.known.here")));
        orla.post("/jobs/" + first[1] + "/move", "place", "GONE");
        assertEquals(302, orla.post("/arrive", form(plate)).statusCode(), "nothing was typed otherwise");
        orla.post("/jobs/" + newest(plate) + "/move", "place", "GONE");
        String[] other = form(plate, "kind", "MOTORCYCLE", "tyreFront", "120/70ZR17");
        HttpResponse<String> asked = orla.post("/arrive", other);
        assertEquals(422, asked.statusCode());
        assertTrue(asked.body().contains(Said.part("problem.known.differs")));
        assertTrue(asked.body().contains("225/45R17 91W") && asked.body().contains("120/70ZR17"));
        assertEquals("CAR 225/45R17 91W STRUT", known(plate));
        assertEquals(302, orla.post("/arrive", with(other, "known", "KEEP")).statusCode());
        assertEquals("CAR 225/45R17 91W STRUT", known(plate));
        orla.post("/jobs/" + newest(plate) + "/move", "place", "GONE");
        other[1] = UUID.randomUUID().toString();
        assertEquals(302, orla.post("/arrive", with(other, "known", "CHANGE")).statusCode());
        assertEquals("MOTORCYCLE 120/70ZR17 STRUT", known(plate));
        String told = jdbc().sql("select detail from audit where what = 'VEHICLE_CHANGED' order by id desc limit 1")
                .query(String.class)
                .single();
        assertTrue(told.startsWith(plate) && told.contains("tyreFront"), told);
    }

    private static String[] with(String[] form, String... more) {
        List<String> all = new ArrayList<>(List.of(form));
        all.addAll(List.of(more));
        return all.toArray(String[]::new);
    }

    private static JdbcClient jdbc() {
        return Shop.bean(JdbcClient.class);
    }

    private static String known(String plate) {
        return jdbc().sql("select concat_ws(' ', kind, tyre_front, arch_front) from vehicle where plate = :plate")
                .param("plate", plate)
                .query(String.class)
                .single();
    }

    private static String newest(String plate) {
        return jdbc().sql(
                        "select j.id from job j join vehicle v on v.id = j.vehicle_id where v.plate = :plate order by j.nr desc limit 1")
                .param("plate", plate)
                .query(String.class)
                .single();
    }

    /** One rule for what a field may hold: what no paper can show is said, and what was typed stays. */
    @Test
    void text_that_no_paper_can_show_is_said_at_its_field() {
        Visitor orla = Visitor.signedIn("orla");
        orla.get("/arrive");
        HttpResponse<String> long_ = orla.post("/arrive", form("ß".repeat(20)));
        assertEquals(422, long_.statusCode());
        assertTrue(long_.body().contains(Said.by("problem.long", "most", "20")));
        for (String odd : new String[] {"Asa \uFFFE Brook", "Asa \u0001 Brook"}) {
            HttpResponse<String> answer =
                    orla.post("/arrive", form("TX " + System.nanoTime() % 1_000_000, "customer", odd));
            assertEquals(422, answer.statusCode());
            assertTrue(answer.body().contains(Said.part("problem.unprintable")));
            assertTrue(answer.body().contains("Brook"));
        }
    }

    private static String[] form(String plate, String... more) {
        List<String> all =
                new ArrayList<>(List.of("job", UUID.randomUUID().toString(), "plate", plate, "name", "test wagon"));
        all.addAll(List.of(more));
        return all.toArray(String[]::new);
    }
}
