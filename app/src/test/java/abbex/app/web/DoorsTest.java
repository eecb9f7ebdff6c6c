package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Who may come in: sign-in, sessions, headers, and shops that never see each other. */
@ExtendWith(Shop.class)
class DoorsTest {
    private record Door(RequestMethod how, String path) {}

    /** Every address of the application that its controllers answer. */
    private static List<Door> doors() {
        List<Door> doors = new ArrayList<>();
        Shop.bean(RequestMappingHandlerMapping.class).getHandlerMethods().forEach((mapping, method) -> {
            boolean page = !method.getBeanType().getPackageName().endsWith(".api");
            if (method.getBeanType().getPackageName().startsWith("abbex") && page) {
                Set<RequestMethod> how = mapping.getMethodsCondition().getMethods();
                mapping.getPatternValues().forEach(path -> how.forEach(h -> doors.add(new Door(h, path))));
            }
        });
        assertTrue(doors.size() > 15, doors.toString());
        return doors;
    }

    @Test
    void a_stranger_is_sent_to_the_door_from_every_address() {
        for (Door door : doors()) {
            if (Set.of("/sign-in", "/no-network", "/js/words.mjs", "/app.css", "/calendar/{id}")
                    .contains(door.path())) {
                continue;
            }
            Visitor stranger = Visitor.stranger();
            String path = door.path().replaceAll("\\{[^}]+}", UUID.randomUUID().toString());
            HttpResponse<String> answer = door.how() == RequestMethod.GET ? stranger.get(path) : stranger.post(path);
            assertEquals(302, answer.statusCode(), door.toString());
            assertTrue(answer.headers().firstValue("Location").orElse("").contains("/sign-in"), door.toString());
            if (door.how() != RequestMethod.GET) {
                assertEquals(401, stranger.htmx(path).statusCode(), door.toString());
            }
        }
    }

    @Test
    void another_shops_job_is_a_404_like_a_missing_one() {
        Visitor orla = Visitor.signedIn("orla");
        String theirs = Jobs.id("KT 4-207", "Second Yard");
        String ours = Jobs.id("KT 4-207");
        int walked = 0;
        for (Door door : doors()) {
            if (!door.path().contains("{id}")) {
                continue;
            }
            walked++;
            for (String job : List.of(theirs, UUID.randomUUID().toString())) {
                String path = door.path()
                        .replace("{id}", job)
                        .replace("{sheetId}", Jobs.sheet(theirs))
                        .replace("{code}", "P1")
                        .replaceAll(
                                "\\{(set|probe|remedy|drive|mark|item|step|move)}",
                                UUID.randomUUID().toString());
                assertEquals(404, answer(orla, door, path), door + " " + job);
            }
            if (door.path().contains("{sheetId}")) {
                String path = door.path()
                        .replace("{id}", ours)
                        .replace("{sheetId}", Jobs.sheet(theirs))
                        .replace("{code}", "P1")
                        .replaceAll(
                                "\\{(set|probe|remedy|drive|mark|item|step|move)}",
                                UUID.randomUUID().toString());
                assertEquals(404, answer(orla, door, path), door + " with another shop's sheet");
            }
        }
        assertTrue(walked >= 9, walked + " addresses with a job");
        assertFalse(orla.get("/").body().contains("Van, 2012"));
        assertFalse(orla.get("/arrive/known?plate=nothere").body().contains("known:"));
    }

    private static int answer(Visitor who, Door door, String path) {
        return door.how() == RequestMethod.GET
                ? who.get(path).statusCode()
                : who.post(
                                path,
                                "corner",
                                "LF",
                                "method",
                                "HF",
                                "raw",
                                "14",
                                "client",
                                UUID.randomUUID().toString(),
                                "place",
                                "BAY")
                        .statusCode();
    }

    @Test
    void no_such_corner_or_way_to_measure() {
        Visitor orla = Visitor.signedIn("orla");
        String job = Jobs.id("OS 1-442");
        String readings = "/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "/readings";
        String client = UUID.randomUUID().toString();
        assertEquals(
                404,
                orla.post(readings, "corner", "XX", "method", "HF", "raw", "14", "client", client)
                        .statusCode());
        assertEquals(
                404,
                orla.post(readings, "corner", "LF", "method", "ZZ", "raw", "14", "client", client)
                        .statusCode());
        assertEquals(
                400,
                orla.post(readings, "corner", "LF", "method", "HF", "raw", "14", "client", "none")
                        .statusCode());
        assertEquals(
                422,
                orla.post(readings, "corner", "LF", "method", "HF", "raw", "26\u0000", "client", client)
                        .statusCode());
        assertEquals(404, orla.get("/jobs/" + job + "/sheet?version=99").statusCode());
        assertEquals(404, orla.get("/jobs/" + job + "/sheet.pdf?version=-1").statusCode());
    }

