package abbex.app.people;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNotEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.store.Journal;
import abbex.app.store.Sha256;
import abbex.app.support.Shop;
import abbex.app.support.Visitor;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A code of the phone beside the password. */
@ExtendWith(Shop.class)
class SecondFactorTest {
    private final Visitor tamsin = Visitor.signedIn("tamsin");

    /** Appendix B of RFC 6238, its key in SHA-1; the last six of the eight digits there. */
    @Test
    void the_codes_are_those_of_the_standard() {
        String key = new Base32().encodeAsString("12345678901234567890".getBytes(StandardCharsets.US_ASCII));
        assertEquals("287082", SecondFactor.code(key, Instant.ofEpochSecond(59)));
        assertEquals("081804", SecondFactor.code(key, Instant.ofEpochSecond(1111111109L)));
        assertEquals("050471", SecondFactor.code(key, Instant.ofEpochSecond(1111111111L)));
        assertEquals("005924", SecondFactor.code(key, Instant.ofEpochSecond(1234567890L)));
        assertEquals("279037", SecondFactor.code(key, Instant.ofEpochSecond(2000000000L)));
        assertEquals("353130", SecondFactor.code(key, Instant.ofEpochSecond(20000000000L)));
    }

    /** What a phone shows, by the standard's own steps and none of the application's code. */
    private static String phone(String secret, long halfMinutesFromNow) {
        try {
            long step = Instant.now().getEpochSecond() / 30 + halfMinutesFromNow;
            Mac mac = Mac.getInstance("HmacSHA1");
            mac.init(new SecretKeySpec(new Base32().decode(secret), "HmacSHA1"));
            byte[] hash = mac.doFinal(ByteBuffer.allocate(8).putLong(step).array());
            int number = ByteBuffer.wrap(hash).getInt(hash[hash.length - 1] & 0xf) & 0x7fffffff;
            return String.format(Locale.ROOT, "%06d", number % 1_000_000);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException(e);
        }
    }

    private record Lead(String name, String secret, List<String> recovery, Visitor visitor) {}

    private static String fresh() {
        String name = "sf" + UUID.randomUUID().toString().substring(0, 8);
        People people = Shop.bean(People.class);
        Person tamsin = people.forSignIn("tamsin").orElseThrow().person();
        people.add(tamsin.shop(), name, "Second " + name, "SF", Role.LEAD, Shop.password(), false, tamsin.likes());
        return name;
    }

    /** Somebody who turned it on, with what the page showed. */
    private static Lead turnedOn() {
        String name = fresh();
        Visitor visitor = Visitor.signedIn(name);
        Matcher key = Pattern.compile("<b class=\"plate wraps\">([A-Z2-7 ]{39})</b>")
                .matcher(visitor.get("/account/second").body());
        assertTrue(key.find());
        String secret = key.group(1).replace(" ", "");
        HttpResponse<String> refused =
                visitor.post("/account/second", "present", Shop.password(), "code", wrong(secret));
        assertEquals(422, refused.statusCode());
        assertTrue(refused.body().contains(key.group(1)), "the same key after a wrong code");
        HttpResponse<String> page =
                visitor.post("/account/second", "present", Shop.password(), "code", phone(secret, 0));
        List<String> codes = new ArrayList<>();
        Matcher code = Pattern.compile("<b class=\"plate\">([a-z0-9-]{14})</b>").matcher(page.body());
        while (code.find()) {
            codes.add(code.group(1));
        }
        assertEquals(10, codes.size(), page.body());
        assertFalse(visitor.get("/account/second").body().contains(codes.get(0)), "shown once");
        return new Lead(name, secret, codes, visitor);
    }

    /** No code of these moments. */
    private static String wrong(String secret) {
        List<String> right =
                List.of(phone(secret, -2), phone(secret, -1), phone(secret, 0), phone(secret, 1), phone(secret, 2));
        return right.contains("000000") ? "000001" : "000000";
    }

    private static boolean signsIn(Visitor visitor, String name, String password, String code) {
        visitor.get("/sign-in");
        HttpResponse<String> answer = visitor.post("/sign-in", "username", name, "password", password, "code", code);
        return !answer.headers().firstValue("Location").orElse("/sign-in?error").contains("error");
    }

    private static boolean signsIn(String name, String code) {
        return signsIn(Visitor.stranger(), name, Shop.password(), code);
    }

    @Test
    void a_password_alone_signs_in_no_more() {
        Lead lead = turnedOn();
        assertFalse(signsIn(lead.name(), ""));
        assertFalse(signsIn(lead.name(), wrong(lead.secret())));
        String code = phone(lead.secret(), 1);
        assertFalse(signsIn(Visitor.stranger(), lead.name(), "not the password", code));
        String spaced = code.replaceAll("(...)", "$1 ");
        assertTrue(signsIn(lead.name(), spaced), "as the phone writes it, and not used up by the wrong password");
        assertFalse(signsIn(lead.name(), code), "once");
        assertFalse(signsIn(lead.name(), phone(lead.secret(), -1)), "nor an older one");
        // Five misses: not even the right one is looked at.
        assertFalse(signsIn(lead.name(), wrong(lead.secret())));
        assertFalse(signsIn(lead.name(), wrong(lead.secret())));
        assertFalse(signsIn(lead.name(), wrong(lead.secret())));
        assertFalse(signsIn(lead.name(), lead.recovery().get(0)), "locked");
    }

