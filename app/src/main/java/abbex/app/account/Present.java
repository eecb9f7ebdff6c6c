package abbex.app.account;

import abbex.app.form.Form;
import abbex.app.people.Misses;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.SecondFactor;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.stereotype.Service;

/** Whether it is still the person who signed in: as few tries as at the door, or a found tablet would be one to try at. */
@Service
class Present {
    private final People people;
    private final SecondFactor second;
    private final Misses misses;

    Present(People people, SecondFactor second, Misses misses) {
        this.people = people;
        this.second = second;
        this.misses = misses;
    }

    /** The password, told at the field when it is wrong. */
    void password(Person me, String typed, Form form, String field, HttpServletRequest request) {
        if (!claim(me, request)) {
            form.problem(field, "problem.password.locked");
        } else if (people.passwordIs(me.signInName(), typed)) {
            misses.forget(name(me), request.getRemoteAddr());
        } else {
            form.problem(field, "problem.password.wrong");
        }
    }

    /** The password and then a code, which is used up only by the right password. */
    void both(Person me, String password, String code, Form form, HttpServletRequest request) {
        if (!claim(me, request)) {
            form.problem("present", "problem.password.locked");
        } else if (!people.passwordIs(me.signInName(), password)) {
            form.problem("present", "problem.password.wrong");
        } else if (!second.takes(me.id(), code)) {
            form.problem("code", "problem.second.code");
        } else {
            misses.forget(name(me), request.getRemoteAddr());
        }
    }

    private boolean claim(Person me, HttpServletRequest request) {
        return misses.claim(name(me), request.getRemoteAddr());
    }

    private static String name(Person me) {
        return "present " + me.id();
    }
}
