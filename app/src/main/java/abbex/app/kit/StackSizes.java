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

/** Rings and shims that there are for a corner, as people write them: {@code 2x5 mm, 10 mm}. */
public final class StackSizes {
    private static final Pattern PIECES = Pattern.compile("(?:(\\d{1,2})\\s*[x×]\\s*)?(.+)");
    private static final int MOST_SIZES = 8;
    private static final int MOST_PIECES = 12;

    private StackSizes() {}

    /** The text with a unit at every thickness, so that it reads alike to everybody. */
    public static String withUnits(String text, boolean metric) {
        List<String> all = new ArrayList<>();
        for (String one : text.strip().split("\\s*[,;]\\s*")) {
            all.add(one.matches(".*([A-Za-z]{2}|\").*") ? one : one + (metric ? " mm" : " in"));
        }
        return String.join(", ", all);
    }

    /** Empty for what cannot be read, is no thickness, or is more than a corner has room for. */
    public static Optional<List<Size>> read(String text) {
        List<Size> sizes = new ArrayList<>();
        int pieces = 0;
        for (String one : text.strip().split("\\s*[,;]\\s*")) {
            Matcher of = PIECES.matcher(one);
            Optional<TapeReading> thick = of.matches()
                    ? TapeText.parse(
                                    of.group(2),
                                    LengthUnit.MILLIMETRE,
                                    Graduation.MILLIMETRE,
                                    TapeText.Allowed.ZERO_OR_MORE)
                            .asReading()
                    : Optional.empty();
            if (thick.isEmpty() || thick.get().value().sign() <= 0) {
                return Optional.empty();
            }
            int count = of.group(1) == null ? 1 : Integer.parseInt(of.group(1));
            pieces += count;
            sizes.add(new Size(thick.get().value(), count));
        }
        return sizes.size() <= MOST_SIZES && pieces > 0 && pieces <= MOST_PIECES
                ? Optional.of(List.copyOf(sizes))
                : Optional.empty();
    }
}
