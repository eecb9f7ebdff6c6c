package abbex.core.units;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A figure with a word for its side, before it or behind it: {@code down 2 in}, {@code 2 in down}, {@code toe-out 0.35},
 * {@code 0.35° toe out}, {@code nose up 2}. One grammar for every field that goes either way.
 *
 * @param sign 1 or −1; 1 where nothing was said
 * @param word that stood there; empty where none did
 * @param figure what is left of the text; with its own sign only where no word stood there
 */
public record SidedText(int sign, String word, String figure) {
    private static final String FIGURE = "(?<figure>[+−-]?[.\\d].*?)";

    /**
     * The two sides of a field.
     *
     * @param noun that may stand before the word, such as {@code toe}
     * @param plus the word for more than 0
     * @param minus the word for less
     */
    public record Sides(String noun, String plus, String minus) {
        public static final Sides TOE = new Sides("toe", "in", "out");
        public static final Sides NOSE = new Sides("nose", "up", "down");
        public static final Sides DOWN = new Sides("", "down", "up");
        public static final Sides UP = new Sides("", "up", "down");

        private Pattern before() {
            return Pattern.compile("(?:" + noun + "[\\s-]*)?(?<side>" + plus + "|" + minus + ")[\\s:,]+" + FIGURE);
        }

        /** Behind a figure {@code in} is the inch unless the noun stands before it. */
        private Pattern behind() {
            String bare = plus.equals("in") ? minus : plus + "|" + minus;
            String sided = noun.isEmpty() ? "" : "|" + noun + "[\\s-]*(?<named>" + plus + "|" + minus + ")";
            return Pattern.compile(FIGURE + "[\\s,]*\\b(?:(?<side>" + bare + ")" + sided + ")");
        }
    }

    /** Of a field that goes one way. */
    public static SidedText of(String text) {
        return new SidedText(1, "", text.strip());
    }

    /** A word stood there. */
    public boolean said() {
        return !word.isEmpty();
    }

    /** The word with a figure, as it is kept. */
    public String text(String other) {
        return said() ? word + " " + other : other;
    }

    /** @return empty where a word and a minus contradict each other, or two words do */
    public static Optional<SidedText> read(String text, Sides sides) {
        String tidy = text.strip().toLowerCase(Locale.ROOT);
        Matcher before = sides.before().matcher(tidy);
        if (before.matches()) {
            return sided(before.group("side"), before.group("figure"), sides);
        }
        Matcher behind = sides.behind().matcher(tidy);
        if (behind.matches()) {
            String named = sides.noun().isEmpty() ? null : behind.group("named");
            return sided(named == null ? behind.group("side") : named, behind.group("figure"), sides);
        }
        return Optional.of(of(text));
    }

    private static Optional<SidedText> sided(String side, String figure, Sides sides) {
        boolean again = sides.behind().matcher(figure).matches();
        boolean signed = !Character.isDigit(figure.charAt(0)) && figure.charAt(0) != '.';
        return again || signed
                ? Optional.empty()
                : Optional.of(new SidedText(
                        side.equals(sides.plus()) ? 1 : -1, (sides.noun() + " " + side).strip(), figure.strip()));
    }
}
