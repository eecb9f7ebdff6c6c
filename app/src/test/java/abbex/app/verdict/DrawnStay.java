package abbex.app.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.arrive.Job;
import abbex.app.measure.Sheets;
import abbex.app.page.Reader;
import abbex.app.people.People;
import abbex.app.people.Person;
import abbex.app.people.Role;
import abbex.app.support.Jobs;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import abbex.app.workcard.WorkedCard;
import abbex.core.heights.MeasuringPoint;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A stay drawn at random, and two people who work on it, not always in order. */
final class DrawnStay {
    private record Hand(Visitor visitor, Person person) {
        static Hand of(UUID shop, String name, String initials) {
            People people = Shop.bean(People.class);
            Person.Likes likes =
                    new Person.Likes(LengthUnit.INCH, Graduation.SIXTEENTH_INCH, ZoneOffset.UTC, "auto", true);
            String door = name + "-" + shop.toString().substring(0, 8);
            UUID person = people.add(shop, door, name, initials, Role.TECHNICIAN, Shop.password(), false, likes);
            return new Hand(Visitor.signedIn(door), people.byId(person).orElseThrow());
        }
    }

    /** Those who work on all of them, in a shop of their own: what two of them read at one spot tells how well a shop reads. */
    static final class Hands {
        private final UUID shop = Shop.bean(People.class).addShop("Stays " + UUID.randomUUID());
        private final List<Hand> all = List.of(Hand.of(shop, "stays-one", "SO"), Hand.of(shop, "stays-two", "ST"));

        Agreement agreement() {
            return new Agreement(all.get(0).visitor(), Reader.of(all.get(0).person()));
        }
    }

    /** The tires that a vehicle comes on, and others. */
    private enum Wheels {
        ITS_OWN("as it stands", "225/45R17 91W", 0),
        LARGER("winter", "225/50R17 94H", 11.25),
        SMALLER("summer", "225/40R17 88Y", -11.25);

        private final String name;
        private final String tire;
        private final double larger;

        Wheels(String name, String tire, double larger) {
            this.name = name;
            this.tire = tire;
            this.larger = larger;
        }
    }

    private static final double ADVERTISED = 28;

    private final Hands hands;
    private final Random random;
    final boolean careful;
    final String kind;
    final DrawnBody body;
    final String id = UUID.randomUUID().toString();
    private final String[] arrival;
    private Wheels wheels = Wheels.ITS_OWN;
    private boolean told;
    private int turned;
    boolean carded;

    /** @param careful nothing is misread in it */
    DrawnStay(Hands hands, String kind, Random random, boolean careful) {
        this.hands = hands;
        this.kind = kind;
        this.random = random;
        this.careful = careful;
        body = DrawnBody.of(kind, random);
        arrival = new String[] {
            "job",
            id,
            "plate",
            "DS " + id.substring(0, 8),
            "name",
            "drawn",
            "kind",
            kind,
            "kit",
            "lowering springs",
            "promiseFRONT",
            ADVERTISED + " mm",
            "promiseREAR",
            ADVERTISED + " mm",
            "WHEELBASE",
            twoWheels() ? "1500 mm" : "2600 mm",
            "TRACK_FRONT",
            twoWheels() ? "" : "1500 mm",
            "TRACK_REAR",
            twoWheels() ? "" : "1500 mm",
            "worn",
            random.nextInt(3) == 0 ? "boot split" : ""
        };
        assertEquals(302, post("/arrive", arrival).statusCode());
    }

    boolean twoWheels() {
        return kind.equals("MOTORCYCLE");
    }

    Job job() {
        return Shop.bean(abbex.app.arrive.Jobs.class)
                .find(hands.all.get(0).person().shop(), UUID.fromString(id))
                .orElseThrow();
    }

    private Hand hand() {
        return hands.all.get(random.nextInt(hands.all.size()));
    }

    private java.net.http.HttpResponse<String> post(String path, String... form) {
        return hand().visitor().post(path, form);
    }

    private String path() {
        return "/jobs/" + id;
    }

    void lower() {
        body.lower(ADVERTISED);
        post(path() + "/set-down");
        sayWheels();
    }

    /** All that is read by some ways, as a tape is read. */
    void measure(int ways) {
        body.spots(ways).forEach(spot -> read(spot, body.height(spot) + 0.5 * random.nextGaussian()));
    }

    /** A whole inch beside the right one. */
    void misread(MeasuringPoint spot) {
        read(spot, body.height(spot) + 25.4);
    }

    private void read(MeasuringPoint spot, double mm) {
        Sheets sheets = Shop.bean(Sheets.class);
        Person person = hand().person();
        Sheets.Outcome outcome = sheets.take(
                person,
                sheets.of(person.shop(), UUID.fromString(id))
                        .newest()
                        .orElseThrow()
                        .row(),
                spot,
                Math.round(mm) + " mm",
                UUID.randomUUID(),
                Instant.now());
        assertTrue(outcome instanceof Sheets.Outcome.Stored, outcome.toString());
    }