    @Test
    void one_code_that_comes_from_six_at_once_lets_one_in() throws Exception {
        SecondFactor second = Shop.bean(SecondFactor.class);
        Lead lead = turnedOn();
        UUID id = id(lead.name());
        String code = phone(lead.secret(), 1);
        ExecutorService hands = Executors.newFixedThreadPool(6);
        try {
            for (String one : List.of(code, lead.recovery().get(3))) {
                List<Future<Boolean>> tries = new ArrayList<>();
                for (int i = 0; i < 6; i++) {
                    tries.add(hands.submit(() -> second.takes(id, one)));
                }
                int taken = 0;
                for (Future<Boolean> attempt : tries) {
                    taken += attempt.get() ? 1 : 0;
                }
                assertEquals(1, taken, one);
            }
        } finally {
            hands.shutdown();
        }
    }

    private static UUID id(String name) {
        return Shop.bean(People.class).forSignIn(name).orElseThrow().person().id();
    }

    @Test
    void a_lost_phone_is_gone_round_by_a_code_that_counts_once() {
        Lead lead = turnedOn();
        assertTrue(signsIn(lead.name(), lead.recovery().get(0).toUpperCase(Locale.ROOT)));
        assertFalse(signsIn(lead.name(), lead.recovery().get(0)));
        assertTrue(lead.visitor().get("/account").body().contains("Recovery codes left: 9."));
        assertEquals(
                422,
                lead.visitor()
                        .post("/account/second/codes", "present", Shop.password(), "code", "nonsense")
                        .statusCode());
        HttpResponse<String> page = lead.visitor()
                .post(
                        "/account/second/codes",
                        "present",
                        Shop.password(),
                        "code",
                        lead.recovery().get(1));
        assertEquals(200, page.statusCode());
        assertFalse(signsIn(lead.name(), lead.recovery().get(2)), "the former ones count no more");
        Matcher code = Pattern.compile("<b class=\"plate\">([a-z0-9-]{14})</b>").matcher(page.body());
        assertTrue(code.find());
        assertTrue(signsIn(lead.name(), code.group(1)));
    }

    @Test
    void a_program_that_signs_in_by_name_needs_a_key_then() throws Exception {
        Lead lead = turnedOn();
        assertNotEquals(401, computes("tamsin"));
        assertEquals(401, computes(lead.name()));
    }

    private static int computes(String name) throws Exception {
        String both =
                Base64.getEncoder().encodeToString((name + ":" + Shop.password()).getBytes(StandardCharsets.UTF_8));
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(Shop.address() + "/api/v1/compute/drop"))
                                .header("Authorization", "Basic " + both)
                                .header("Content-Type", "application/json")
                                .POST(HttpRequest.BodyPublishers.ofString("{}"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .statusCode();
    }

    @Test
    void its_owner_turns_it_off_with_both_and_a_lead_by_a_reset() {
        Lead lead = turnedOn();
        assertEquals(
                422,
                lead.visitor()
                        .post("/account/second/off", "present", "no", "code", phone(lead.secret(), 1))
                        .statusCode());
        assertEquals(
                302,
                lead.visitor()
                        .post("/account/second/off", "present", Shop.password(), "code", phone(lead.secret(), 1))
                        .statusCode());
        assertTrue(signsIn(lead.name(), ""));
        Lead other = turnedOn();
        Matcher made = Pattern.compile(other.name() + " / ([a-z0-9-]{14})")
                .matcher(tamsin.post("/people/" + id(other.name()) + "/reset").body());
        assertTrue(made.find());
        assertTrue(signsIn(Visitor.stranger(), other.name(), made.group(1), ""));
        String record = tamsin.get("/audit?text=" + other.name()).body();
        assertTrue(record.contains("turned the code from a phone off"), record);
    }

    /** An older backup brings back neither a factor that was turned off nor the lack of one that was turned on. */
    @Test
    void what_holds_since_a_backup_is_made_so_again() {
        SecondFactor second = Shop.bean(SecondFactor.class);
        String name = fresh();
        UUID id = id(name);
        String secret = SecondFactor.freshSecret();
        assertTrue(second.again(line(Journal.What.SECOND_FACTOR, id, secret)));
        assertTrue(second.again(line(Journal.What.RECOVERY_CODES, id, Sha256.hex("a-code"))));
        assertFalse(signsIn(name, ""));
        assertTrue(signsIn(name, phone(secret, 0)));
        assertTrue(signsIn(name, "A-code"));
        assertTrue(second.again(line(Journal.What.SECOND_FACTOR, id, "-")));
        assertEquals(0, second.recoveryCodesLeft(id));
        assertTrue(signsIn(name, ""));
    }

    private static Journal.Line line(Journal.What what, UUID of, String value) {
        return new Journal.Line(Instant.now(), what, of, value);
    }
}
