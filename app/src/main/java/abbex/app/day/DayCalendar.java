package abbex.app.day;

import abbex.app.arrive.Job;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.Method;
import biweekly.util.Duration;
import java.time.Clock;
import java.time.Instant;
import java.util.Date;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Planned days and appointments for other programs: iCalendar, RFC 5545; what is planned again replaces its former. */
@Component
class DayCalendar {
    /** How often a program that follows it asks again (ours). */
    private static final int ASKS_AFTER_MINUTES = 15;

    private final Words words;
    private final Clock clock;

    DayCalendar(Words words, Clock clock) {
        this.words = words;
        this.clock = clock;
    }

    private static ICalendar calendar(String name) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Abbex//Day//EN");
        calendar.setName(name);
        return calendar;
    }

    /**
     * Days as they are planned.
     *
     * @param person only where they have a vehicle or are called to one; empty for all
     * @param initials of people by their ids
     */
    String days(
            List<DayStore.OnDay> days,
            Optional<UUID> person,
            java.util.Map<UUID, String> initials,
            String shop,
            Reader reader) {
        ICalendar calendar = calendar(shop);
        calendar.setRefreshInterval(
                Duration.builder().minutes(ASKS_AFTER_MINUTES).build());
        for (DayStore.OnDay on : days) {
            Planned.Entry entry = on.entry();
            String lead = entry.lead().map(id -> initials.getOrDefault(id, "")).orElse("");
            if (person.isEmpty() || person.equals(entry.lead())) {
                VEvent event = event(on, entry.job() + "-" + on.day(), entry.starts(), entry.ends());
                event.setSummary(words.say("day.calendar", reader, "plate", entry.plate(), "who", lead));
                event.setDescription(entry.vehicle());
                calendar.addEvent(event);
            }
            for (int n = 0; n < entry.stints().size(); n++) {
                Planned.Stint stint = entry.stints().get(n);
                if (stint.helper().isPresent() && stint.helper().equals(person)) {
                    VEvent event = event(on, entry.job() + "-" + on.day() + "-" + n, stint.starts(), stint.ends());
                    event.setSummary(words.say("day.calendar.helps", reader, "plate", entry.plate(), "who", lead));
                    calendar.addEvent(event);
                }
            }
        }
        return Biweekly.write(calendar).go();
    }

    private static VEvent event(DayStore.OnDay on, String uid, Instant from, Instant to) {
        VEvent event = new VEvent();
        event.setUid(uid + "@abbex");
        event.setDateTimeStamp(Date.from(on.made()));
        event.setSequence(on.version());
        event.setDateStart(Date.from(from));
        event.setDateEnd(Date.from(to));
        event.setLocation(on.entry().bay());
        return event;
    }

    /** What was agreed with a customer, for the customer's own calendar: when the vehicle comes and by when it is promised. */
    String appointment(Job job, Agreed.Said said, String shop, Reader reader) {
        ICalendar calendar = calendar(shop);
        calendar.addProperty(Method.publish());
        String plate = job.vehicle().plate();
        said.comes()
                .ifPresent(at -> calendar.addEvent(agreed(
                        job,
                        "comes",
                        at,
                        said,
                        shop,
                        words.say("day.comes.file", reader, "plate", plate, "shop", shop))));
        said.ready()
                .ifPresent(at -> calendar.addEvent(agreed(
                        job,
                        "ready",
                        at,
                        said,
                        shop,
                        words.say("day.ready.file", reader, "plate", plate, "shop", shop))));
        return Biweekly.write(calendar).go();
    }

    private VEvent agreed(Job job, String which, Instant at, Agreed.Said said, String shop, String summary) {
        VEvent event = new VEvent();
        event.setUid(job.id() + "-" + which + "@abbex");
        event.setDateTimeStamp(Date.from(clock.instant()));
        event.setSequence((int) said.edition());
        event.setDateStart(Date.from(at));
        event.setSummary(summary);
        event.setLocation(shop);
        return event;
    }
}
