package abbex.core.torque;

import abbex.core.units.Torque;

/**
 * What a fastener is to be tightened to.
 *
 * @param least of the range; inside it is right
 * @param angle degrees to turn on after that, 0 for none
 * @param reference page or sheet, as it was written
 */
public record TorqueSpec(Torque least, Torque most, double angle, Source source, String reference) {
    /** Where a figure comes from, the best last. */
    public enum Source {
        /** A forum, a friend, memory: unverified. */
        FORUM,
        PART_SHEET,
        SERVICE_MANUAL;

        public boolean verified() {
            return this != FORUM;
        }
    }

    /** A wrench reads no better than this (ISO 6789-1: 4 %). */
    private static final double READS = 0.04;

    public TorqueSpec {
        if (!(least.newtonMetres() > 0 && most.newtonMetres() >= least.newtonMetres() && angle >= 0 && angle <= 720)) {
            throw new IllegalArgumentException("torque: " + least + " to " + most + " and " + angle + "°");
        }
    }

    /** This one, or another that comes from as good a source: the newer counts. */
    public TorqueSpec or(TorqueSpec newer) {
        return newer.source.compareTo(source) >= 0 ? newer : this;
    }

    /** Tightened by the one is tightened by the other. */
    public boolean same(TorqueSpec other) {
        return least.equals(other.least) && most.equals(other.most) && angle == other.angle;
    }

    /** A reading that is right, as well as a wrench tells it. */
    public boolean holds(Torque reading) {
        return reading.newtonMetres() >= least.newtonMetres() * (1 - READS)
                && reading.newtonMetres() <= most.newtonMetres() * (1 + READS);
    }
}
