package abbex.app.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Leaves;
import abbex.app.support.Said;
import abbex.app.support.Screen;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import com.microsoft.playwright.Page;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What lies on the bench: turns, stacks, second springs, wishes; and what a shop's own fits make of a printed number. */
@ExtendWith(Shop.class)
class BenchTest {
    private static final String NAME = "own kit " + UUID.randomUUID();

    private final Visitor orla = Visitor.signedIn("orla");

    private String received() {
        String job = UUID.randomUUID().toString();
        orla.get("/arrive");
        orla.post("/arrive", "job", job, "plate", "BN " + System.nanoTime() % 10_000_000, "name", "bench coupe");
        return job;
    }

    private HttpResponse<String> tell(String job, String... fields) {
        return orla.post("/jobs/" + job + "/plan", fields);
    }

    private String at(String job, String... fields) {
        StringBuilder query = new StringBuilder("/jobs/" + job + "/plan/at?");
        for (int i = 0; i < fields.length; i += 2) {
            query.append(fields[i])
                    .append('=')
                    .append(fields[i + 1].replace(" ", "%20").replace("/", "%2F"))
                    .append('&');
        }
        return orla.get(query.toString()).body();
    }

    /** The drop of the front, as the page shows it. */
    private String drop(String job, String... fields) {
        String page = at(job, fields);
        return page.substring(page.indexOf("class=\"dropped\""), page.indexOf("class=\"give\""));
    }

    /** 2 1/4 turns of 2 mm are a perch 4.5 mm further down, and so are 4.5 mm of jack bolt. */
    @Test
    void turns_are_written_as_they_are_said() {
        String job = received();
        String moved = drop(job, "FRONT_BOX", "30 mm", "FRONT_PERCH", "4.5 mm");
        assertEquals(moved, drop(job, "FRONT_BOX", "30 mm", "FRONT_TURNS", "2 1/4", "FRONT_PITCH", "2 mm"));
        assertEquals(moved, drop(job, "FRONT_BOX", "30 mm", "FRONT_JACK_TURNS", "3", "FRONT_JACK_PITCH", "1.5 mm"));
        // One grammar for which way.
        for (String way : List.of("4.5 mm down", "down 4.5 mm", "Down: 4.5 mm")) {
            assertEquals(moved, drop(job, "FRONT_BOX", "30 mm", "FRONT_PERCH", way), way);
        }
        String up = drop(job, "FRONT_BOX", "30 mm", "FRONT_PERCH", "-4.5 mm");
        assertEquals(up, drop(job, "FRONT_BOX", "30 mm", "FRONT_PERCH", "up 4.5 mm"));
        assertTrue(tell(job, "FRONT_PERCH", "up -4.5 mm").body().contains(Said.part("problem.kit.side")));
        assertFalse(moved.equals(drop(job, "FRONT_BOX", "30 mm")));
        assertTrue(tell(job, "FRONT_TURNS", "two", "FRONT_PITCH", "2 mm")
                .body()
                .contains(Said.by("problem.kit.turns", "read", "two")));
        assertTrue(tell(job, "FRONT_TURNS", "2").body().contains(Said.by("problem.kit.whole.of")));
    }

    @Test
    void a_stack_is_made_of_the_sizes_there_are() {
        String job = received();
        String[] fields = {
            "REAR_BOX", "20 mm", "REAR_SIZES", "2x5 mm, 10 mm", "REAR_OLD_STACK", "0 mm", "REAR_NEW_STACK"
        };
        String[] made = Arrays.copyOf(fields, 8);
        made[7] = "15 mm";
        assertTrue(at(job, made).contains(Said.part("plan.stack").strip()));
        made[7] = "12 mm";
        HttpResponse<String> refused = tell(job, made);
        assertTrue(refused.body().contains(Said.part("problem.kit.stack").strip()), "it cannot be made");
        assertTrue(refused.body().contains("value=\"12 mm\""), "and is still there");
        made[3] = "half a dozen";
        assertTrue(tell(job, made).body().contains(Said.by("problem.kit.sizes", "read", "half a dozen")));
    }

