package abbex.core;

import java.util.Random;
import java.util.stream.LongStream;

/** Seeded draws for properties: the seed is part of the test's name, so that a failure can be repeated. */
public final class Draws {
    public static final int COUNT = 10_000;

    private Draws() {}

    /** Ten seeds, each to be drawn a tenth of the count from. */
    public static LongStream seeds() {
        return LongStream.rangeClosed(1, 10);
    }

    public interface Draw {
        void from(Random random);
    }

    public static void each(long seed, Draw draw) {
        Random random = new Random(seed);
        for (int i = 0; i < COUNT / 10; i++) {
            draw.from(random);
        }
    }
}
