package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.app.support.Jobs;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** What is sent twice counts once, whatever it is, and is answered twice alike. */
@ExtendWith(Shop.class)
class SentOnceTest {
    private static final int AT_ONCE = 6;

    /** A job's acts and a lead's, in order; {@code {table}} is the newest row of that table of the shop. */
    private static final List<String[]> ACTS =
            """
            /rules/bays; bays=Bay 1|Bay 2
            /rules/limits; SIDES_GOOD=3/16; SIDES_ACCEPT=1/4
            /rules/floors; bay=Bay 1; LF=0; RF=3 mm; RR=0; LR=1 mm
            /rules/floors/take-back; bay=Bay 1
            /gaps/set; STRUT=5/16
            /keys; name=a program
            /keys/{api_key}/revoke
            /people; name=NEW; display=Gone Soon; initials=GS; role=DESK
            /account/theme; theme=dim
            /jobs/{job}/arrive; plate=PLATE; name=sent hatch; WHEELBASE=2640 mm; customer=Some Body
            /jobs/{job}/move; place=BAY; bay=Bay 2
            /jobs/{job}/sheets/{sheet}/state; LOAD=empty; FUEL=half
            /jobs/{job}/sheets/{sheet}/points; pointName=splitter; pointWhere=ONE; pointFloor=YES
            /jobs/{job}/sheets/{sheet}/readings; corner=LF; method=HF; raw=14 1/2; client={client_a}
            /jobs/{job}/sheets/{sheet}/undo; corner=LF; method=HF
            /jobs/{job}/sheets/{sheet}/readings; corner=LF; method=HF; raw=14 1/2; client={client_b}
            /jobs/{job}/sheets/{sheet}/readings; corner=RF; method=HF; raw=14 1/2; client={client_c}
            /jobs/{job}/sheets/{sheet}/readings; corner=RR; method=HF; raw=14; client={client_d}
            /jobs/{job}/sheets/{sheet}/readings; corner=LR; method=HF; raw=14; client={client_e}
            /jobs/{job}/set-down; stage=FIRST_SET_DOWN
            /jobs/{job}/sheets/{sheet}/readings; corner=LF; method=HF; raw=13 1/2; client={client_f}
            /jobs/{job}/sheets/{sheet}/readings; corner=RF; method=HF; raw=13 1/2; client={client_g}
            /jobs/{job}/sheets/{sheet}/readings; corner=RR; method=HF; raw=13; client={client_h}
            /jobs/{job}/sheets/{sheet}/readings; corner=LR; method=HF; raw=13; client={client_i}
            /jobs/{job}/align; camberAfterLF=-1.2; toeAfterLF=0.1
            /jobs/{job}/left; threadLF=1 7/8; spares=two shims
            /jobs/{job}/return/driven; perDay=30
            /jobs/{job}/fitment/sets; name=road; use=NOW; TYRE_FRONT=225/45R17 91W
            /jobs/{job}/fitment/sets/{wheel_set}/withdraw
            /jobs/{job}/fitment/sets; name=own; use=NOW; TYRE_FRONT=225/45R17; WHEEL_FRONT=17x7.5 ET45
            /jobs/{job}/prove/probes; corner=LF; clock=12; face=TREAD; place=INNER_ARCH; gap=3/4
            /jobs/{job}/prove/probes/{probe}/withdraw; corner=LF
            /jobs/{job}/prove/range; corner=LF; lower=40 mm
            /jobs/{job}/prove/road; note=over the rise; bumpLF=20 mm; bumpRF=20 mm; bumpRR=15 mm; bumpLR=15 mm
            /jobs/{job}/prove/road/{road_test}/withdraw
            /jobs/{job}/prove/road; note=again; bumpLF=20 mm; bumpRF=20 mm; bumpRR=15 mm; bumpLR=15 mm
            /jobs/{job}/prove/road/marks; corner=LF; clock=12; face=TREAD; place=INNER_ARCH; on=CLAY
            /jobs/{job}/prove/road/marks/{road_mark}/withdraw
            /jobs/{job}/ground/points; kind=UNDERSIDE; name=splitter; away=31; from=AHEAD; height=4 7/8
            /jobs/{job}/ground/{low_point}/withdraw
            /jobs/{job}/ground/own; called=our ramp; points=0, 0|100, 0|140, 12
            /jobs/{job}/plan; NAME=Sent kit; FRONT_BOX=1; REAR_BOX=3/4
            /jobs/{job}/plan/choose; kit={kit}
            /jobs/{job}/plan/kits; another=Another kit
            /jobs/{job}/fit; lift=yes
            /jobs/{job}/hand-over
            /jobs/{job}/sheet/printed; version=1
            /memory/{job}/strike; reason-{job}=other springs
            /memory/{job}/put-back
            /jobs/{job}/hand-over/undo; version=1
            /jobs/{job}/set-down; stage=SETTLED
            /jobs/{job}/return; watch-TYRE-EDGES=GOOD; watch-DRIVER=SEEN; watch-DRIVER_why=knocks
            /jobs/{job}/blank-customer
            /arrive; job={client_j}; plate=second PLATE; name=another hatch; kind=CAR; shape=HATCH
            /people/{person}/reset
            /people/{person}/sign-out
            /people/{person}/deactivate
            """.lines().map(SentOnceTest::act).toList();

