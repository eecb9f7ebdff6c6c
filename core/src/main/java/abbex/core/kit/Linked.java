package abbex.core.kit;

import abbex.core.figure.Reason;
import abbex.core.motorcycle.RearLinkage;
import abbex.core.motorcycle.RearLinkage.Kind;
import abbex.core.motorcycle.RearLinkage.Point;
import abbex.core.units.Length;
import abbex.core.vehicle.End;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Another link, spring or eye at a motorcycle's rear: the load stays, the linkage and the spring's rate say how far the rear comes
 * down.
 *
 * @param was before
 * @param is after; nothing of it stands where it does not close
 * @param moved of the wheel towards the body, mm, with one standard deviation
 * @param open where and by how much its link does not close; empty where it does
 */
public record Linked(RearLinkage was, RearLinkage is, Length longer, Length shorter, Told moved, Optional<Open> open)
        implements Part {
    /** A point by tape from the arm's pivot, mm each way. */
    private static final double TAPED = 2;

    /** A link or a shock by calliper, eye to eye, mm. */
    private static final double CALLIPER = 0.3;

    /** How far the wheel is looked for when nothing closes, mm. */
    private static final int FAR = 120;

    /** A linkage as it stands, and its points behind the arm's pivot and above it, mm: see {@link RearLinkage}. */
    public record Measures(Kind kind, Point axle, Point rocker, Point knee, Point far, Point foot, Point top) {
        private static final int COUNT = 12;

        RearLinkage linkage() {
            return linkage(values());
        }

        private double[] values() {
            double[] values = new double[COUNT];
            int i = 0;
            for (Point point : List.of(axle, rocker, knee, far, foot, top)) {
                values[i++] = point.x();
                values[i++] = point.z();
            }
            return values;
        }

        private RearLinkage linkage(double[] p) {
            Point[] points = new Point[COUNT / 2];
            for (int i = 0; i < points.length; i++) {
                points[i] = new Point(-p[2 * i], p[2 * i + 1]);
            }
            Point arm = new Point(0, 0);
            return kind == Kind.DIRECT
                    ? RearLinkage.direct(arm, points[0], points[4], points[5])
                    : RearLinkage.of(kind, arm, points[0], points[1], points[2], points[3], points[4], points[5]);
        }

        /** Its motion ratio where it stands, and how well that is known; empty where its spring is not pressed. */
        public Optional<Told> ratio() {
            double here = linkage().ratio(0);
            if (!(here >= EndNow.LEAST_RATIO && here <= EndNow.MOST_RATIO)) {
                return Optional.empty();
            }
            return Optional.of(Carried.told(p -> sure(linkage(p).ratio(0), here), told()));
        }

        private Told[] told() {
            double[] values = values();
            Told[] told = new Told[COUNT];
            for (int i = 0; i < COUNT; i++) {
                told[i] = Told.measured(values[i], kind == Kind.DIRECT && i >= 2 && i < 8 ? 0 : TAPED);
            }
            return told;
        }
    }

    private static double sure(double value, double other) {
        return Double.isFinite(value) ? value : other;
    }

    /**
     * What goes in.
     *
     * @param longer the link, mm
     * @param shorter the spring between its ends, mm
     * @param footBack the spring's foot behind where it was, mm
     * @param footUp the same above
     */
    public record Change(double longer, double shorter, double footBack, double footUp) {
        RearLinkage on(RearLinkage was) {
            Point foot = new Point(was.foot().x() - footBack, was.foot().z() + footUp);
            return new RearLinkage(
                    was.kind(),
                    was.arm(),
                    was.axle(),
                    was.rocker(),
                    was.knee(),
                    was.far(),
                    foot,
                    was.top(),
                    was.link() + longer);
        }
    }

    /**
     * @param rate of the spring, N/mm; empty where nobody knows it: it is taken to keep its length
     * @param load on the wheel, N
     */
    public static Linked of(Measures measures, Change change, Optional<Told> rate, Told load) {
        RearLinkage was = measures.linkage();
        RearLinkage is = change.on(was);
        Length longer = Length.ofRoundedMm(change.longer());
        Length shorter = Length.ofRoundedMm(change.shorter());
        double down =
                drop(was, is, change.shorter(), rate.map(Told::value).orElse(Double.POSITIVE_INFINITY), load.value());
        if (Double.isNaN(down)) {
            return new Linked(was, is, longer, shorter, Told.measured(0, 0), Optional.of(nearest(is)));
        }
        Told[] points = measures.told();
        Told[] all = Arrays.copyOf(points, points.length + 4);
        all[points.length] = Told.measured(change.longer(), change.longer() == 0 ? 0 : Math.sqrt(2) * CALLIPER);
        all[points.length + 1] = Told.measured(change.shorter(), change.shorter() == 0 ? 0 : Math.sqrt(2) * CALLIPER);
        all[points.length + 2] = rate.orElse(Told.typical(STIFF, 0));
        all[points.length + 3] = load;
        Told carried = Carried.told(
                p -> sure(
                        drop(
                                measures.linkage(p),
                                new Change(p[12], 0, change.footBack(), change.footUp()).on(measures.linkage(p)),
                                p[13],
                                p[14],
                                p[15]),
                        down),
                all);
        // A spring whose rate nobody told may give as much as a common one.
        double soft = rate.isPresent()
                ? 0
                : sure(drop(was, is, change.shorter(), usual(was, load), load.value()), down) - down;
        return new Linked(
                was, is, longer, shorter, Told.measured(down, Math.hypot(carried.standard(), soft)), runsOut(is, down));
    }

    /** As good as rigid, N/mm. */
    private static final double STIFF = 1e9;

    /** A rate that lets a rear ride as most do: 1.9 Hz (common practice), N/mm at the spring. */
    private static double usual(RearLinkage was, Told load) {
        double wheel = Math.pow(2 * Math.PI * 1.9, 2) * load.value() / 9.80665 / 1000;
        return wheel / Math.pow(was.ratio(0), 2);
    }

    private static double drop(RearLinkage was, RearLinkage is, double shorter, double rate, double load) {
        try {
            return was.drop(is, shorter, rate, load);
        } catch (IllegalArgumentException nowhere) {
            return Double.NaN;
        }
    }

    /**
     * A pose in which a link does not close.
     *
     * @param travel of the wheel up from the planned height, or from where it stands now if it closes nowhere, mm
     * @param gap mm; nothing where the arm itself ends
     */
    public record Open(double travel, double gap) {}

    /** Where it misses least, when it closes nowhere near. */
    private static Open nearest(RearLinkage is) {
        Open nearest = new Open(0, 0);
        double least = Double.POSITIVE_INFINITY;
        for (int travel = -FAR; travel <= FAR; travel++) {
            double gap = is.gap(travel);
            if (gap < least) {
                least = gap;
                nearest = new Open(travel, gap);
            }
        }
        return nearest;
    }

    /** A wheel goes up so far over a bump, mm: with another link it must still close there (common practice). */
    private static final int BUMP = 60;

    private static Optional<Open> runsOut(RearLinkage is, double down) {
        for (int travel = 1; travel <= BUMP; travel++) {
            double gap = is.gap(down + travel);
            if (!(gap <= 0)) {
                return Optional.of(new Open(travel, Double.isNaN(gap) ? 0 : gap));
            }
        }
        return Optional.empty();
    }

    /** It stands on its link, even where that runs out over a bump. */
    public boolean stands() {
        return moved.standard() > 0 || open.isEmpty();
    }

    @Override
    public double move() {
        return moved.value();
    }

    @Override
    public double standard() {
        return moved.standard();
    }

    @Override
    public boolean atWheel() {
        return true;
    }

    @Override
    public Row row() {
        return Row.LINK;
    }

    @Override
    public List<KitFinding> troubles(End end) {
        if (!stands() && open.orElseThrow().gap() == 0) {
            return List.of(new KitFinding.LinkagePoints(end));
        }
        return open.<List<KitFinding>>map(at -> List.of(
                        stands()
                                ? new KitFinding.LinkRunsOut(end, Length.ofRoundedMm(at.travel()))
                                : new KitFinding.LinkWillNotClose(
                                        end, Length.ofRoundedMm(at.gap()), Length.ofRoundedMm(at.travel()))))
                .orElse(List.of());
    }

    @Override
    public Reason reason() {
        return Reason.of(
                KitFormula.LINK,
                longer,
                shorter,
                BigDecimal.valueOf(sure(was.ratio(0), 0)).setScale(2, RoundingMode.HALF_UP));
    }
}
