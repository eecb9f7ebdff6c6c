package abbex.core.figure;

import java.util.Random;

/** A draw of some shape with the width of one, its middle at nought. */
public enum Shape {
    NORMAL,
    UNIFORM,
    LOGNORMAL,
    HEAVY;

    double drawn(Random random) {
        double normal = random.nextGaussian();
        return switch (this) {
            case NORMAL -> normal;
            case UNIFORM -> (2 * random.nextDouble() - 1) * Math.sqrt(3);
            case LOGNORMAL -> (Math.exp(0.6 * normal) - Math.exp(0.18)) / 0.79;
            case HEAVY -> {
                // Student's t with 4 degrees of freedom, whose variance is 2.
                double chi = 0;
                for (int i = 0; i < 4; i++) {
                    double one = random.nextGaussian();
                    chi += one * one;
                }
                yield normal / Math.sqrt(chi / 4) / Math.sqrt(2);
            }
        };
    }

    /** One of any shape, to either side. */
    public static double any(Random random) {
        double drawn = values()[random.nextInt(values().length)].drawn(random);
        return random.nextBoolean() ? drawn : -drawn;
    }
}
