package abbex.app.page;

import abbex.app.people.Person;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** For whom figures and times are written. */
public record Reader(LengthUnit unit, Graduation shown, ZoneId zone) {
    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("H:mm", Locale.ENGLISH);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM, H:mm", Locale.ENGLISH);
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("EEE d MMMM", Locale.ENGLISH);
    private static final DateTimeFormatter FULL = DateTimeFormatter.ofPattern("d MMMM yyyy, H:mm", Locale.ENGLISH);

    public static Reader of(Person person) {
        Graduation tape = person.likes().tape();
        LengthUnit unit = person.likes().unit();
        boolean own = tape.unit().metric() == unit.metric();
        Graduation shown = own ? tape : Graduation.usual(unit);
        // Means of 1/16 in readings stand on 32nds: results are rounded no coarser than that.
        if (shown.unit() == LengthUnit.INCH && shown.perUnit() < 32) {
            shown = new Graduation(LengthUnit.INCH, 32);
        }
        return new Reader(unit, shown, person.likes().zone());
    }

    /** The same reader with the other unit, one tap away. */
    public Reader other() {
        LengthUnit other = unit.metric() ? LengthUnit.INCH : LengthUnit.MILLIMETRE;
        return new Reader(other, other.metric() ? Graduation.MILLIMETRE : new Graduation(LengthUnit.INCH, 32), zone);
    }

    public String clock(Instant at) {
        return CLOCK.format(at.atZone(zone));
    }

    public String day(Instant at) {
        return DAY.format(at.atZone(zone));
    }

    public String date(LocalDate day) {
        return DATE.format(day);
    }

    public String full(Instant at) {
        return FULL.format(at.atZone(zone));
    }
}
