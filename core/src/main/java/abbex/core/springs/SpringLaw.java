package abbex.core.springs;

import java.util.ArrayList;
import java.util.List;

/** Force against deflection of a spring between free and solid: nothing at none, rising throughout. */
public sealed interface SpringLaw {
    /** Deflection at which it is solid, mm. */
    double solid();

    /** Force at a deflection between none and solid, N. */
    double force(double deflection);

    /** Rate there, N/mm. */
    double rate(double deflection);

    /** The deflection at which it pushes with a force, mm: none at none or less, solid at all that would press it further. */
    double deflection(double force);

    /** The same law with every force times a factor: a spring that is stiffer or softer than its figures. */
    record Scaled(SpringLaw law, double factor) implements SpringLaw {
        public Scaled {
            positive("factor", factor);
        }

        @Override
        public double solid() {
            return law.solid();
        }

        @Override
        public double force(double deflection) {
            return factor * law.force(deflection);
        }

        @Override
        public double rate(double deflection) {
            return factor * law.rate(deflection);
        }

        @Override
        public double deflection(double force) {
            return law.deflection(force / factor);
        }
    }

    /** One rate throughout. */
    record Linear(double rate, double solid) implements SpringLaw {
        public Linear {
            positive("rate", rate);
            positive("solid", solid);
        }

        @Override
        public double force(double deflection) {
            return rate * deflection;
        }

        @Override
        public double rate(double deflection) {
            return rate;
        }

        @Override
        public double deflection(double force) {
            return within(force / rate, solid);
        }
    }

    /**
     * Two springs in series: both work until the soft one is solid, then the stiff one alone.
     *
     * @param softTravel deflection at which the soft one is solid, mm
     * @param stiffTravel the same of the stiff one
     */
    record Dual(double soft, double softTravel, double stiff, double stiffTravel) implements SpringLaw {
        public Dual {
            positive("soft rate", soft);
            positive("stiff rate", stiff);
            positive("soft travel", softTravel);
            positive("stiff travel", stiffTravel);
            if (stiffTravel * stiff < softTravel * soft) {
                throw new IllegalArgumentException("dual: the stiff spring is solid before the soft one");
            }
        }

        /** Deflection of both at which the soft one is solid: 1/k = 1/k₁ + 1/k₂ up to there. */
        public double lockOut() {
            return softTravel + softTravel * soft / stiff;
        }

        /** The rate of both. */
        public double together() {
            return soft * stiff / (soft + stiff);
        }

        @Override
        public double solid() {
            return softTravel + stiffTravel;
        }

        @Override
        public double force(double deflection) {
            double over = deflection - lockOut();
            return over <= 0 ? together() * deflection : softTravel * soft + stiff * over;
        }

        @Override
        public double rate(double deflection) {
            return deflection < lockOut() ? together() : stiff;
        }

        @Override
        public double deflection(double force) {
            double locked = softTravel * soft;
            return within(force <= locked ? force / together() : lockOut() + (force - locked) / stiff, solid());
        }
    }

    /** A point of a table: deflection in mm, force in N or rate in N/mm. */
    record Point(double deflection, double value) {}

    /** Forces at deflections, straight in between; the first is none at none. */
    record Measured(List<Point> forces) implements SpringLaw {
        public Measured {
            forces = List.copyOf(forces);
            if (forces.size() < 2
                    || forces.get(0).deflection() != 0
                    || forces.get(0).value() != 0) {
                throw new IllegalArgumentException(
                        "measured: begins with no force at no deflection, two points or more");
            }
            for (int i = 1; i < forces.size(); i++) {
                if (!(forces.get(i).deflection() > forces.get(i - 1).deflection()
                        && forces.get(i).value() > forces.get(i - 1).value())) {
                    throw new IllegalArgumentException("measured: point " + (i + 1) + " does not rise");
                }
            }
        }

        @Override
        public double solid() {
            return forces.get(forces.size() - 1).deflection();
        }

