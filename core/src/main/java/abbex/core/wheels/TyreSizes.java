package abbex.core.wheels;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Metric car and light-truck tyre sizes that are made, by rim diameter: width/aspect. A size that is not here is never offered.
 *
 * <p>Source: the size designations of ETRTO's Standards Manual, passenger car and light commercial sections, from memory; a
 * size left out only means that it is not offered.
 */
public final class TyreSizes {
    private static final Map<Integer, String> MADE = Map.ofEntries(
            Map.entry(
                    13,
                    "145/80 155/65 155/70 155/80 165/60 165/65 165/70 165/80 175/50 175/60 175/65 175/70 185/60 185/70"),
            Map.entry(
                    14,
                    "155/65 165/55 165/60 165/65 165/70 175/60 175/65 175/70 175/80 185/55 185/60 185/65 185/70 195/45 "
                            + "195/60 195/65 195/70 205/60 205/70"),
            Map.entry(
                    15,
                    "145/65 155/60 165/50 165/55 165/60 165/65 175/50 175/55 175/60 175/65 185/55 185/60 185/65 195/45 "
                            + "195/50 195/55 195/60 195/65 195/70 205/50 205/55 205/60 205/65 205/70 215/60 215/65 215/70 "
                            + "215/75 225/50 225/60 225/70 235/60 235/70 235/75 255/70 265/70 265/75"),
            Map.entry(
                    16,
                    "175/60 185/50 185/55 195/40 195/45 195/50 195/55 195/60 205/40 205/45 205/50 205/55 205/60 205/65 "
                            + "215/40 215/45 215/55 215/60 215/65 215/70 225/45 225/50 225/55 225/60 225/65 225/70 225/75 "
                            + "235/50 235/60 235/65 235/70 235/85 245/45 245/50 245/70 245/75 255/65 255/70 265/70 265/75 "
                            + "275/70 285/75"),
            Map.entry(
                    17,
                    "185/45 195/40 195/45 205/40 205/45 205/50 205/55 205/60 215/40 215/45 215/50 215/55 215/60 215/65 "
                            + "225/35 225/45 225/50 225/55 225/60 225/65 235/40 235/45 235/50 235/55 235/60 235/65 245/35 "
                            + "245/40 245/45 245/50 245/55 245/65 245/70 255/35 255/40 255/45 255/60 255/65 255/70 265/65 "
                            + "265/70 275/35 275/40 275/65 275/70 285/65 285/70"),
            Map.entry(
                    18,
                    "205/40 205/45 215/35 215/40 215/45 215/50 215/55 225/35 225/40 225/45 225/50 225/55 225/60 235/35 "
                            + "235/40 235/45 235/50 235/55 235/60 235/65 245/35 245/40 245/45 245/50 245/55 245/60 255/35 "
                            + "255/40 255/45 255/50 255/55 255/60 255/70 265/35 265/40 265/45 265/60 265/65 265/70 275/30 "
                            + "275/35 275/40 275/45 275/60 275/65 275/70 285/30 285/35 285/40 285/50 285/60 285/65 295/30 "
                            + "295/35 305/30"),
            Map.entry(
                    19,
                    "215/35 225/35 225/40 225/45 225/50 225/55 235/35 235/40 235/45 235/50 235/55 245/30 245/35 245/40 "
                            + "245/45 245/50 245/55 255/30 255/35 255/40 255/45 255/50 255/55 265/30 265/35 265/40 265/45 "
                            + "265/50 265/55 275/30 275/35 275/40 275/45 275/50 275/55 285/30 285/35 285/40 285/45 295/30 "
                            + "295/35 305/30 325/30"),
            Map.entry(
                    20,
                    "225/30 225/35 235/30 235/35 235/45 235/50 235/55 245/30 245/35 245/40 245/45 245/50 255/30 255/35 "
                            + "255/40 255/45 255/50 255/55 265/30 265/35 265/40 265/45 265/50 265/60 275/30 275/35 275/40 "
                            + "275/45 275/50 275/55 275/60 275/65 285/25 285/30 285/35 285/40 285/45 285/50 295/25 295/30 "
                            + "295/35 295/40 295/45 305/25 305/30 305/35 305/50 315/35 325/30"),
            Map.entry(
                    21,
                    "235/45 245/35 245/40 255/30 255/35 255/40 265/30 265/35 265/40 265/45 275/30 275/35 275/40 275/45 "
                            + "275/50 285/30 285/35 285/40 285/45 295/25 295/30 295/35 295/40 305/30 315/30 315/35 315/40 325/25"),
            Map.entry(
                    22,
                    "245/30 255/30 265/30 265/35 265/40 275/30 275/35 275/40 275/45 275/50 285/30 285/35 285/40 285/45 "
                            + "295/25 295/30 295/35 295/40 305/40 305/45 315/30 315/35 325/35 325/50"));

    private TyreSizes() {}

    /** Made for its rim, with its construction; none for a size that is not metric or of a rim that is not listed. */
    public static List<TyreSize> like(TyreSize size) {
        if (size.notation() != TyreSize.Notation.METRIC
                || size.rimCode().stripTrailingZeros().scale() > 0) {
            return List.of();
        }
        List<TyreSize> all = new ArrayList<>();
        String made = MADE.getOrDefault(size.rimCode().intValue(), "");
        Arrays.stream(made.split(" ")).filter(one -> !one.isEmpty()).forEach(one -> {
            String[] both = one.split("/");
            all.add(new TyreSize(
                    size.notation(),
                    size.prefix(),
                    new BigDecimal(both[0]),
                    new BigDecimal(both[1]),
                    size.outside(),
                    size.construction(),
                    size.rimCode(),
                    Optional.empty(),
                    false));
        });
        return all;
    }

    /** It is among those that are made. */
    public static boolean made(TyreSize size) {
        return like(size).stream()
                .anyMatch(one ->
                        one.width().compareTo(size.width()) == 0 && one.aspect().compareTo(size.aspect()) == 0);
    }
}
