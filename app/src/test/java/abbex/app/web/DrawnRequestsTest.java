package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.app.store.PlainText;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.HtmlUtils;

/**
 * Ten thousand requests drawn over every form and page of a shop of its own: none answers 500, and a form that comes back
 * refused still holds every text that was typed into it.
 */
@ExtendWith(Shop.class)
class DrawnRequestsTest {
    /** All ten thousand by hand: {@code -Dabbex.draws=10000}; in CI its time is the other tests’ too. */
    private static final int ALL = Integer.getInteger("abbex.draws", 800);

    private static final int HANDS = 4;

    private static final List<String> SAMPLES = List.of(
            "",
            " ",
            "14 3/8",
            "25 7/16+",
            "646 mm",
            "30",
            "-1/2",
            "26,5",
            "1e9",
            "NaN",
            "32 psi",
            "2.2 bar",
            "DX 1-100",
            "full",
            "CAR",
            "10.5",
            "LINER_FRONT",
            "TREAD",
            "225/45R17 91W",
            "8Jx17 ET45",
            "M12x1.5",
            "PLANNED",
            "NOW",
            "TRUCK",
            "MOTORCYCLE",
            "BIKE",
            "CABBED",
            "at-LF",
            "AX",
            "FT",
            "P1",
            "front",
            "vehicle",
            "ONE",
            "NO",
            "ALL",
            "HATCH",
            "FULL",
            "HF",
            "GF",
            "LF",
            "RR",
            "BAY",
            "WAITING",
            "OUT",
            "1",
            "0",
            "-1",
            "in",
            "mm",
            "1/16 in",
            "Europe/Vienna",
            "dim",
            "true",
            "2031-01-01",
            "2026-02-31",
            "9999-12-31",
            "A4",
            "Letter",
            "LEAD",
            "999999999999999999999",
            "' or 1=1 --",
            "<script>alert(1)</script>",
            "${7*7}",
            "#{x}",
            "../../etc/passwd",
            "{id}",
            "\u0000",
            "a\u0000b",
            "\u202e12",
            "١٤",
            "😀 wheel",
            "é",
            "%00",
            "%zz",
            "a\r\nSet-Cookie: x=1",
            "\t",
            "null",
            "x".repeat(41),
            "y".repeat(130),
            "z".repeat(1200),
            "ü".repeat(500),
            "𝟏𝟒 𝟑/𝟖");

    @Test
    void no_form_and_no_page_is_forgotten_here() {
        Set<String> mapped = new TreeSet<>();
        Shop.bean(RequestMappingHandlerMapping.class).getHandlerMethods().forEach((mapping, method) -> {
            String where = method.getBeanType().getPackageName();
            if (where.startsWith("abbex") && !where.endsWith(".api")) {
                mapping.getPatternValues()
                        .forEach(path -> mapping.getMethodsCondition()
                                .getMethods()
                                .forEach(how -> mapped.add(how + " " + path)));
            }
        });
        Set<String> asked = new TreeSet<>();
        Ask.ALL.forEach(ask -> asked.add(ask.how() + " " + ask.path()));
        assertEquals(mapped, asked);
    }

    @Test
    void drawn_requests_are_answered() throws Exception {
        Grounds grounds = Grounds.make();
        ConcurrentLinkedQueue<String> wrong = new ConcurrentLinkedQueue<>();
        AtomicInteger refused = new AtomicInteger();
        AtomicInteger taken = new AtomicInteger();
        ExecutorService hands = Executors.newFixedThreadPool(HANDS);
        try {
            List<Future<?>> all = new ArrayList<>();
            for (int hand = 0; hand < HANDS; hand++) {
                Hand one = new Hand(grounds, new Random(400 + hand), wrong, taken, refused);
                all.add(hands.submit(() -> IntStream.range(0, ALL / HANDS).forEach(i -> one.ask())));
            }
            for (Future<?> one : all) {
                one.get();
            }
        } finally {
            hands.shutdownNow();
        }
        assertEquals(List.of(), wrong.stream().limit(5).toList(), wrong.size() + " wrong answers");
        assertTrue(taken.get() > ALL / 10 && refused.get() > ALL / 20, taken + " taken, " + refused + " refused");
    }