    /** A path, and names with their values; a bar is the end of a line. */
    private static String[] act(String line) {
        return line.replace('|', '\n').split("; |=");
    }

    private record Own(UUID shop, String tag, Visitor lead, String job) {
        static Own make() {
            People people = Shop.bean(People.class);
            UUID shop = people.addShop("Sent " + UUID.randomUUID());
            String tag = UUID.randomUUID().toString().substring(0, 8);
            Person.Likes likes =
                    new Person.Likes(LengthUnit.INCH, Graduation.SIXTEENTH_INCH, ZoneOffset.UTC, "auto", true);
            people.add(shop, "lead" + tag, "Sent Lead", "SL", Role.LEAD, Shop.password(), false, likes);
            Visitor lead = Visitor.signedIn("lead" + tag);
            String job = UUID.randomUUID().toString();
            lead.get("/arrive");
            lead.post(
                    "/arrive", "job", job, "plate", "SE " + tag, "name", "sent hatch", "kind", "CAR", "shape", "HATCH");
            lead.get("/jobs/" + job + "/measure");
            return new Own(shop, tag, lead, job);
        }

        String filled(String text) {
            return Pattern.compile("\\{([a-z_]+)}")
                    .matcher(text.replace("PLATE", "SE " + tag).replace("NEW", "new" + tag))
                    .replaceAll(found -> newest(found.group(1)));
        }

        private String newest(String table) {
            if (table.startsWith("client")) {
                return UUID.nameUUIDFromBytes((tag + table).getBytes(StandardCharsets.UTF_8))
                        .toString();
            }
            return switch (table) {
                case "job" -> job;
                case "person" -> one("select id from person where shop_id = :shop and sign_in_name like 'new%'");
                case "sheet" -> one("select id from sheet where shop_id = :shop order by seq desc limit 1");
                default -> one("select id from " + table + " where shop_id = :shop order by id limit 1");
            };
        }

        private String one(String sql) {
            return jdbc().sql(sql)
                    .param("shop", shop.toString())
                    .query(String.class)
                    .optional()
                    .orElse("none");
        }
    }

    private static JdbcClient jdbc() {
        return Shop.bean(JdbcClient.class);
    }

    /** Rows by table; what belongs to sessions and stamps is no act. */
    private static Map<String, Long> rows() {
        Map<String, Long> rows = new TreeMap<>();
        jdbc()
                .sql(
                        "select table_name from information_schema.tables where table_schema = 'abbex' and table_type = 'BASE TABLE'")
                .query(String.class)
                .list()
                .stream()
                .filter(name -> !name.toUpperCase().startsWith("SPRING_") && !name.equals("stamp"))
                .forEach(name -> rows.put(
                        name,
                        jdbc().sql("select count(*) from " + name)
                                .query(Long.class)
                                .single()));
        return rows;
    }

