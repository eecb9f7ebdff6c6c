package abbex.core.wheels;

import java.util.OptionalDouble;

/**
 * The load that a tyre carries by its load index (ISO 4000-1, load index table; from memory). The table below 80 is its own;
 * above 160 the entries of 80 to 159 come again ten and a hundred times as large, their halves unrounded.
 */
public final class LoadIndex {
    public static final int LEAST = 0;
    public static final int MOST = 279;

    private static final double[] BELOW_80 = {
        45, 46.2, 47.5, 48.7, 50, 51.5, 53, 54.5, 56, 58, 60, 61.5, 63, 65, 67, 69, 71, 73, 75, 77.5, 80, 82.5, 85,
        87.5, 90, 92.5, 95, 97.5, 100, 103, 106, 109, 112, 115, 118, 121, 125, 128, 132, 136, 140, 145, 150, 155, 160,
        165, 170, 175, 180, 185, 190, 195, 200, 206, 212, 218, 224, 230, 236, 243, 250, 257, 265, 272, 280, 290, 300,
        307, 315, 325, 335, 345, 355, 365, 375, 387, 400, 412, 425, 437
    };

    /** 80 to 159 before rounding: 81 and 83 are printed 462 and 487. */
    private static final double[] FROM_80 = {
        450, 462.5, 475, 487.5, 500, 515, 530, 545, 560, 580, 600, 615, 630, 650, 670, 690, 710, 730, 750, 775, 800,
        825, 850, 875, 900, 925, 950, 975, 1000, 1030, 1060, 1090, 1120, 1150, 1180, 1215, 1250, 1285, 1320, 1360, 1400,
        1450, 1500, 1550, 1600, 1650, 1700, 1750, 1800, 1850, 1900, 1950, 2000, 2060, 2120, 2180, 2240, 2300, 2360,
        2430, 2500, 2575, 2650, 2725, 2800, 2900, 3000, 3075, 3150, 3250, 3350, 3450, 3550, 3650, 3750, 3875, 4000,
        4125, 4250, 4375
    };

    private LoadIndex() {}

    /** Kilograms a tyre; empty for an index that the table does not have. */
    public static OptionalDouble kg(int index) {
        if (index < LEAST || index > MOST) {
            return OptionalDouble.empty();
        }
        if (index < 80) {
            return OptionalDouble.of(BELOW_80[index]);
        }
        double base = FROM_80[(index - 80) % 80];
        return switch ((index - 80) / 80) {
            case 0 -> OptionalDouble.of(Math.floor(base));
            case 1 -> OptionalDouble.of(base * 10);
            default -> OptionalDouble.of(base * 100);
        };
    }
}
