package abbex.core.truck;

import java.util.List;
import java.util.Optional;

/**
 * A driveline of one shaft or two, each direction by its slope down to the rear and its course to the left, degrees.
 *
 * <p>A joint turns evenly only straight. Two whose yokes are in phase cancel each other where their working angles are equal and
 * the outer shafts parallel (driveline handbooks, from memory).
 *
 * @param engine the output shaft's direction
 * @param front the first shaft
 * @param rear the second of two; empty for one
 * @param pinion its direction
 */
public record Driveline(Direction engine, Direction front, Optional<Direction> rear, Direction pinion) {
    /** At road speed a joint works under about this, degrees (driveline handbooks, from memory). */
    public static final double USUAL = 3;

    /** Needles roll and do not dent from about this on, degrees (driveline handbooks, from memory). */
    public static final double LEAST = 0.5;

    /** What two joints may leave uneven, degrees (driveline handbooks, from memory). */
    public static final double UNEVEN = 1;

    /** Greatest working angle by shaft speed, 1/min and degrees (driveline handbooks, from memory). */
    private static final double[][] BY_SPEED = {
        {1500, 11.5}, {2000, 8.67}, {2500, 7}, {3000, 5.83}, {3500, 5}, {4000, 4.25}, {4500, 3.67}, {5000, 3.25}
    };

    /**
     * A direction.
     *
     * @param down to the rear, degrees
     * @param left to the rear, degrees
     */
    public record Direction(double down, double left) {
        public Direction {
            if (!(Math.abs(down) < 60 && Math.abs(left) < 60)) {
                throw new IllegalArgumentException(
                        "direction: " + down + "° down and " + left + "° left; less than 60 each");
            }
        }

        public static Direction down(double degrees) {
            return new Direction(degrees, 0);
        }

        /** The angle between two, degrees. */
        double to(Direction other) {
            double z = Math.tan(Math.toRadians(down));
            double y = Math.tan(Math.toRadians(left));
            double oz = Math.tan(Math.toRadians(other.down));
            double oy = Math.tan(Math.toRadians(other.left));
            // By the cross product: exact for small angles too.
            double cross = Math.hypot(Math.hypot(y * oz - z * oy, z - oz), y - oy);
            return Math.toDegrees(Math.atan2(cross, 1 + y * oy + z * oz));
        }
    }

    /** Working angles of its joints from the front, degrees. */
    public List<Double> joints() {
        return rear.map(second -> List.of(engine.to(front), front.to(second), second.to(pinion)))
                .orElseGet(() -> List.of(engine.to(front), front.to(pinion)));
    }

    /**
     * What is left uneven, degrees: one joint that would turn as unevenly alone. For one shaft √|θ₁² − θ₂²|; for two the first
     * joint's yokes stand a quarter turn to the second's, √|θ₁² − θ₂² + θ₃²| with in-phase outer shafts (Cardan joints to second
     * order, from memory).
     */
    public double uneven() {
        double sum = 0;
        int sign = 1;
        for (double joint : joints()) {
            sum += sign * joint * joint;
            sign = -sign;
        }
        return Math.sqrt(Math.abs(sum));
    }

    /** The greatest working angle of a shaft at a speed, degrees; speeds beyond the table take its nearest end. */
    public static double limit(double turnsPerMinute) {
        double[] last = BY_SPEED[0];
        if (turnsPerMinute <= last[0]) {
            return last[1];
        }
        for (double[] row : BY_SPEED) {
            if (turnsPerMinute <= row[0]) {
                double part = (turnsPerMinute - last[0]) / (row[0] - last[0]);
                return last[1] + part * (row[1] - last[1]);
            }
            last = row;
        }
        return last[1];
    }

    /** How fast the shaft turns, 1/min. */
    public static double speed(double kilometresPerHour, double axleRatio, double loadedRadius) {
        double perMinute = kilometresPerHour * 1e6 / 60;
        return perMinute * axleRatio / (2 * Math.PI * loadedRadius);
    }

    /** With the pinion turned, degrees, its nose up positive. */
    public Driveline turned(double nose) {
        return new Driveline(engine, front, rear, new Direction(pinion.down() + nose, pinion.left()));
    }

    /** The wedge or saddle that sets the pinion parallel to the engine's shaft, degrees, its nose up positive. */
    public double wedge() {
        return engine.down() - pinion.down();
    }

    /**
     * How the slip joint moves as the pinion's joint moves, mm, the shaft longer positive.
     *
     * @param length of the shaft between its joints
     * @param down of the pinion's joint under the other, before
     * @param up of the pinion's joint towards the frame
     * @param back of the pinion's joint
     */
    public static double slip(double length, double down, double up, double back) {
        if (!(Math.abs(down) < length)) {
            throw new IllegalArgumentException(
                    "shaft: " + length + " mm long, its joints " + down + " mm apart in height");
        }
        double level = Math.sqrt(length * length - down * down);
        return Math.hypot(level + back, down - up) - length;
    }
}
