package abbex.app.people;

import abbex.app.store.FirstShop;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import java.time.ZoneId;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** An installation of one's own: one lead with a password that must be changed. */
@Component
class EmptyShop implements FirstShop {
    private static final String LEAD = "lead";

    private final People people;

    EmptyShop(People people) {
        this.people = people;
    }

    @Override
    public String name() {
        return "empty";
    }

    @Override
    public String signIn(String before) {
        if (!people.nobodyYet()) {
            return LEAD + " / (as set)";
        }
        String password = Passwords.make();
        UUID shop = people.addShop("The shop");
        Person.Likes likes =
                new Person.Likes(LengthUnit.INCH, Graduation.SIXTEENTH_INCH, ZoneId.systemDefault(), "auto", true);
        people.add(shop, LEAD, "Lead", "LD", Role.LEAD, password, true, likes);
        return LEAD + " / " + password;
    }
}
