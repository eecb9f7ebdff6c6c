package abbex.app.kit;

import abbex.core.kit.Stacks.Size;
import abbex.core.units.Graduation;
import abbex.core.units.LengthUnit;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Rings and shims that there are for a corner, as people write them: {@code 2x5 mm, 10 mm}. */
public final class StackSizes {
    /** How many, before the thickness or behind it: {@code 4x1/4}, {@code 4 of 1/4}, {@code 1/4 4 pieces}. */
    private static final Pattern BEFORE = Pattern.compile("(\\d{1,2})\\s*(?:[x×]|of\\b)\\s*(.+)");

    private static final Pattern BEHIND =
            Pattern.compile("(.+?)[\\s,]*[\\s(](\\d{1,2})\\s*(?:pieces?|pcs?|off|[x×])\\)?");

    /** A decimal comma, or two sizes: nobody can tell. */
    private static final Pattern EITHER = Pattern.compile(".*\\d,\\d.*");

    private static final int MOST_SIZES = 8;
    private static final int MOST_PIECES = 12;

    private StackSizes() {}

    /** A part of a list: how many, empty where nobody said, and a thickness as it stands there. */
    private record Pieces(String count, String thickness) {
        static Pieces of(String text) {
            Matcher before = BEFORE.matcher(text);
            if (before.matches()) {
                return new Pieces(before.group(1), before.group(2));
            }
            Matcher behind = BEHIND.matcher(text);
            return behind.matches() ? new Pieces(behind.group(2), behind.group(1)) : new Pieces("", text);
        }
    }

    private static List<Pieces> pieces(String text) {
        return Stream.of(text.strip().split("\\s*[,;]\\s*")).map(Pieces::of).toList();
    }

    /** The text with a unit at every thickness and how many before it, so that it reads alike to everybody. */
    public static String withUnits(String text, boolean metric) {
        if (EITHER.matcher(text).matches()) {
            return text;
        }
        return pieces(text).stream()
                .map(one -> (one.count().isEmpty() ? "" : one.count() + "x")
                        + one.thickness()
                        + (one.thickness().matches(".*([A-Za-z]{2}|\").*") ? "" : metric ? " mm" : " in"))
                .collect(Collectors.joining(", "));
    }

    /** Nobody said of any size how many of it there are. */
    public static boolean uncounted(String text) {
        return pieces(text).stream().allMatch(one -> one.count().isEmpty());
    }

    /** Empty for what cannot be read, is no thickness, or is more than a corner has room for. */
    public static Optional<List<Size>> read(String text) {
        if (EITHER.matcher(text).matches()) {
            return Optional.empty();
        }
        List<Size> sizes = new ArrayList<>();
        int pieces = 0;
        for (Pieces one : pieces(text)) {
            Optional<TapeReading> thick = TapeText.parse(
                            one.thickness(),
                            LengthUnit.MILLIMETRE,
                            Graduation.MILLIMETRE,
                            TapeText.Allowed.ZERO_OR_MORE)
                    .asReading();
            if (thick.isEmpty() || thick.get().value().sign() <= 0) {
                return Optional.empty();
            }
            int count = one.count().isEmpty() ? 1 : Integer.parseInt(one.count());
            pieces += count;
            sizes.add(new Size(thick.get().value(), count));
        }
        return sizes.size() <= MOST_SIZES && pieces > 0 && pieces <= MOST_PIECES
                ? Optional.of(List.copyOf(sizes))
                : Optional.empty();
    }
}
