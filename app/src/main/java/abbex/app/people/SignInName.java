package abbex.app.people;

import java.text.Normalizer;
import java.util.Locale;

/** One rule for what a sign-in name is: what is made, looked up and counted is the same text. */
public final class SignInName {
    /** What no name is: all of it is one name, nobody's. */
    private static final String NONE = "";

    private SignInName() {}

    /** As it is kept: two to forty letters, digits, dots, dashes; what cannot be a name is the empty text. */
    public static String of(String typed) {
        if (typed.length() > 200) {
            return NONE;
        }
        // Trimmed of controls too, as the sign-in itself does before it looks a name up.
        String plain =
                Normalizer.normalize(typed.trim().strip(), Normalizer.Form.NFKC).toLowerCase(Locale.ROOT);
        return plain.matches("[\\p{L}\\p{N}][\\p{L}\\p{N}._-]{1,39}") ? plain : NONE;
    }
}
