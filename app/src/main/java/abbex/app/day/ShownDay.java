package abbex.app.day;

import abbex.app.arrive.Job;
import abbex.app.people.Person;
import abbex.app.store.Ids;
import abbex.core.day.DaySolver;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/** A day with promises and somebody away, planned: for a shop that shows what the station does. */
@Component
public class ShownDay {
    private static final Logger LOG = LoggerFactory.getLogger(ShownDay.class);

    private final Agreed agreed;
    private final Absences absences;
    private final DayPlanner planner;
    private final Hours hours;
    private final Clock clock;

    ShownDay(Agreed agreed, Absences absences, DayPlanner planner, Hours hours, Clock clock) {
        this.agreed = agreed;
        this.absences = absences;
        this.planner = planner;
        this.hours = hours;
        this.clock = clock;
    }

    /** The day after today on which the shop works next. */
    public LocalDate next(Person by) {
        ShopHours shop = hours.of(by.shop(), by.likes().zone());
        LocalDate day = LocalDate.ofInstant(clock.instant(), shop.zone()).plusDays(1);
        while (shop.on(day).length() == 0) {
            day = day.plusDays(1);
        }
        return day;
    }

    /** A vehicle is promised by a time of a day. */
    public void promise(Person by, Job job, LocalDate day, LocalTime ready) {
        agreed.agree(
                by,
                job,
                Optional.empty(),
                Optional.of(day.atTime(ready).atZone(by.likes().zone()).toInstant()),
                Optional.empty());
    }

    /** Somebody is away in the afternoon of a day. */
    public void away(Person by, Person who, LocalDate day) {
        absences.add(
                by,
                new Absences.Absence(
                        Ids.fresh(),
                        Optional.of(who.id()),
                        "",
                        day,
                        day,
                        Optional.of(LocalTime.of(14, 0)),
                        Optional.of(LocalTime.of(17, 0))));
    }

    /** A machine on which the solver does not start shows a day that is not planned. */
    public void plan(Person by, LocalDate day) {
        try {
            planner.again(by, hours.of(by.shop(), by.likes().zone()), day);
        } catch (DaySolver.NoSolver none) {
            LOG.warn("{}", none.getMessage());
        }
    }
}
