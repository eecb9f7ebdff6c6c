package abbex.app.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.app.workcard.CardChanged;
import abbex.app.workcard.Cards;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.Step;
import java.net.http.HttpResponse;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Bolts that are counted: fitted by the card, brought, short, asked for by two vehicles. */
@ExtendWith(Shop.class)
class ShelfTest {
    private final String tag = UUID.randomUUID().toString().substring(0, 8);
    private final UUID shop = Shop.bean(People.class).addShop("Shelf " + tag);
    private final Visitor by = visitor();

    private Visitor visitor() {
        Person.Likes likes = new Person.Likes(LengthUnit.INCH, Graduation.SIXTEENTH_INCH, ZoneOffset.UTC, "auto", true);
        Shop.bean(People.class).add(shop, "sh" + tag, "Shelf", "SH", Role.LEAD, Shop.password(), false, likes);
        return Visitor.signedIn("sh" + tag);
    }

    private String vehicle(String plate) {
        String job = UUID.randomUUID().toString();
        by.post(
                "/arrive",
                "job",
                job,
                "plate",
                plate + " " + tag,
                "name",
                "hatch",
                "archFront",
                "STRUT",
                "archRear",
                "TWIST_BEAM");
        by.post("/jobs/" + job + "/plan", "FRONT_NEW_RATE", "28 N/mm", "FRONT_NEW_FREE", "300 mm", "NAME", "Kit");
        by.post("/jobs/" + job + "/fit", "lift", "yes");
        return job;
    }

    /** The steps that tighten a fastener that is renewed, all of one name. */
    private List<CardStep> steps(String job, Step.Fastener bolt) {
        return card(job).stream()
                .filter(s -> s.step().fasteners().contains(bolt))
                .toList();
    }

    private List<CardStep> card(String job) {
        return Shop.bean(Cards.class)
                .needs(Shop.bean(abbex.app.arrive.Jobs.class)
                        .find(shop, UUID.fromString(job))
                        .orElseThrow())
                .card()
                .steps();
    }

    private int count() {
        String page = by.get("/shelf").body();
        return Integer.parseInt(page.replaceAll("(?s).*?bill shelf.*?<b>(-?\\d+) × .*", "$1"));
    }

    @Test
    void fitted_bolts_leave_the_shelf_and_are_told_before_it_is_below_nothing() {
        String job = vehicle("A");
        Step.Fastener bolt = card(job).stream()
                .flatMap(s -> s.step().fasteners().stream())
                .filter(Step.Fastener::once)
                .findFirst()
                .orElseThrow();
        int pieces = steps(job, bolt).size();
        // Fitted before anything is counted, it is none of what is counted.
        String before = vehicle("C");
        fit(before, bolt);
        HttpResponse<String> bad = by.post("/shelf", "name", bolt.name(), "thread", bolt.thread(), "pieces", "-3");
        assertEquals(422, bad.statusCode());
        assertTrue(bad.body().contains("value=\"-3\""), "what was typed stays");
        by.post("/shelf", "name", bolt.name(), "thread", bolt.thread(), "pieces", Integer.toString(pieces));
        assertEquals(pieces, count());
        changed(before);
        assertEquals(pieces, count(), "what was on a vehicle by then is not taken again");
        assertFalse(by.get("/shelf").body().contains(Said.by("severity.LOOK")));

        // A second vehicle asks for the same: it is told before anything is fitted.
        String other = vehicle("B");
        String page = by.get("/shelf").body();
        assertTrue(page.contains(Said.by("severity.LOOK")), page);
        assertTrue(page.contains("A " + tag + ", B " + tag) || page.contains("B " + tag + ", A " + tag), page);
        assertTrue(by.get("/jobs/" + job + "/parts")
                .body()
                .contains(Said.by("shelf.line", "count", Integer.toString(pieces))));

        fit(job, bolt);
        assertEquals(0, count(), "all were fitted");
        fit(other, bolt);
        assertEquals(-pieces, count());
        String parts = by.get("/jobs/" + other + "/parts").body();
        assertTrue(parts.contains(Said.by("shelf.line.below", "count", Integer.toString(pieces))), parts);
        assertTrue(by.get("/jobs/" + other + "/hand-over").body().contains(Said.by("finding.BELOW_SHELF.title")));

        String id = Shop.bean(JdbcClient.class)
                .sql("select id from shelf_item where shop_id = :shop")
                .param("shop", shop.toString())
                .query(String.class)
                .single();
        by.post("/shelf/" + id, "what", "BROUGHT", "pieces" + id, "10");
        assertEquals(10 - pieces, count());
        by.post("/shelf/" + id, "what", "COUNTED", "pieces" + id, "3");
        assertEquals(3, count());
        assertFalse(by.get("/jobs/" + other + "/hand-over").body().contains(Said.by("finding.BELOW_SHELF.title")));
        assertEquals(
                404,
                Visitor.signedIn("orla").post("/shelf/" + id, "drop", "true").statusCode());
        by.post("/shelf/" + id, "drop", "true");
        assertFalse(by.get("/shelf").body().contains(bolt.name()));
    }

    private void changed(String job) {
        Shop.context()
                .publishEvent(new CardChanged(
                        Shop.bean(People.class)
                                .byId(UUID.fromString(Jobs.person("sh" + tag)))
                                .orElseThrow(),
                        Shop.bean(abbex.app.arrive.Jobs.class)
                                .find(shop, UUID.fromString(job))
                                .orElseThrow()));
    }

    /** As the card writes it once a step's holds, captures and torques are there. */
    private void fit(String job, Step.Fastener bolt) {
        for (CardStep step : steps(job, bolt)) {
            Shop.bean(JdbcClient.class)
                    .sql("""
                            insert into card_entry (shop_id, job_id, client, what, step, item, text, more, value, spec_seq, person_id,
                                                    made_at)
                            values (:shop, :job, :client, 'TICKED', :step, '', '', '', 0, 0, :person, utc_timestamp())
                            """)
                    .param("shop", shop.toString())
                    .param("job", job)
                    .param("client", UUID.randomUUID().toString())
                    .param("step", step.key())
                    .param("person", Jobs.person("sh" + tag))
                    .update();
            changed(job);
        }
    }
}