    @Test
    void a_wrong_password_says_the_same_whether_the_name_exists() {
        for (String name : List.of("orla", "nobody")) {
            Visitor visitor = Visitor.stranger();
            visitor.get("/sign-in");
            HttpResponse<String> answer = visitor.post("/sign-in", "username", name, "password", "wrong");
            assertTrue(answer.headers().firstValue("Location").orElse("").endsWith("/sign-in?error"));
        }
    }

    @Test
    void after_signing_in_one_stands_on_the_page_not_on_its_fragment() {
        Visitor visitor = Visitor.stranger();
        String job = Jobs.id("OS 1-442");
        String page = "/jobs/" + job + "/sheets/" + Jobs.sheet(job);
        visitor.get(page);
        assertEquals(401, visitor.fragment(page + "/news?method=HF&stamp=0").statusCode());
        visitor.get("/sign-in");
        HttpResponse<String> in = visitor.post("/sign-in", "username", "orla", "password", Shop.password());
        assertTrue(
                in.headers().firstValue("Location").orElse("").endsWith(page),
                in.headers().toString());
    }

    @Test
    void no_post_is_taken_without_its_token() {
        Visitor tamsin = Visitor.signedIn("tamsin");
        Visitor jorun = Visitor.signedIn("jorun");
        int walked = 0;
        for (Door door : doors()) {
            if (door.how() == RequestMethod.GET) {
                continue;
            }
            walked++;
            String path = door.path().replaceAll("\\{[^}]+}", UUID.randomUUID().toString());
            for (String token : List.of("", "forged", jorun.token())) {
                assertEquals(403, tamsin.withToken(token).post(path).statusCode(), door + " with token " + token);
            }
        }
        assertTrue(walked > 12, walked + " posts");
    }

    /** What only a lead may. A new address is either one of these or everybody's, said here. */
    private static final Set<String> LEADS = Set.of(
            "/people",
            "/people/{person}/reset",
            "/people/{person}/sign-out",
            "/people/{person}/deactivate",
            "/audit",
            "/keys",
            "/keys/{key}/revoke",
            "/rules",
            "/rules/limits",
            "/day/hours",
            "/rules/walk",
            "/rules/bays",
            "/rules/floors",
            "/rules/floors/take-back",
            "/rules/steps",
            "/rules/steps/take-back",
            "/rules/steps/file",
            "/gaps/set");

    private static final Set<String> EVERYBODYS = Set.of(
            "/",
            "/find",
            "/about",
            "/js/words.mjs",
            "/app.css",
            "/no-network",
            "/sign-in",
            "/account",
            "/account/theme",
            "/account/password",
            "/account/pin",
            "/account/elsewhere",
            "/account/second",
            "/account/second/codes",
            "/account/second/off",
            "/hands",
            "/arrive",
            "/arrive/known",
            "/jobs/{id}/arrive",
            "/jobs/{id}/blank-customer",
            "/jobs/{id}/move",
            "/jobs/{id}/measure",
            "/jobs/{id}/set-down",
            "/jobs/{id}/sheets/{sheetId}",
            "/jobs/{id}/sheets/{sheetId}/news",
            "/jobs/{id}/sheets/{sheetId}/wrong-vehicle",
            "/jobs/{id}/sheets/{sheetId}/unfold",
            "/jobs/{id}/sheets/{sheetId}/readings",
            "/jobs/{id}/sheets/{sheetId}/undo",
            "/jobs/{id}/sheets/{sheetId}/state",
            "/jobs/{id}/sheets/{sheetId}/points",
            "/jobs/{id}/sheets/{sheetId}/points/{code}/withdraw",
            "/jobs/{id}/fitment",
            "/jobs/{id}/fitment/step",
            "/jobs/{id}/fitment/sets",
            "/jobs/{id}/fitment/sets/{set}/withdraw",
            "/jobs/{id}/prove",
            "/jobs/{id}/prove/probes",
            "/jobs/{id}/prove/cut",
            "/jobs/{id}/prove/range",
            "/jobs/{id}/prove/remedies",
            "/jobs/{id}/prove/remedies/{remedy}/withdraw",
            "/jobs/{id}/prove/road",
            "/jobs/{id}/prove/road/{drive}/withdraw",
            "/jobs/{id}/prove/road/marks",
            "/jobs/{id}/prove/road/marks/{mark}/withdraw",
            "/jobs/{id}/align",
            "/jobs/{id}/left",
            "/jobs/{id}/return",
            "/jobs/{id}/return.ics",
            "/jobs/{id}/return/driven",
            "/returns",
            "/memory",
            "/memory/{id}/strike",
            "/memory/{id}/put-back",
            "/returns.ics",
            "/jobs/{id}/set",
            "/jobs/{id}/set/at",
            "/day",
            "/shelf",
            "/shelf/{id}",
            "/day/vehicle",
            "/day/agreed",
            "/day/away",
            "/day/away/{id}/back",
            "/day/calendars",
            "/day/calendars/{id}/withdraw",
            "/jobs/{id}/appointment.ics",
            "/calendar/{id}",
            "/instruments",
            "/instruments/now",
            "/instruments/{id}/put-down",
            "/instruments/readings/{id}/taken",
            "/instruments/readings/{id}/refused",
            "/jobs/{id}/parts",
            "/jobs/{id}/parts/add",
            "/jobs/{id}/parts/list",
            "/jobs/{id}/parts/beside",
            "/jobs/{id}/parts/tools",
            "/jobs/{id}/parts/bench",
            "/jobs/{id}/set/turned",
            "/jobs/{id}/set/measured",
            "/jobs/{id}/set/{move}/take-back",
            "/jobs/{id}/plan",
            "/jobs/{id}/plan/at",
            "/jobs/{id}/plan/kits",
            "/jobs/{id}/plan/choose",
            "/jobs/{id}/fit",
            "/jobs/{id}/fit/{step}",
            "/jobs/{id}/fit/round",
            "/jobs/{id}/fit/newer",
            "/jobs/{id}/fit/{step}/photo",
            "/jobs/{id}/photos/{item}",
            "/jobs/{id}/ground",
            "/jobs/{id}/ground/at",
            "/jobs/{id}/ground/drawn",
            "/jobs/{id}/ground/points",
            "/jobs/{id}/ground/own",
            "/jobs/{id}/ground/{item}/withdraw",
            "/proven",
            "/gaps",
            "/jobs/{id}/prove/probes/{probe}/withdraw",
            "/jobs/{id}/prove/remedies/{remedy}/fitted",
            "/jobs/{id}/prove/remedies/{remedy}/off",
            "/jobs/{id}/sheet",
            "/jobs/{id}/sheet.pdf",
            "/jobs/{id}/sheet/printed",
            "/jobs/{id}/hand-over/undo",
            "/jobs/{id}/hand-over");

