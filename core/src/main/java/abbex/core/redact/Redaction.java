package abbex.core.redact;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Finds a customer in free text: any word of the name of three letters or more, the address of an e-mail, the digits of a
 * telephone however they are grouped. A hint and no proof: a name may be misspelt, and may be a word of the trade; a person
 * looks at each text.
 */
public final class Redaction {
    /** What stands where something was taken out. */
    public static final String GONE = "…";

    private static final int LEAST_LETTERS = 3;
    private static final int LEAST_DIGITS = 6;

    /** Between digits of one telephone number. */
    private static final String APART = "[\\s./()-]{0,3}";

    /** Parts of names that are words of their own (common practice, from memory). */
    private static final Set<String> PARTICLES = Set.of(
            "and", "the", "van", "von", "der", "den", "del", "della", "dos", "mrs", "miss", "herr", "frau", "ltd",
            "llc", "inc", "gmbh");

    private static final Pattern WORD = Pattern.compile("\\p{L}[\\p{L}\\p{M}'’-]*");
    private static final Pattern MAIL = Pattern.compile("[^\\s,;<>]+@[^\\s,;<>]+");
    private static final Pattern NUMBER = Pattern.compile("[+(]?\\p{Nd}[\\p{Nd}\\s./()-]*\\p{Nd}");

    private static final Pattern BESIDE = Pattern.compile(GONE + "(?:\\s+" + GONE + ")+");

    private final List<Pattern> sought;

    private Redaction(List<Pattern> sought) {
        this.sought = sought;
    }

    /**
     * @param name as it was typed, empty when none was
     * @param contact telephone or e-mail or both, as typed
     */
    public static Redaction of(String name, String contact) {
        List<Pattern> sought = new ArrayList<>();
        for (String typed : List.of(plain(contact), plain(name))) {
            Matcher mail = MAIL.matcher(typed);
            while (mail.find()) {
                sought.add(whole(Pattern.quote(mail.group())));
            }
            Matcher number = NUMBER.matcher(typed);
            while (number.find()) {
                numbered(number.group(), sought);
            }
        }
        Matcher word = WORD.matcher(MAIL.matcher(plain(name)).replaceAll(" "));
        while (word.find()) {
            if (word.group().length() >= LEAST_LETTERS
                    && !PARTICLES.contains(word.group().toLowerCase(Locale.ROOT))) {
                sought.add(whole(Pattern.quote(word.group()) + "(?:['’]s)?"));
            }
        }
        return new Redaction(sought);
    }

    private static void numbered(String typed, List<Pattern> sought) {
        String digits = typed.replaceAll("\\P{Nd}", "");
        if (digits.length() >= LEAST_DIGITS) {
            sought.add(whole("[+(]?" + String.join(APART, digits.split(""))));
        }
    }

    private static Pattern whole(String what) {
        return Pattern.compile(
                "(?<![\\p{L}\\p{N}])" + what + "(?![\\p{L}\\p{N}])", Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);
    }

    private static String plain(String text) {
        return Normalizer.normalize(text, Normalizer.Form.NFC);
    }

    /** Whether there is nothing to look for. */
    public boolean empty() {
        return sought.isEmpty();
    }

    public boolean in(String text) {
        String looked = plain(text);
        return sought.stream().anyMatch(p -> p.matcher(looked).find());
    }

    /** The text with {@link #GONE} in the place of what was found, once for what stands side by side. */
    public String without(String text) {
        String left = plain(text);
        for (Pattern p : sought) {
            left = p.matcher(left).replaceAll(GONE);
        }
        return BESIDE.matcher(left).replaceAll(GONE);
    }
}
