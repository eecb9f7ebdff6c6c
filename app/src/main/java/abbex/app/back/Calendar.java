package abbex.app.back;

import abbex.app.arrive.Job;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.Method;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Date;
import java.util.List;
import java.util.Objects;
import java.util.TimeZone;
import org.springframework.stereotype.Component;

/** Returns as a calendar that any other program reads: iCalendar, RFC 5545; an appointment that was moved replaces its former. */
@Component
class Calendar {
    private final Words words;
    private final Clock clock;

    Calendar(Words words, Clock clock) {
        this.words = words;
        this.clock = clock;
    }

    /** @param due stays with the day they are due on */
    String of(List<Job> due, String shop, Reader reader) {
        ICalendar calendar = new ICalendar();
        calendar.setProductId("-//Abbex//Returns//EN");
        calendar.addProperty(Method.publish());
        due.forEach(job -> calendar.addEvent(event(job, shop, reader)));
        return Biweekly.write(calendar).go();
    }

    private VEvent event(Job job, String shop, Reader reader) {
        LocalDate day = Objects.requireNonNull(job.dueBack());
        VEvent event = new VEvent();
        event.setUid(job.id() + "@abbex");
        event.setDateTimeStamp(Date.from(clock.instant()));
        event.setSequence(job.edition().moves());
        event.setDateStart(date(day), false);
        event.setSummary(
                words.say("calendar.title", reader, "plate", job.vehicle().plate()));
        event.setDescription(
                words.say("calendar.text", reader, "vehicle", job.vehicle().name(), "kit", job.kit()));
        event.setLocation(shop);
        return event;
    }

    /** A day without a time: the library reads it in the machine's own zone. */
    private static Date date(LocalDate day) {
        return Date.from(day.atStartOfDay(TimeZone.getDefault().toZoneId()).toInstant());
    }
}
