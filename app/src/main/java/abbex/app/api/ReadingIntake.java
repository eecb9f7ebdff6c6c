package abbex.app.api;

import abbex.app.instruments.Inbox;
import abbex.app.people.ApiKeys;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.SignInName;
import abbex.app.people.SignedIn;
import abbex.core.instrument.Frame;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/**
 * A reading of a shop's own device: it waits for somebody of that shop, who takes or refuses it, like those that come in on the
 * line. The same number of the same device counts once.
 */
@Component
class ReadingIntake {
    private static final List<String> FIELDS = List.of("device", "boot", "number", "kind", "value", "unit", "for");
    private static final long MOST_NUMBER = 999_999_999;

    private final Inbox inbox;
    private final People people;

    ReadingIntake(Inbox inbox, People people) {
        this.inbox = inbox;
        this.people = people;
    }

    Object of(JsonNode body, Authentication caller) {
        Fields fields = new Fields("", body, FIELDS);
        String device = matching(fields, "device", "[A-Za-z0-9-]{2,12}", "SCALE-1");
        String boot = matching(fields, "boot", "[0-9A-F]{8}", "0000A1B2");
        BigDecimal number = fields.number("number", 1, MOST_NUMBER)
                .filter(n -> n.stripTrailingZeros().scale() <= 0)
                .orElseThrow(() -> ApiProblem.field("number", "", "api.field.number", "a whole one from 1"));
        Frame.Kind kind = Stream.of(Frame.Kind.values())
                .filter(Frame.Kind::measures)
                .filter(k -> k.name()
                        .toLowerCase(Locale.ROOT)
                        .equals(fields.text("kind").orElse("")))
                .findFirst()
                .orElseThrow(() -> ApiProblem.field(
                        "kind",
                        fields.text("kind").orElse(""),
                        "api.field.choice",
                        "torque, height, pressure, weight"));
        BigDecimal value = fields.number("value", 0, 999_999)
                .orElseThrow(() -> ApiProblem.field("value", "", "api.field.number", "92.4"));
        String unit = fields.text("unit").orElse("");
        if (!kind.in(unit)) {
            throw ApiProblem.field("unit", unit, "api.field.choice", kind.said());
        }
        Inbox.Outcome outcome = inbox.accept(
                shop(caller),
                person(fields, caller),
                new Inbox.Measured(
                        device,
                        boot,
                        number.longValueExact(),
                        kind.name(),
                        Frame.text(value.stripTrailingZeros().toPlainString(), unit)));
        if (outcome == Inbox.Outcome.FULL) {
            throw ApiProblem.of(429, "api.waiting", "device", device);
        }
        return Map.of("state", outcome == Inbox.Outcome.AGAIN ? "again" : "kept");
    }

    private static String matching(Fields fields, String name, String pattern, String right) {
        return fields.text(name)
                .filter(text -> text.matches(pattern))
                .orElseThrow(() -> ApiProblem.field(name, fields.text(name).orElse(""), "api.field.name", right));
    }

    private UUID shop(Authentication caller) {
        if (caller.getDetails() instanceof ApiKeys.Caller key) {
            return key.shop();
        }
        return Optional.ofNullable(caller.getPrincipal())
                .map(SignedIn.class::cast)
                .flatMap(signedIn -> people.byId(signedIn.id()))
                .map(Person::shop)
                .orElseThrow(() -> ApiProblem.of(401, "api.sign-in"));
    }

    /** Somebody of the caller's shop by the name they sign in with; who signed in themselves need not be named. */
    private UUID person(Fields fields, Authentication caller) {
        Optional<String> name = fields.text("for");
        if (name.isEmpty() && caller.getPrincipal() instanceof SignedIn signedIn) {
            return signedIn.id();
        }
        return people.ofShop(shop(caller)).stream()
                .filter(person -> person.signInName().equals(SignInName.of(name.orElse(""))))
                .map(Person::id)
                .findFirst()
                .orElseThrow(() -> ApiProblem.field("for", name.orElse(""), "api.field.person", "orla"));
    }
}