        @Override
        public double force(double deflection) {
            int i = piece(forces, deflection);
            Point a = forces.get(i);
            return a.value() + rate(deflection) * (deflection - a.deflection());
        }

        @Override
        public double rate(double deflection) {
            int i = piece(forces, deflection);
            Point a = forces.get(i);
            Point b = forces.get(i + 1);
            return (b.value() - a.value()) / (b.deflection() - a.deflection());
        }

        @Override
        public double deflection(double force) {
            Point a = forces.get(reached(forces, force));
            return within(a.deflection() + (force - a.value()) / rate(a.deflection()), solid());
        }
    }

    /**
     * Rates at deflections, straight in between: its force is what they amount to.
     *
     * @param forces at the same deflections
     */
    record Progressive(List<Point> rates, List<Point> forces) implements SpringLaw {
        public Progressive {
            rates = List.copyOf(rates);
            forces = List.copyOf(forces);
        }

        /** By its rates; the first is at no deflection. */
        public static Progressive of(List<Point> rates) {
            if (rates.size() < 2 || rates.get(0).deflection() != 0) {
                throw new IllegalArgumentException("progressive: begins at no deflection, two points or more");
            }
            List<Point> forces = new ArrayList<>(List.of(new Point(0, 0)));
            positive("rate", rates.get(0).value());
            for (int i = 1; i < rates.size(); i++) {
                Point a = rates.get(i - 1);
                Point b = rates.get(i);
                positive("rate", b.value());
                if (!(b.deflection() > a.deflection())) {
                    throw new IllegalArgumentException(
                            "progressive: point " + (i + 1) + " lies behind the one before it");
                }
                forces.add(new Point(
                        b.deflection(),
                        forces.get(i - 1).value() + (a.value() + b.value()) / 2 * (b.deflection() - a.deflection())));
            }
            return new Progressive(rates, forces);
        }

        @Override
        public double solid() {
            return rates.get(rates.size() - 1).deflection();
        }

        @Override
        public double force(double deflection) {
            int i = piece(rates, deflection);
            double x = deflection - rates.get(i).deflection();
            return forces.get(i).value() + (rates.get(i).value() + rate(deflection)) / 2 * x;
        }

        @Override
        public double rate(double deflection) {
            int i = piece(rates, deflection);
            Point a = rates.get(i);
            Point b = rates.get(i + 1);
            return a.value()
                    + (b.value() - a.value()) * (deflection - a.deflection()) / (b.deflection() - a.deflection());
        }

        /** Its rate is straight over a piece, so that force is a square there: the root by the form that stays exact for a straight one. */
        @Override
        public double deflection(double force) {
            int i = reached(forces, force);
            Point a = rates.get(i);
            Point b = rates.get(i + 1);
            double steeper = (b.value() - a.value()) / (b.deflection() - a.deflection());
            double over = force - forces.get(i).value();
            double under = Math.max(0, a.value() * a.value() + 2 * steeper * over);
            return within(a.deflection() + 2 * over / (a.value() + Math.sqrt(under)), solid());
        }
    }

    /** The piece of a table in which a deflection lies; the last one beyond its end. */
    private static int piece(List<Point> table, double deflection) {
        int i = 0;
        while (i < table.size() - 2 && deflection >= table.get(i + 1).deflection()) {
            i++;
        }
        return i;
    }

    /** The piece of a table of forces in which a force lies; the last one beyond its end. */
    private static int reached(List<Point> forces, double force) {
        int i = 0;
        while (i < forces.size() - 2 && force >= forces.get(i + 1).value()) {
            i++;
        }
        return i;
    }

    private static double within(double deflection, double solid) {
        return Math.max(0, Math.min(solid, deflection));
    }

    private static void positive(String name, double value) {
        if (!(value > 0)) {
            throw new IllegalArgumentException(name + ": " + value + "; more than 0");
        }
    }
}
