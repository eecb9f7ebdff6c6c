package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Heights between the ends: shown by their place, and a wish there worked backwards to a figure of the kit. */
@ExtendWith(Shop.class)
class BetweenTest {
    private static final String MET = "IS MET";

    private final Visitor orla = Visitor.signedIn("orla");

    private String at(String plate, String... told) {
        StringBuilder query = new StringBuilder();
        for (int i = 0; i < told.length; i += 2) {
            query.append('&')
                    .append(told[i])
                    .append('=')
                    .append(URLEncoder.encode(told[i + 1], StandardCharsets.UTF_8));
        }
        String body = orla.get("/jobs/" + Jobs.id(plate) + "/plan/at?" + query.substring(1))
                .body();
        assertTrue(body.contains("planbetween"), plate);
        int from = body.indexOf("planbetween");
        return body.substring(from, body.indexOf("</section>", from))
                .replaceAll("class=\"wishedbetween met\"", "><b>" + MET + "</b><i ")
                .replaceAll("<[^>]*>", "")
                .replaceAll("[\\s\u00a0\u2009\u202f]+", " ")
                .replace('\u2044', '/');
    }

    private static String figure(String between, String name) {
        Matcher figure = Pattern.compile(Said.by("plan.way." + name) + " ([0-9 /]+)\u2033")
                .matcher(between);
        assertTrue(figure.find(), between);
        return figure.group(1);
    }

    @Test
    void what_neither_end_moves_alone_stands_by_its_place() {
        assertTrue(at("MN 208", "NAME", "links").contains("ground to seat"));
        String truck = at("VB 2-094", "NAME", "flip");
        assertTrue(truck.contains("cab sill") && truck.contains("rear spring hanger"), truck);
        assertFalse(truck.contains("bed rail"), "falls with the rear alone");
    }

    /** The figure that is said gives the height that was wished, to what a tape shows. */
    @Test
    void a_seat_height_back_to_a_link() {
        String wish = at("MN 208", "WISHED_SEAT", "30 1/4");
        assertFalse(wish.contains(MET), wish);
        String link = figure(wish, "NEW_LINK");
        String met = at("MN 208", "WISHED_SEAT", "30 1/4", "REAR_NEW_LINK", link);
        assertTrue(met.contains(MET), () -> link + ": " + met);
        assertTrue(at("MN 208", "WISHED_SEAT", "20").contains(Said.by("plan.between.none")));
    }

    @Test
    void a_bed_height_back_to_a_block_that_was_chosen() {
        String[] kit = {"WISHED_BED", "53", "REAR_GETS_BLOCKS", "yes", "REAR_BOX", ""};
        String block = figure(at("VB 2-094", kit), "BLOCK");
        String met = at("VB 2-094", "WISHED_BED", "53", "REAR_GETS_BLOCKS", "yes", "REAR_BOX", "", "REAR_BLOCK", block);
        assertTrue(met.contains(MET), () -> block + ": " + met);
        assertFalse(
                at("VB 2-094", "WISHED_BED", "53").contains(Said.by("plan.way.BLOCK") + " "), "no block in this kit");
    }
}