    /** Two equal springs on each other are half as stiff: one spring of half the rate and both lengths. */
    @Test
    void a_second_spring_works_in_series() {
        String job = received();
        String one = drop(
                job,
                "FRONT_OLD_RATE",
                "22 N/mm",
                "FRONT_OLD_FREE",
                "360 mm",
                "FRONT_NEW_RATE",
                "34 N/mm",
                "FRONT_NEW_FREE",
                "300 mm",
                "FRONT_NEW_SOLID",
                "60 mm");
        String two = drop(
                job,
                "FRONT_OLD_RATE",
                "22 N/mm",
                "FRONT_OLD_FREE",
                "360 mm",
                "FRONT_NEW_RATE",
                "68 N/mm",
                "FRONT_NEW_FREE",
                "150 mm",
                "FRONT_NEW_SOLID",
                "30 mm",
                "FRONT_NEW_SECOND_RATE",
                "68 N/mm",
                "FRONT_NEW_SECOND_FREE",
                "150 mm",
                "FRONT_NEW_SECOND_SOLID",
                "30 mm");
        assertEquals(one, two);
        assertTrue(tell(job, "FRONT_NEW_SECOND_RATE", "68 N/mm").body().contains(Said.by("problem.kit.whole.of")));
    }

    @Test
    void a_wish_is_kept_with_the_plan() {
        String job = Jobs.id("GN 2-118");
        try (Screen screen = Screen.desk().signIn("orla")) {
            Page page = screen.page;
            screen.open("/jobs/" + job + "/plan");
            assertThat(page.locator("#bench[data-live]")).hasCount(1);
            page.locator("input[name=WISH][value=LEVEL_FRAME]").check();
            page.locator("#FRONT_WISHED_GAP").fill("2 in");
            page.locator("#bench .btn-primary").click();
            assertThat(page).hasURL(Pattern.compile(".*kit=.*"));
            assertThat(page.locator("input[name=WISH][value=LEVEL_FRAME]")).isChecked();
            assertThat(page.locator("#FRONT_WISHED_GAP")).hasValue("2 in");
            page.locator("input[name=WISH][value='']").check();
            page.locator("#FRONT_WISHED_GAP").fill("");
            page.locator("#bench .btn-primary").click();
            assertThat(page.locator("input[name=WISH][value='']")).isChecked();
            assertEquals(List.of(), screen.complaints());
        }
    }

    private void read(String job, String corner, String text) {
        String readings = "/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "/readings";
        String client = UUID.randomUUID().toString();
        orla.htmx(readings, "method", "HF", "corner", corner, "raw", text, "client", client);
    }

    /** A front that came down 5/32 in more than printed moves the next plan of that kit here; taken back it does not. */
    @Test
    void what_was_handed_over_moves_the_next_plan() {
        String job = UUID.randomUUID().toString();
        orla.get("/arrive");
        orla.post(
                "/arrive",
                "job",
                job,
                "plate",
                "BN " + System.nanoTime() % 10_000_000,
                "name",
                "bench coupe",
                "kit",
                NAME,
                "promiseFRONT",
                "1 1/4");
        orla.post("/jobs/" + job + "/sheets/" + Jobs.sheet(job) + "/state", "LOAD", "empty", "FUEL", "half");
        List.of("LF", "RF").forEach(corner -> read(job, corner, "14 3/8"));
        orla.post("/jobs/" + job + "/set-down");
        List.of("LF", "RF").forEach(corner -> read(job, corner, "12 31/32"));
        String next = received();
        String plain = drop(next, "NAME", NAME, "FRONT_BOX", "1 1/4");
        assertEquals(302, Leaves.handOver(orla, job).statusCode());
        String few = Said.part("plan.own.few").strip();
        assertTrue(at(next, "NAME", NAME, "FRONT_BOX", "1 1/4").contains(few), "the fit counts");
        assertFalse(drop(next, "NAME", NAME, "FRONT_BOX", "1 1/4").equals(plain));
        assertFalse(at(job, "FRONT_BOX", "1 1/4").contains(few), "but not against itself");
        orla.post("/jobs/" + job + "/hand-over/undo", "version", "1");
        assertEquals(plain, drop(next, "NAME", NAME, "FRONT_BOX", "1 1/4"));
    }
}
