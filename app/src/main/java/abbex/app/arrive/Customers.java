package abbex.app.arrive;

import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.app.store.FreeText;
import abbex.app.store.FreeTexts;
import abbex.app.store.Ids;
import abbex.app.store.Journal;
import abbex.app.store.StaysSo;
import abbex.app.store.Times;
import abbex.core.redact.Redaction;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Deletes a customer: name and contact at once, and what else was chosen of the texts in which they may stand, each by
 * somebody who has read it. What was measured stays.
 */
@Service
public class Customers implements StaysSo {
    /** How the plate is chosen, beside the texts' keys. */
    static final String PLATE = "plate";

    /** In a journal: the name was taken out of a text, or all of the text went. */
    private static final String PARTLY = "partly:";

    private static final String WHOLLY = "wholly:";

    private static final String BLANK = """
            update job set customer = '', contact = '', version = version + 1, blanked_at = coalesce(blanked_at, :at)
             where id = :job and shop_id = :shop
            """;

    private static final String OTHER_STAYS = """
            select j.id, v.plate from job j join vehicle v on v.id = j.vehicle_id
             where j.shop_id = :shop and j.id <> :job and j.customer = :customer and j.customer <> ''
             order by j.nr limit 50
            """;

    private static final String NO_PLATE = """
            update vehicle set plate = :plate, plate_key = :key, version = version + 1
             where id = :vehicle and shop_id = :shop and plate <> :plate
            """;

    private final JdbcClient jdbc;
    private final Jobs jobs;
    private final List<FreeTexts> stations;
    private final ApplicationEventPublisher events;
    private final Journal journal;
    private final Audit audit;
    private final Clock clock;

    Customers(
            JdbcClient jdbc,
            Jobs jobs,
            List<FreeTexts> stations,
            ApplicationEventPublisher events,
            Journal journal,
            Audit audit,
            Clock clock) {
        this.jdbc = jdbc;
        this.jobs = jobs;
        this.stations = stations;
        this.events = events;
        this.journal = journal;
        this.audit = audit;
        this.clock = clock;
    }

    /** A text, what is left of it, and whether the customer was found in it. */
    record Written(FreeText text, String left, boolean found) {}

    /** Everything that was written of a stay; where the customer was found first. */
    List<Written> written(Job job) {
        Redaction sought = Redaction.of(job.customer(), job.contact());
        FreeTexts.Of stay = new FreeTexts.Of(job.shop(), job.id(), job.vehicle().id());
        return stations.stream()
                .flatMap(station -> station.of(stay).stream())
                .map(text -> written(text, sought))
                .sorted((a, b) -> Boolean.compare(b.found(), a.found()))
                .toList();
    }

    private static Written written(FreeText text, Redaction sought) {
        boolean found = sought.in(text.text());
        return new Written(text, found ? sought.without(text.text()) : "", found);
    }

    /** Another stay of somebody of that name. */
    record Stay(UUID job, String plate) {}

    List<Stay> otherStays(Job job) {
        return jdbc.sql(OTHER_STAYS)
                .param("shop", job.shop().toString())
                .param("job", job.id().toString())
                .param("customer", job.customer())
                .query((row, n) -> new Stay(Ids.id(row, "id"), row.getString("plate")))
                .list();
    }

    /** Since when a stay has no customer any more. */
    boolean blanked(UUID shop, UUID job) {
        return jdbc.sql("select count(*) from job where id = :job and shop_id = :shop and blanked_at is not null")
                        .param("job", job.toString())
                        .param("shop", shop.toString())
                        .query(Integer.class)
                        .single()
                > 0;
    }

    /**
     * Name and contact go.
     *
     * @param chosen keys of the texts that go or lose the name, and {@link #PLATE}; unknown ones are passed over
     */
    @Transactional
    public void delete(Person by, Job job, Set<String> chosen) {
        for (Written w : written(job)) {
            if (chosen.contains(w.text().key())) {
                journal.keep(
                        Journal.What.CUSTOMER_TEXT,
                        job.id(),
                        (w.found() ? PARTLY : WHOLLY) + w.text().key());
                put(job, w);
            }
        }
        if (chosen.contains(PLATE)) {
            journal.keep(Journal.What.CUSTOMER_TEXT, job.id(), PLATE);
            noPlate(job);
        }
        journal.keep(Journal.What.CUSTOMER_BLANKED, job.id());
        blank(job);
        audit.add(
                by,
                Audit.What.CUSTOMER_BLANKED,
                jobs.find(job.shop(), job.id()).orElse(job).vehicle().plate());
    }

    private void put(Job job, Written w) {
        stations.forEach(station -> station.put(job.shop(), w.text(), w.left()));
        events.publishEvent(new CustomerBlanked(job.id(), Map.of(w.text().text(), w.left())));
    }

    private boolean noPlate(Job job) {
        String none = "DEL " + job.vehicle().id().toString().substring(0, 8).toUpperCase(Locale.ROOT);
        if (job.vehicle().plate().equals(none)) {
            return false;
        }
        jdbc.sql(NO_PLATE)
                .param("plate", none)
                .param("key", VehicleFacts.plateKey(none))
                .param("vehicle", job.vehicle().id().toString())
                .param("shop", job.shop().toString())
                .update();
        // Every sheet of the vehicle names it.
        jobs.stays(job)
                .forEach(stay -> events.publishEvent(
                        new CustomerBlanked(stay, Map.of(job.vehicle().plate(), none))));
        return true;
    }

    private boolean blank(Job job) {
        boolean had = !job.customer().isEmpty() || !job.contact().isEmpty();
        jdbc.sql(BLANK)
                .param("at", Times.column(clock.instant()))
                .param("job", job.id().toString())
                .param("shop", job.shop().toString())
                .update();
        Map<String, String> gone = new LinkedHashMap<>();
        gone.put(job.customer(), Redaction.GONE);
        gone.put(job.contact(), Redaction.GONE);
        events.publishEvent(new CustomerBlanked(job.id(), gone));
        return had;
    }

    @Override
    public Set<Journal.What> takes() {
        return Set.of(Journal.What.CUSTOMER_TEXT, Journal.What.CUSTOMER_BLANKED);
    }

    @Override
    public String holds() {
        return jdbc.sql("select count(*) stays, date(max(arrived_at)) newest from job")
                .query((row, n) -> row.getInt("stays") + " stays, the newest of " + row.getString("newest"))
                .single();
    }

    /** A backup of before still names the customer, so that the same is found in the same texts. */
    @Override
    @Transactional
    public boolean again(Journal.Line line) {
        return known(line.of())
                .map(job -> switch (line.what()) {
                    case CUSTOMER_BLANKED -> blank(job);
                    default -> line.value().equals(PLATE) ? noPlate(job) : textAgain(job, line.value());
                })
                .orElse(false);
    }

    private boolean textAgain(Job job, String value) {
        boolean wholly = value.startsWith(WHOLLY);
        String key = value.substring(PARTLY.length());
        List<Written> again = written(job).stream()
                .filter(w -> w.text().key().equals(key) && (wholly || w.found()))
                .map(w -> wholly ? new Written(w.text(), "", w.found()) : w)
                .toList();
        again.forEach(w -> put(job, w));
        return !again.isEmpty();
    }

    private Optional<Job> known(UUID job) {
        return jdbc.sql("select shop_id from job where id = :job")
                .param("job", job.toString())
                .query((row, n) -> Ids.id(row, "shop_id"))
                .optional()
                .flatMap(shop -> jobs.find(shop, job));
    }
}