    @Test
    void a_role_that_may_not_is_refused_at_every_address_that_is_not_its_own() {
        for (String name : List.of("orla", "pell")) {
            Visitor visitor = Visitor.signedIn(name);
            for (Door door : doors()) {
                assertTrue(
                        LEADS.contains(door.path()) != EVERYBODYS.contains(door.path()),
                        "whose address is " + door.path() + "?");
                if (LEADS.contains(door.path())) {
                    String path = door.path()
                            .replaceAll("\\{[^}]+}", UUID.randomUUID().toString());
                    HttpResponse<String> answer =
                            door.how() == RequestMethod.GET ? visitor.get(path) : visitor.post(path);
                    assertEquals(403, answer.statusCode(), name + " at " + door);
                }
            }
        }
    }

    @Test
    void a_cookie_that_was_made_up_opens_nothing() throws Exception {
        for (String cookie : List.of("SESSION=" + UUID.randomUUID(), "SESSION=", "SESSION=' or 1=1 --")) {
            HttpResponse<String> answer = java.net.http.HttpClient.newHttpClient()
                    .send(
                            java.net.http.HttpRequest.newBuilder(java.net.URI.create(Shop.address() + "/account"))
                                    .header("Cookie", cookie)
                                    .build(),
                            HttpResponse.BodyHandlers.ofString());
            assertEquals(302, answer.statusCode(), cookie);
        }
    }

    @Test
    void a_restart_signs_nobody_out() throws Exception {
        Visitor orla = Visitor.signedIn("orla");
        try (ConfigurableApplicationContext again = Shop.start()) {
            HttpResponse<String> answer = orla.at(Shop.address(again)).get("/account");
            assertEquals(200, answer.statusCode());
            assertTrue(answer.body().contains("Orla Vint"));
        }
    }

    @Test
    void the_browser_is_told_to_be_strict() {
        var headers = Visitor.stranger().get("/sign-in").headers();
        assertTrue(headers.firstValue("Content-Security-Policy").orElse("").startsWith("default-src 'self'"));
        assertFalse(headers.firstValue("Content-Security-Policy").orElse("").contains("unsafe"));
        assertEquals("nosniff", headers.firstValue("X-Content-Type-Options").orElse(""));
        assertEquals("DENY", headers.firstValue("X-Frame-Options").orElse(""));
        assertTrue(headers.allValues("Set-Cookie").stream()
                .allMatch(c -> c.contains("HttpOnly") && c.contains("SameSite=Lax")));
    }
}
