package abbex.core.truck;

/**
 * A leaf pack on a fixed eye and a shackle, in side view from the fixed eye: x towards the shackle, z up, mm. Under a load that
 * stays, the pack keeps its shape and turns about its fixed eye as a stiff body; the shackled eye is where the circles about fixed
 * eye and hanger meet.
 *
 * @param chord from eye to eye as it stands under its load
 * @param hangerX the shackle's pivot on the frame
 * @param length of the shackle between its bolts
 * @param hangs true where its eye is under the hanger, so that the frame presses it; false where the eye is over it and it is pulled
 */
public record Shackle(double chord, double hangerX, double hangerZ, double length, boolean hangs) {
    /** Nearer to a line with the spring it may turn over (common practice: keep 15° and more). */
    public static final double TURNS_OVER = 15;

    /**
     * Where its eye is.
     *
     * @param along from the hanger along the spring's chord, mm, away from the fixed eye positive
     * @param across the same across the chord, mm
     */
    public record At(double eyeX, double eyeZ, double along, double across) {
        /** The shackle from the perpendicular to the spring's chord, degrees, its eye away from the fixed one positive. */
        public double lean() {
            return Math.toDegrees(Math.atan2(along, across));
        }

        /** It lies so near to a line with the spring that it may turn over. */
        public boolean turnsOver() {
            return Math.abs(lean()) > 90 - TURNS_OVER;
        }
    }

    public Shackle {
        if (!(chord > 0 && length > 0 && hangerX > 0)) {
            throw new IllegalArgumentException("shackle: spring " + chord + " mm, hanger " + hangerX + " mm, shackle "
                    + length + " mm; each more than 0");
        }
    }

    /** By how much it cannot close, mm; 0 where it can. */
    public double gap() {
        return gap(away());
    }

    /** The frame's eyes from each other: lengths of a machine need no careful root. */
    private double away() {
        return Math.sqrt(hangerX * hangerX + hangerZ * hangerZ);
    }

    private double gap(double away) {
        return Math.max(0, Math.max(away - (chord + length), Math.abs(chord - length) - away));
    }

    /**
     * Where its eye is.
     *
     * @throws IllegalArgumentException where spring and shackle do not meet, with by how much
     */
    public At at() {
        double away = away();
        if (gap(away) > 0) {
            throw new IllegalArgumentException("shackle: " + gap() + " mm from meeting the spring's eye");
        }
        double along = (chord * chord - length * length + away * away) / (2 * away);
        double aside = Math.sqrt(Math.max(0, chord * chord - along * along)) * (hangs ? -1 : 1);
        double x = (along * hangerX - aside * hangerZ) / away;
        double z = (along * hangerZ + aside * hangerX) / away;
        // Away from the hanger, along the chord and across it.
        double sx = x - hangerX;
        double sz = z - hangerZ;
        double with = (sx * x + sz * z) / chord;
        double across = Math.abs(sx * z - sz * x) / chord;
        return new At(x, z, with, across);
    }

    /** How far the spring may grow on its way to flat until the shackle lies in line with it and turns over, mm. */
    public double growth() {
        return away() + length - chord;
    }

    public Shackle with(double other) {
        return new Shackle(chord, hangerX, hangerZ, other, hangs);
    }

    /** Its hanger moved on the frame, mm. */
    public Shackle moved(double x, double z) {
        return new Shackle(chord, hangerX + x, hangerZ + z, length, hangs);
    }

    /**
     * What the axle does as a stiff pack turns from one place to another.
     *
     * @param up of the axle towards the frame, mm: so far the body comes down
     * @param towards the shackle, mm
     * @param turn of pack and pinion, degrees, the shackled eye up positive
     */
    public record Move(double up, double towards, double turn) {}

    /**
     * From here to there.
     *
     * @param fixed from the fixed eye to the axle along the chord, mm
     * @param under the axle under the chord, mm; negative over it
     */
    public Move to(Shackle other, double fixed, double under) {
        At was = at();
        At is = other.at();
        double from = Math.atan2(was.eyeZ(), was.eyeX());
        double then = Math.atan2(is.eyeZ(), is.eyeX());
        double x = fixed * (Math.cos(then) - Math.cos(from)) + under * (Math.sin(then) - Math.sin(from));
        double z = fixed * (Math.sin(then) - Math.sin(from)) - under * (Math.cos(then) - Math.cos(from));
        return new Move(z, x, Math.toDegrees(then - from));
    }
}