    /** What came to be while something was done. */
    private static Map<String, Long> came(Runnable act) {
        Map<String, Long> before = rows();
        act.run();
        Map<String, Long> more = new TreeMap<>();
        rows().forEach((name, n) -> {
            if (n - before.getOrDefault(name, 0L) != 0) {
                more.put(name, n - before.getOrDefault(name, 0L));
            }
        });
        return more;
    }

    private static String[] sent(Own own, String[] act, String id) {
        List<String> fields = new ArrayList<>(List.of("_sent", id));
        for (int i = 1; i < act.length; i++) {
            fields.add(own.filled(act[i]));
        }
        if (act[0].endsWith("/hand-over")) {
            Matcher asked = Pattern.compile("name=\"(answer-[^\"_]+)\"")
                    .matcher(own.lead().get(own.filled(act[0])).body());
            asked.results().map(m -> m.group(1)).distinct().forEach(name -> fields.addAll(List.of(name, "FIXED")));
        }
        return fields.toArray(String[]::new);
    }

    /** Status, where it leads, and the page without what each rendering draws anew. */
    private static String told(HttpResponse<String> answer) {
        return answer.statusCode() + " "
                + answer.headers().firstValue("Location").orElse("") + " " + answer.body();
    }

    private static Set<String> six(Own own, String path, String[] fields) throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(AT_ONCE);
        try {
            List<Future<String>> all = new ArrayList<>();
            for (int i = 0; i < AT_ONCE; i++) {
                all.add(hands.submit(() -> told(own.lead().post(path, fields))));
            }
            Set<String> told = new HashSet<>();
            for (Future<String> one : all) {
                told.add(one.get());
            }
            return told;
        } finally {
            hands.shutdownNow();
        }
    }

    @Test
    void six_at_once_are_one_and_are_answered_alike() throws Exception {
        Own once = Own.make();
        Own often = Own.make();
        List<String> wrong = new ArrayList<>();
        for (String[] act : ACTS) {
            once.lead().get("/account");
            Map<String, Long> one = came(() -> {
                String told = told(once.lead()
                        .post(
                                once.filled(act[0]),
                                sent(once, act, UUID.randomUUID().toString())));
                if (told.compareTo("400") > 0) {
                    wrong.add(act[0] + " is refused: " + told.replaceAll("(?s).*<main", ""));
                }
            });
            often.lead().get("/account");
            String path = often.filled(act[0]);
            String[] fields = sent(often, act, UUID.randomUUID().toString());
            Set<String> told = new HashSet<>();
            Map<String, Long> six = came(() -> {
                try {
                    told.addAll(six(often, path, fields));
                } catch (Exception e) {
                    throw new IllegalStateException(e);
                }
            });
            // Much later, when its page was left and come back to.
            told.add(told(often.lead().post(path, fields)));
            if (told.size() != 1) {
                wrong.add(act[0] + " was answered in " + told.size() + " ways: " + told);
            }
            if (!one.equals(six)) {
                wrong.add(act[0] + " made " + one + " once and " + six + " sent six times");
            }
        }
        assertEquals(List.of(), wrong);
    }

    @Test
    void the_same_id_with_another_text_is_another_act() {
        Own own = Own.make();
        String id = UUID.randomUUID().toString();
        own.lead().get("/account");
        own.lead().post("/keys", "_sent", id, "name", "one");
        own.lead().post("/keys", "_sent", id, "name", "two");
        assertEquals(
                2,
                jdbc().sql("select count(*) from api_key where shop_id = :shop")
                        .param("shop", own.shop().toString())
                        .query(Integer.class)
                        .single());
    }

    @Test
    void what_was_refused_may_be_sent_again() {
        Own own = Own.make();
        String[] fields = {"_sent", UUID.randomUUID().toString(), "name", "refused"};
        JdbcClient jdbc = jdbc();
        own.lead().get("/account");
        assertEquals(
                422, own.lead().post("/keys", "_sent", fields[1], "name", " ").statusCode());
        assertEquals(
                422, own.lead().post("/keys", "_sent", fields[1], "name", " ").statusCode());
        assertEquals(200, own.lead().post("/keys", fields).statusCode());
        assertEquals(
                1,
                jdbc.sql("select count(*) from api_key where name = 'refused'")
                        .query(Integer.class)
                        .single());
    }

    /** What is shown once is in no table and in no backup. */
    @Test
    void an_answer_is_sealed_and_goes_after_an_hour() {
        Own own = Own.make();
        String[] fields = {"_sent", UUID.randomUUID().toString(), "name", "sealed"};
        own.lead().get("/account");
        HttpResponse<String> first = own.lead().post("/keys", fields);
        Matcher key = Pattern.compile("<code[^>]*>([^<]{20,})</code>").matcher(first.body());
        assertTrue(key.find(), first.body());
        assertEquals(first.body(), own.lead().post("/keys", fields).body());
        List<byte[]> kept =
                jdbc().sql("select answer from sent").query(byte[].class).list();
        assertTrue(kept.stream()
                .noneMatch(b -> b != null && new String(b, StandardCharsets.ISO_8859_1).contains(key.group(1))));
        jdbc().sql("update sent set answer = null").update();
        HttpResponse<String> later = own.lead().post("/keys", fields);
        assertNotEquals(200, later.statusCode());
        assertEquals("/", later.headers().firstValue("Location").orElse(""));
    }

    /** A form that stays on its page sends another act the next time; one that found no database goes again by itself. */
    @Test
    void a_browser_sends_each_act_under_an_id_of_its_own() throws Exception {
        String name = "browser" + System.nanoTime();
        try (Screen screen = Screen.desk().signIn("tamsin")) {
            Page page = screen.page;
            screen.open("/keys");
            page.locator("#name").fill(name);
            Shop.killDatabase();
            // Pressed twice before there is an answer.
            page.locator("#name").evaluate("f => { f.form.requestSubmit(); f.form.requestSubmit(); }");
            assertThat(page.locator("form[data-again]")).hasCount(1);
            Shop.startDatabase();
            assertThat(page.locator("main code").first()).isVisible();
            assertEquals(1, keys(name));
            String job = Jobs.id("KT 4-207");
            screen.open("/jobs/" + job + "/measure");
            List<String> ids = new ArrayList<>();
            for (int i = 0; i < 2; i++) {
                String id = page.locator("form.walk input[name=_sent], form[hx-post] input[name=_sent]")
                        .first()
                        .inputValue();
                ids.add(id);
                page.evaluate(
                        "() => { const f = document.querySelector('form[hx-post]');"
                                + " document.dispatchEvent(new CustomEvent('htmx:afterRequest', { detail: { successful: true, elt: f } })); }");
            }
            assertEquals(2, Set.copyOf(ids).size(), ids.toString());
        }
    }

    private static int keys(String name) {
        return jdbc().sql("select count(*) from api_key where name = :name")
                .param("name", name)
                .query(Integer.class)
                .single();
    }

    /** An act that fails half-way leaves nothing, and goes through when it is sent again. */
    @Test
    void what_failed_was_not_stored_by_half() throws Exception {
        Own own = Own.make();
        String[] fields = {"_sent", UUID.randomUUID().toString(), "name", "half"};
        own.lead().get("/account");
        Shop.owner().sql("rename table audit to audit_away").update();
        try {
            assertEquals(500, own.lead().post("/keys", fields).statusCode());
        } finally {
            Shop.owner().sql("rename table audit_away to audit").update();
        }
        assertEquals(
                0,
                jdbc().sql("select count(*) from api_key where name = 'half'")
                        .query(Integer.class)
                        .single());
        assertEquals(200, own.lead().post("/keys", fields).statusCode());
        assertEquals(
                1,
                jdbc().sql("select count(*) from api_key where name = 'half'")
                        .query(Integer.class)
                        .single());
    }
}
