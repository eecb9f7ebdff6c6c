package abbex.core.wheels;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Tyre and wheel as they are said in one breath: {@code 225/40R18 92Y 8Jx18 ET45 +5 mm}.
 *
 * @param tyre what {@link TyreSize#parse} reads
 * @param wheel what {@link Wheel#parse} reads
 * @param spacer what stands behind a plus, with its unit where one was said; empty where there is none
 */
public record FitmentText(String tyre, String wheel, String spacer) {
    private static final Pattern APART = Pattern.compile("[\\s,;]+");
    private static final Pattern SPACER = Pattern.compile("(.*?)[\\s,;]*\\+\\s*(\\d[\\d./ ]*(?:mm|in)?)\\s*");

    /** Nobody says a wheel in more characters than this. */
    private static final int LONGEST = 120;

    /** Where a text can be cut so that a tyre stands before and a wheel behind; empty where it cannot. */
    public static Optional<FitmentText> of(String text) {
        if (text.length() > LONGEST) {
            return Optional.empty();
        }
        Matcher spaced = SPACER.matcher(text);
        String spacer = spaced.matches() ? spaced.group(2).strip() : "";
        String both = spaced.matches() ? spaced.group(1) : text;
        Matcher cut = APART.matcher(both);
        while (cut.find()) {
            String tyre = both.substring(0, cut.start()).strip();
            String wheel = both.substring(cut.end()).strip();
            if (TyreSize.parse(tyre).asSize().isPresent() && wheelLike(wheel)) {
                return Optional.of(new FitmentText(tyre, wheel, spacer));
            }
        }
        return Optional.empty();
    }

    /** A wheel, or one that only lacks its offset: what it lacks is asked for at its own field. */
    private static boolean wheelLike(String text) {
        return !(Wheel.parse(text) instanceof WheelParse.Refused refused)
                || refused.why() == WheelParse.Refusal.NO_OFFSET
                || refused.why() == WheelParse.Refusal.LIKE_BACKSPACING;
    }
}