    /** What Set proposes is turned, and the true car answers in its own way. */
    boolean turn() {
        if (turned == 0) {
            assertEquals(
                    302,
                    post(
                                    path() + "/set",
                                    "kindFRONT",
                                    "THREAD",
                                    "kindREAR",
                                    "THREAD",
                                    "pitchFRONT",
                                    "2 mm",
                                    "pitchREAR",
                                    "2 mm",
                                    "wantedFRONT",
                                    kind.equals("TRUCK") ? "446 mm" : "344 mm",
                                    "wantedREAR",
                                    kind.equals("TRUCK") ? "451 mm" : "349 mm",
                                    "ratioFRONT",
                                    "1",
                                    "ratioREAR",
                                    "1")
                            .statusCode());
        }
        if (post(path() + "/set/turned", "locked", "yes", "done", Integer.toString(turned))
                        .statusCode()
                != 302) {
            return false;
        }
        // The same form again, from another tab or after Back: it is not turned twice.
        assertNotEquals(
                302,
                post(path() + "/set/turned", "locked", "yes", "done", Integer.toString(turned))
                        .statusCode());
        turned++;
        body.turn(Arrays.stream(Shop.bean(JdbcClient.class)
                        .sql("select moves from setting_move where job_id = :job order by nr desc limit 1")
                        .param("job", id)
                        .query(String.class)
                        .single()
                        .split(" "))
                .mapToDouble(Double::parseDouble)
                .toArray());
        return true;
    }

    void wheels() {
        save(wheels, "NOW");
    }

    private void save(Wheels set, String use) {
        assertEquals(
                302,
                post(
                                path() + "/fitment/sets",
                                "name",
                                set.name,
                                "use",
                                use,
                                "TYRE_FRONT",
                                set.tire,
                                "WHEEL_FRONT",
                                twoWheels() ? "7x17" : "7.5Jx17 ET45")
                        .statusCode());
    }

    /** Other wheels, known to Wheels and said on the sheets, and the vehicle set down on them anew. */
    void otherWheels() {
        if (!told) {
            told = true;
            sayWheels("as it stands", first());
            sayWheels();
        }
        Wheels other = random.nextBoolean() ? Wheels.LARGER : Wheels.SMALLER;
        save(other, "OTHER");
        body.larger(other.larger - wheels.larger);
        wheels = other;
        post(path() + "/set-down", "stage", "OTHER");
        sayWheels();
    }

    private void sayWheels() {
        if (told) {
            sayWheels(wheels.name, Jobs.sheet(id));
        }
    }

    private void sayWheels(String set, String sheet) {
        assertEquals(
                302,
                post(path() + "/sheets/" + sheet + "/state", "WHEEL_SET", set).statusCode());
    }

    private String first() {
        return Shop.bean(Sheets.class)
                .of(job().shop(), job().id())
                .sheets()
                .get(0)
                .row()
                .id()
                .toString();
    }

    void probe(int mm) {
        post(
                path() + "/prove/probes",
                "corner",
                corner(),
                "place",
                twoWheels() ? "INNER_ARCH" : "FENDER_LIP",
                "clock",
                "12",
                "face",
                twoWheels() ? "TREAD" : "OUTER_SIDEWALL",
                "gap",
                mm + " mm");
    }

    /** A remedy into the plan; then, for a clumsy one, fitted or not. */
    void remedy() {
        post(
                path() + "/prove/remedies",
                "corner",
                corner(),
                "doses",
                List.of("INWARD:6", "ROLL_LIP:3", "LONGER_STOP:4").get(random.nextInt(3)));
    }

    /** Fitted, and the same pressed again. */
    void fit() {
        newest("remedy_taken", "vehicle_id", job().vehicle().id().toString()).ifPresent(taken -> {
            post(path() + "/prove/remedies/" + taken + "/fitted", "corner", corner());
            post(path() + "/prove/remedies/" + taken + "/fitted", "corner", corner());
        });
    }

    private static Optional<String> newest(String table, String by, String value) {
        return Shop.bean(JdbcClient.class)
                .sql("select id from " + table + " where " + by + " = :value order by nr desc limit 1")
                .param("value", value)
                .query(String.class)
                .optional();
    }

    void card(int steps) {
        carded = true;
        Shop.bean(WorkedCard.class)
                .begin(hand().person(), job(), random.nextBoolean() ? Set.of("lift") : Set.of(), steps);
    }

    /** Another kit beside the first, chosen, and measured on trial. */
    void trial() {
        post(path() + "/plan/kits", "another", "trial springs");
        newest("kit", "job_id", id).ifPresent(kit -> post(path() + "/plan/choose", "kit", kit, "reason", "tried"));
        post(path() + "/set-down", "stage", "TRIAL");
        sayWheels();
        body.further(6);
    }

    /** Back, and the form of the arrival is sent once more; then a tab of the sheet as arrived that is still open. */
    void back() {
        post("/arrive", arrival);
        Visitor old = hand().visitor();
        assertEquals(200, old.get(path() + "/sheets/" + first()).statusCode());
        // The first sheet's own form, as it stood: nothing in it was changed.
        assertTrue(old.post(path() + "/sheets/" + first() + "/state").statusCode() < 400);
    }

    /** Somebody without a lead's hand takes it for ready, without an answer to anything. */
    void leave() {
        post(path() + "/hand-over");
        post(path() + "/move", "place", "GONE");
    }

    String corner() {
        return twoWheels()
                ? List.of("FRONT", "REAR").get(random.nextInt(2))
                : List.of("LF", "RF", "RR", "LR").get(random.nextInt(4));
    }
}
