package abbex.app.people;

import java.text.Normalizer;
import java.util.Locale;
import java.util.function.Predicate;

/** One rule for what a sign-in name is: what is made, looked up and counted is the same text. */
public final class SignInName {
    /** What no name is: all of it is one name, nobody's. */
    private static final String NONE = "";

    /** Between a person's name and the word of the shop, where more than one shop lives. */
    static final String AT = "@";

    private static final String NAME = "[\\p{L}\\p{N}][\\p{L}\\p{N}._-]{1,39}";
    private static final int LONGEST_WORD = 18;

    private SignInName() {}

    /** As it is kept: two to forty letters, digits, dots, dashes, and the shop's word; what cannot be a name is the empty text. */
    public static String of(String typed) {
        return fitting(typed, NAME + "(" + AT + "[a-z0-9-]{1," + LONGEST_WORD + "})?");
    }

    /** What a shop calls its person, as {@link #of} without the shop's word. */
    public static String own(String typed) {
        return fitting(typed, NAME);
    }

    /** A word for a shop of that name: lower-case letters, digits and dashes, none that another shop has. */
    static String word(String shopName, Predicate<String> taken) {
        String plain = Normalizer.normalize(shopName, Normalizer.Form.NFKD)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        String base = plain.isEmpty() ? "shop" : plain;
        String word = cut(base, "");
        for (int n = 2; taken.test(word); n++) {
            word = cut(base, "-" + n);
        }
        return word;
    }

    private static String cut(String base, String end) {
        return base.substring(0, Math.min(base.length(), LONGEST_WORD - end.length())) + end;
    }

    private static String fitting(String typed, String rule) {
        if (typed.length() > 200) {
            return NONE;
        }
        // Trimmed of controls too, as the sign-in itself does before it looks a name up.
        String plain =
                Normalizer.normalize(typed.trim().strip(), Normalizer.Form.NFKC).toLowerCase(Locale.ROOT);
        return plain.matches(rule) ? plain : NONE;
    }
}
