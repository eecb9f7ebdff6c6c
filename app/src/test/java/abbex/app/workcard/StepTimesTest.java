package abbex.app.workcard;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.arrive.Job;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.support.Jobs;
import abbex.app.support.Said;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.core.workcard.CardStep;
import abbex.core.workcard.StepTime;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Minutes of steps as a shop works them. */
@ExtendWith(Shop.class)
class StepTimesTest {
    private final Visitor orla = Visitor.signedIn("orla");

    private Job begun(Person by) {
        String id = UUID.randomUUID().toString();
        orla.post(
                "/arrive",
                "job",
                id,
                "plate",
                "ST " + id.substring(0, 8),
                "name",
                "timed " + id.substring(0, 8),
                "archFront",
                "STRUT",
                "promiseFRONT",
                "1");
        orla.post("/jobs/" + id + "/fit", "lift", "yes");
        Job job = Shop.bean(abbex.app.arrive.Jobs.class)
                .find(by.shop(), UUID.fromString(id))
                .orElseThrow();
        Cards cards = Shop.bean(Cards.class);
        String first = cards.needs(job).card().steps().get(0).key();
        cards.add(by, job, UUID.randomUUID(), Instant.now(), new Cards.Note(Cards.What.HELD, first, "0", "", "", 0));
        return job;
    }

    /** From the person's last word to the tick; a step of a job once; what is far off is set aside and named to the lead. */
    @Test
    void from_tick_to_tick() {
        Person by = Shop.bean(People.class)
                .byId(UUID.fromString(Jobs.person("orla")))
                .orElseThrow();
        StepTimes times = Shop.bean(StepTimes.class);
        Job job = begun(by);
        CardStep step = Shop.bean(Cards.class).needs(job).card().steps().stream()
                .filter(s -> s.step().minutes() >= 3)
                .findFirst()
                .orElseThrow();
        StepTime before = seen(times, by, step);
        Instant now = Instant.now().plus(1, ChronoUnit.SECONDS);
        times.ticked(by, job, step, now.plus(7, ChronoUnit.MINUTES));
        times.ticked(by, job, step, now.plus(9, ChronoUnit.MINUTES));
        StepTime after = seen(times, by, step);
        assertEquals(before.count() + 1, after.count());
        assertEquals(before.sum() + 7, after.sum(), 0.2);
        Job other = begun(by);
        times.ticked(by, other, step, now.plus(300, ChronoUnit.MINUTES));
        assertEquals(after, seen(times, by, step), "set aside");
        String page = Visitor.signedIn("tamsin").get("/rules/steps").body();
        assertTrue(page.contains(Said.by("steps.aside")), page);
        assertTrue(page.contains(other.vehicle().plate()), page);
        assertTrue(page.contains(Said.by("steps.worked")), page);
        String card = orla.get("/jobs/" + other.id() + "/fit").body();
        assertTrue(card.matches("(?s).*about [^<(]+\\([^<]+ to [^<]+\\).*"), card);
    }

    private static StepTime seen(StepTimes times, Person by, CardStep step) {
        return times.seen(by.shop()).stream()
                .filter(s -> s.step().equals(step.step().id()))
                .map(StepTimes.Seen::time)
                .findFirst()
                .orElse(StepTime.UNSEEN);
    }
}
