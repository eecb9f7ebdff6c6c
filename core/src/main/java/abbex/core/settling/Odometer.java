package abbex.core.settling;

import abbex.core.units.Distance;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What an odometer shows.
 *
 * @param shows the number on it
 * @param miles its unit: miles, else kilometres
 * @param said the unit stood beside the number; else it is the one that was expected
 */
public record Odometer(double shows, boolean miles, boolean said) {
    /** No odometer has more digits. */
    private static final double MOST = 9_999_999;

    private static final Pattern TEXT = Pattern.compile(
            "(\\d{1,3}(?:[ ,.'’\\u00a0\\u202f]\\d{3})+|\\d{1,7})([.,]\\d)?\\s*(mi|mile|miles|km|kms|kilomet(?:re|er)s?)?");

    /**
     * @param miles what the number is taken for when no unit stands beside it
     * @return empty when the text is no odometer's
     */
    public static Optional<Odometer> parse(String text, boolean miles) {
        Matcher m = TEXT.matcher(text.strip().toLowerCase(Locale.ROOT));
        if (!m.matches()) {
            return Optional.empty();
        }
        String tenth = m.group(2) == null ? "" : "." + m.group(2).substring(1);
        double shows = Double.parseDouble(m.group(1).replaceAll("\\D", "") + tenth);
        boolean said = m.group(3) != null;
        return shows > MOST
                ? Optional.empty()
                : Optional.of(new Odometer(shows, said ? m.group(3).startsWith("mi") : miles, said));
    }

    public Distance distance() {
        return miles ? Distance.ofMiles(shows) : new Distance(shows);
    }

    /** The same number in the other unit. */
    Odometer other() {
        return new Odometer(shows, !miles, said);
    }

    /** Driven since an earlier look, km; below nothing when it ran backwards. */
    public double since(Odometer earlier) {
        return distance().km() - earlier.distance().km();
    }

    /** It ran backwards as read, and no longer with this or the earlier one in the other unit. */
    public boolean unitsMixed(Odometer earlier) {
        return since(earlier) < 0 && (plausible(other(), earlier) || plausible(this, earlier.other()));
    }

    private static boolean plausible(Odometer later, Odometer earlier) {
        double km = later.since(earlier);
        return km >= 0 && km <= USUAL;
    }

    /** A return comes sooner, km: ten times what it is asked for (ours). */
    private static final double USUAL = 16_000;

    /** Nobody comes back to be measured after more, km (ours). */
    private static final double LONGEST = 40_000;

    /** More than anybody drives until a return: as read it is another unit or another car's. */
    public boolean tooFar(Odometer earlier) {
        return since(earlier) > LONGEST;
    }
}
