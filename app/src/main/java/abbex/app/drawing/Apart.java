package abbex.app.drawing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Keeps labels of a drawing off each other. Drawing geometry only, in the drawing's own units. */
final class Apart {
    /** So many directions are tried round a spot, and so many rings. */
    private static final int DIRECTIONS = 16;

    private static final int RINGS = 8;

    private Apart() {}

    /** A place in a drawing. */
    record At(double x, double y) {
        double far(At other) {
            return Math.hypot(x - other.x, y - other.y);
        }
    }

    /** A part of a drawing. */
    record Box(double left, double top, double right, double bottom) {
        boolean holds(At at) {
            return at.x >= left && at.x <= right && at.y >= top && at.y <= bottom;
        }
    }

    /**
     * Places on a line moved by as little as can be, by squares, so that each two stand at least so far apart: the nearest
     * monotone sequence by pooled neighbours.
     *
     * @return in the order in which they came
     */
    static double[] onLine(double[] wished, double gap) {
        return onLine(wished, gap, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);
    }

    /** The same on a piece of a line that has room for all of them. */
    static double[] onLine(double[] wished, double gap, double from, double to) {
        int n = wished.length;
        int[] order = sorted(wished);
        double[] mean = new double[n];
        int[] size = new int[n];
        int blocks = 0;
        for (int i = 0; i < n; i++) {
            mean[blocks] = wished[order[i]] - i * gap;
            size[blocks++] = 1;
            while (blocks > 1 && mean[blocks - 2] > mean[blocks - 1]) {
                int both = size[blocks - 2] + size[blocks - 1];
                mean[blocks - 2] = (mean[blocks - 2] * size[blocks - 2] + mean[blocks - 1] * size[blocks - 1]) / both;
                size[--blocks - 1] = both;
            }
        }
        double[] placed = new double[n];
        int at = 0;
        for (int b = 0; b < blocks; b++) {
            for (int k = 0; k < size[b]; k++, at++) {
                placed[order[at]] = Math.max(from, Math.min(to - (n - 1) * gap, mean[b])) + at * gap;
            }
        }
        return placed;
    }

    /** The same on a circle: it is opened where the widest gap is. */
    static double[] onCircle(double[] wished, double gap, double round) {
        int n = wished.length;
        if (n == 0) {
            return wished;
        }
        double[] inside =
                Arrays.stream(wished).map(a -> ((a % round) + round) % round).toArray();
        int[] order = sorted(inside);
        double widest = -1;
        double open = 0;
        for (int i = 0; i < n; i++) {
            double next = inside[order[(i + 1) % n]] + (i + 1 == n ? round : 0);
            if (next - inside[order[i]] > widest) {
                widest = next - inside[order[i]];
                open = next % round;
            }
        }
        double from = open;
        double[] line =
                Arrays.stream(inside).map(a -> (a - from + round) % round).toArray();
        return Arrays.stream(onLine(line, gap)).map(a -> (a + from) % round).toArray();
    }

    private static int[] sorted(double[] values) {
        return IntStream.range(0, values.length)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> values[i]))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    /**
     * Labels beside spots, each as near its wish as the others leave it; one that finds no room stands on its wish.
     *
     * @param spots which no label may cover
     * @param gap between two labels; a spot is kept free by half of it
     */
    static List<At> inPlane(List<At> spots, List<At> wished, double gap, Box within) {
        List<At> placed = new ArrayList<>();
        for (int i = 0; i < wished.size(); i++) {
            At wish = wished.get(i);
            placed.add(candidates(spots.get(i), wish, gap)
                    .filter(within::holds)
                    .filter(c -> placed.stream().allMatch(p -> p.far(c) >= gap))
                    .filter(c -> spots.stream().allMatch(s -> s.far(c) >= gap / 2))
                    .min(Comparator.comparingDouble(c -> c.far(wish)))
                    .orElse(wish));
        }
        return placed;
    }

    private static Stream<At> candidates(At spot, At wish, double gap) {
        return Stream.concat(
                Stream.of(wish), IntStream.range(0, DIRECTIONS * RINGS).mapToObj(i -> {
                    double angle = 2 * Math.PI * (i % DIRECTIONS) / DIRECTIONS;
                    double out = gap * (1 + i / DIRECTIONS * 0.75);
                    return new At(spot.x() + out * Math.cos(angle), spot.y() + out * Math.sin(angle));
                }));
    }
}
