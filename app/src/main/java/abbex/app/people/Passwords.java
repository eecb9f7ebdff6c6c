package abbex.app.people;

import java.security.SecureRandom;

/** Passwords that a machine makes and a person can type: no characters that look alike. */
public final class Passwords {
    private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";
    private static final SecureRandom RANDOM = new SecureRandom();

    private Passwords() {}

    /** Twelve characters in three groups: some 59 bits. */
    public static String make() {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < 14; i++) {
            text.append(i == 4 || i == 9 ? "-" : LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
        }
        return text.toString();
    }
}
