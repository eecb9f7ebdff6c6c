package abbex.app.verdict;

import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.heights.PointMethod;
import abbex.core.setting.Car;
import abbex.core.stance.Stance;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Seat;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;

/** A body as it really stands: springs, tires and bars drawn from wider than what the application believes. */
abstract class DrawnBody {
    final Random random;

    private DrawnBody(Random random) {
        this.random = random;
    }

    static DrawnBody of(String kind, Random random) {
        return kind.equals("MOTORCYCLE") ? new TwoWheels(random) : new FourWheels(random, kind.equals("TRUCK"));
    }

    /** What is read when so many ways are read. */
    abstract List<MeasuringPoint> spots(int ways);

    /** True height, mm. */
    abstract double height(MeasuringPoint spot);

    /** Springs go in: about as advertised, with what is usual between kits and sides. */
    abstract void lower(double advertised);

    /** So far a kit is honestly off: it is within 1/4 in of what its box says, as handbooks call usual. */
    static double off(Random random) {
        return Math.max(-5, Math.min(5, 1.5 * random.nextGaussian()));
    }

    /** All of it comes down by so much more. */
    abstract void further(double mm);

    /** Adjusters move by so much, front left first, mm at the seat; it answers in its own way. */
    abstract void turn(double[] moves);

    /** Other wheels: tires whose free radius is larger by so much. */
    abstract void larger(double mm);

    /** A spot whose misreading can be told from what else is read. */
    abstract MeasuringPoint plain(Random random);

    private static final class FourWheels extends DrawnBody {
        private static final Method[] WAYS = {Method.HF, Method.RIM, Method.GF};
        private final double[] lip = new double[4];
        private final double[] down = new double[4];
        private final double[] pressed = new double[4];
        private final double rim;
        private double radius;
        private final Car truth;

        FourWheels(Random random, boolean truck) {
            super(random);
            radius = (truck ? 370 : 300) + 8 * random.nextGaussian();
            rim = truck ? 270 : 225;
            for (int c = 0; c < 4; c++) {
                lip[c] = (truck ? 470 : 368) + (c > 1 ? 6 : 0) + 2 * random.nextGaussian();
            }
            double[] springs = new double[4];
            Arrays.setAll(springs, c -> 27 * Math.exp(0.25 * random.nextGaussian()));
            truth = new Car(
                    new double[] {1300, 1300, -1300, -1300},
                    new double[] {750, -750, -750, 750},
                    springs,
                    Stance.USUAL_TYRE_RATE * (0.7 + 0.6 * random.nextDouble()),
                    12 * (0.4 + 1.2 * random.nextDouble()),
                    10 * (0.4 + 1.2 * random.nextDouble()),
                    Double.POSITIVE_INFINITY,
                    Car.Widths.USUAL);
        }

        @Override
        List<MeasuringPoint> spots(int ways) {
            List<MeasuringPoint> spots = new ArrayList<>();
            for (int w = 0; w < ways; w++) {
                for (Corner corner : Corner.WALK) {
                    spots.add(MeasuringPoint.of(corner, WAYS[w]));
                }
            }
            return spots;
        }

        @Override
        double height(MeasuringPoint spot) {
            int c = spot.corner().ordinal();
            double hub = lip[c] - down[c];
            return switch (spot.method()) {
                case RIM -> hub + rim;
                case GF -> hub + radius - pressed[c];
                default -> hub;
            };
        }

        @Override
        void lower(double advertised) {
            double front = advertised + off(random);
            double rear = advertised + off(random);
            for (int c = 0; c < 4; c++) {
                down[c] = (c < 2 ? front : rear) + 0.7 * random.nextGaussian();
            }
        }

        @Override
        void further(double mm) {
            Arrays.setAll(down, c -> down[c] + mm);
        }

        @Override
        void turn(double[] moves) {
            double[] real = moves.clone();
            Arrays.setAll(real, i -> real[i] * (1 + 0.08 * random.nextGaussian()));
            double[][] hub = truth.heights(Car.Read.HUB);
            double[][] ground = truth.heights(Car.Read.GROUND);
            for (int c = 0; c < 4; c++) {
                for (int i = 0; i < 4; i++) {
                    down[c] -= hub[c][i] * real[i];
                    pressed[c] += (hub[c][i] - ground[c][i]) * real[i];
                }
            }
        }

        @Override
        void larger(double mm) {
            radius += mm + 1.2 * random.nextGaussian();
        }

        @Override
        MeasuringPoint plain(Random random) {
            return MeasuringPoint.of(Corner.WALK.get(random.nextInt(4)), Method.HF);
        }
    }

    private static final class TwoWheels extends DrawnBody {
        private final double[] body = new double[2];
        private final double[] down = new double[2];
        private final double rim = 230;
        private double radius;

        TwoWheels(Random random) {
            super(random);
            radius = 305 + 8 * random.nextGaussian();
            Arrays.setAll(body, e -> 330 + 40 * e + 4 * random.nextGaussian());
        }

        @Override
        List<MeasuringPoint> spots(int ways) {
            List<MeasuringPoint> spots = new ArrayList<>();
            for (End end : End.values()) {
                spots.add(MeasuringPoint.of(end, PointMethod.AX));
                spots.add(MeasuringPoint.of(end, PointMethod.FR));
            }
            if (ways > 2) {
                spots.add(MeasuringPoint.of(Seat.SEAT, PointMethod.SEAT));
            }
            return spots;
        }

        @Override
        double height(MeasuringPoint spot) {
            if (spot.way().equals(PointMethod.SEAT)) {
                return 420 + radius + (body[0] + body[1] - down[0] - down[1]) / 2 - 350;
            }
            int e = spot.place() == End.FRONT ? 0 : 1;
            return body[e] - down[e] - (spot.way().equals(PointMethod.FR) ? rim : 0);
        }

        @Override
        void lower(double advertised) {
            Arrays.setAll(down, e -> advertised + off(random));
        }

        @Override
        void further(double mm) {
            Arrays.setAll(down, e -> down[e] + mm);
        }

        @Override
        void turn(double[] moves) {
            throw new IllegalStateException("has no corners to be set");
        }

        @Override
        void larger(double mm) {
            radius += mm;
        }

        @Override
        MeasuringPoint plain(Random random) {
            return MeasuringPoint.of(random.nextBoolean() ? End.FRONT : End.REAR, PointMethod.AX);
        }
    }
}