    /** A shop of its own, so that what is deactivated or blanked here is nobody else's. */
    private record Grounds(Map<String, List<String>> ids, Visitor lead) {
        static Grounds make() {
            People people = Shop.bean(People.class);
            UUID shop = people.addShop("Drawn " + UUID.randomUUID());
            Person.Likes likes =
                    new Person.Likes(LengthUnit.INCH, Graduation.SIXTEENTH_INCH, ZoneOffset.UTC, "auto", true);
            String tag = UUID.randomUUID().toString().substring(0, 8);
            people.add(shop, "lead" + tag, "Drawn Lead", "DL", Role.LEAD, Shop.password(), false, likes);
            UUID other =
                    people.add(shop, "tech" + tag, "Drawn Hand", "DH", Role.TECHNICIAN, Shop.password(), false, likes);
            Visitor lead = Visitor.signedIn("lead" + tag);
            List<String> jobs = new ArrayList<>();
            List<String> sheets = new ArrayList<>();
            for (int i = 0; i < 3; i++) {
                String job = UUID.randomUUID().toString();
                lead.get("/arrive");
                assertEquals(
                        302,
                        lead.post(
                                        "/arrive",
                                        "job",
                                        job,
                                        "plate",
                                        "DX 1-10" + i,
                                        "name",
                                        "Drawn hatch",
                                        "kind",
                                        "CAR",
                                        "shape",
                                        "HATCH")
                                .statusCode());
                jobs.add(job);
                sheets.add(Shop.bean(JdbcClient.class)
                        .sql("select id from sheet where job_id = :job")
                        .param("job", job)
                        .query(String.class)
                        .single());
            }
            // One that can be set.
            for (String corner : List.of("LF", "RF", "RR", "LR")) {
                lead.htmx(
                        "/jobs/" + jobs.get(0) + "/sheets/" + sheets.get(0) + "/readings",
                        "corner",
                        corner,
                        "method",
                        "HF",
                        "raw",
                        "14",
                        "client",
                        UUID.randomUUID().toString());
            }
            Map<String, List<String>> ids = new LinkedHashMap<>();
            ids.put("id", jobs);
            ids.put("sheetId", sheets);
            ids.put("person", List.of(other.toString()));
            ids.put("set", List.of(UUID.randomUUID().toString()));
            for (String item : List.of("probe", "remedy", "drive", "mark", "item", "move")) {
                ids.put(item, List.of(UUID.randomUUID().toString()));
            }
            ids.put("code", List.of("P1", "P2"));
            ids.put("step", List.of("chock@vehicle", "wheel-off@LF", "hose-on@LF", "mc-road@vehicle"));
            ids.put("key", List.of(UUID.randomUUID().toString()));
            return new Grounds(ids, lead);
        }
    }

    private record Hand(
            Grounds grounds,
            Random random,
            ConcurrentLinkedQueue<String> wrong,
            AtomicInteger taken,
            AtomicInteger refused) {
        void ask() {
            Ask ask;
            do {
                ask = Ask.ALL.get(random.nextInt(Ask.ALL.size()));
            } while (random.nextDouble() * 2 > ask.weight());
            String path = path(ask.path());
            Map<String, String> form = new LinkedHashMap<>();
            ask.typed().forEach(name -> form.put(name, text()));
            ask.chosen().forEach(name -> form.put(name, name.equals("client") || name.equals("job") ? id() : text()));
            form.keySet().removeIf(name -> random.nextInt(12) == 0);
            boolean htmx = random.nextInt(3) == 0;
            HttpResponse<String> answer = send(ask, path, form, htmx);
            int status = answer.statusCode();
            if (status >= 500) {
                wrong.add(status + " " + ask.how() + " " + path + " " + form);
            }
            (status < 400 ? taken : refused).incrementAndGet();
            if (status == 422) {
                for (String name : ask.typed()) {
                    // What no page can show stands there as what it was taken for.
                    String typed = PlainText.of(form.getOrDefault(name, "")).strip();
                    if (!answer.body().contains(HtmlUtils.htmlEscape(typed, "UTF-8"))) {
                        wrong.add("lost " + name + " of " + ask.path() + ": " + typed);
                    }
                }
            }
        }

        private HttpResponse<String> send(Ask ask, String path, Map<String, String> form, boolean htmx) {
            if (ask.how() == RequestMethod.GET) {
                StringBuilder query = new StringBuilder("?");
                form.forEach((name, text) -> query.append(name)
                        .append('=')
                        .append(URLEncoder.encode(text, StandardCharsets.UTF_8))
                        .append('&'));
                return htmx
                        ? grounds.lead().fragment(path + query)
                        : grounds.lead().get(path + query);
            }
            List<String> flat = new ArrayList<>();
            form.forEach((name, text) -> flat.addAll(List.of(name, text)));
            // As its page sends it: in one transaction that counts once.
            if (random.nextInt(4) > 0) {
                flat.addAll(List.of("_sent", new UUID(random.nextLong(), random.nextLong()).toString()));
            }
            String[] fields = flat.toArray(String[]::new);
            return htmx ? grounds.lead().htmx(path, fields) : grounds.lead().post(path, fields);
        }

        private String path(String pattern) {
            String path = pattern;
            for (Map.Entry<String, List<String>> known : grounds.ids().entrySet()) {
                List<String> ids = known.getValue();
                String id = random.nextInt(10) > 0 ? ids.get(random.nextInt(ids.size())) : id();
                path = path.replace("{" + known.getKey() + "}", URLEncoder.encode(id, StandardCharsets.UTF_8));
            }
            return path;
        }

        private String id() {
            return random.nextInt(20) == 0 ? text() : new UUID(random.nextLong(), random.nextLong()).toString();
        }

        private String text() {
            String sample = SAMPLES.get(random.nextInt(SAMPLES.size()));
            if (sample.isEmpty() || random.nextInt(3) > 0) {
                return sample;
            }
            StringBuilder changed = new StringBuilder(sample);
            int at = random.nextInt(sample.length());
            if (!Character.isSurrogate(sample.charAt(at))) {
                changed.setCharAt(at, (char) (32 + random.nextInt(600)));
            }
            return changed.toString();
        }
    }
}
