package abbex.app.people;

import com.nulabinc.zxcvbn.Zxcvbn;
import java.security.SecureRandom;
import java.util.List;

/** Passwords that a machine makes and a person can type: no characters that look alike. */
public final class Passwords {
    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";
    private static final SecureRandom RANDOM = new SecureRandom();

    private static final Zxcvbn METER = new Zxcvbn();
    /** Of four: beyond a hundred million guesses. */
    private static final int STRONG = 3;

    private static final int LONGEST_LOOKED_AT = 72;

    private Passwords() {}

    /** A password that a list or a pattern finds in fewer than a hundred million tries (Wheeler's estimate, USENIX Security 2016). */
    public static boolean trivial(String password, Person of) {
        String looked = password.length() > LONGEST_LOOKED_AT ? password.substring(0, LONGEST_LOOKED_AT) : password;
        return METER.measure(
                                looked,
                                List.of(
                                        of.signInName(),
                                        of.displayName(),
                                        of.shopName().replace(" ", ""),
                                        of.shopName(),
                                        "abbex"))
                        .getScore()
                < STRONG;
    }

    /** Twelve characters in three groups: some 59 bits. */
    public static String make() {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < 14; i++) {
            text.append(i == 4 || i == 9 ? "-" : LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
        }
        return text.toString();
    }
}
