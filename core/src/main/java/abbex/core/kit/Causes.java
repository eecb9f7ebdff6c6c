package abbex.core.kit;

import abbex.core.adjust.Symmetric;
import abbex.core.heights.MeasuringPoint;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.NormalDistribution;

/**
 * Why a vehicle stands other than planned: each cause has a signature over all corners, methods and sheets, and is as likely as
 * all of them together make it. What looks alike on what was measured is offered together.
 *
 * <p>A cause of any size explains what lies along its signature; how much that is, in standard deviations of what plan and tape
 * can tell, is its weight. Causes are alike where the cosine of their signatures, weighed so, is beyond {@link #ALIKE}. Sources: generalised
 * least squares (JCGM 102:2011, 7); the rule and the widths ours.
 */
public final class Causes {
    /**
     * Signatures this much along each other cannot be told apart: of a cause of four deviations the other explains all but a
     * chi-square of four.
     */
    public static final double ALIKE = Math.sqrt(0.75);

    /** Sides of an end come down alike within this, one standard deviation, mm (common practice: 1/16 in at k = 2). */
    private static final double SIDES = 0.8;

    /** A load that nobody told may move a sheet's body by this, one standard deviation, mm (ours). */
    private static final double LOAD = 0.7;

    /** How far a tyre's pressure that was set may still move what has the tyre in it, mm (ours). */
    private static final double TYRE = 0.5;

    /** As planned is said as long as chance would bring no less in one of twenty such jobs. */
    private static final double CHANCE = 0.05;

    /** Widths are known to a fifth: so much further chance reaches (ours). */
    private static final double WIDER = 1.25;

    private static final NormalDistribution NORMAL = NormalDistribution.of(0, 1);

    private Causes() {}

    /**
     * What a plan left open.
     *
     * @param standard one standard deviation of how far an end was to come down, mm
     * @param settling the same of how far it settles
     * @param wheelRate N/mm at a wheel
     * @param dampers true where other dampers went in
     * @param springs true where other springs went in
     * @param perches true where a perch was set
     * @param wheelbase mm
     * @param track mm
     */
    public record Open(
            PerEnd<Double> standard,
            PerEnd<Double> settling,
            PerEnd<Double> wheelRate,
            PerEnd<Boolean> dampers,
            PerEnd<Boolean> springs,
            PerEnd<Boolean> perches,
            double wheelbase,
            double track) {}

    /**
     * Causes that look alike on what was measured.
     *
     * @param causes the cheapest to check first
     * @param size how far it stands higher at its place for that, mm; lower where negative
     * @param sigmas the same in standard deviations of what plan and tape can tell
     * @param share how likely among all that were looked at, from 0 to 1
     * @param evidence what speaks for and against
     */
    public record Group(List<Cause> causes, double size, double sigmas, double share, Evidence evidence) {}

    /**
     * What was seen once a cause is taken as true.
     *
     * @param explained heights that plan and tape explain then, and not before
     * @param left what they explain least then; empty where they explain all
     */
    public record Evidence(int explained, Optional<Left> left) {}

    /**
     * A height that a cause leaves as it is, or makes worse.
     *
     * @param off by how much it would still stand higher than planned, mm; lower where negative
     */
    public record Left(MeasuringPoint spot, double off) {}

    /**
     * All groups.
     *
     * @param asPlanned true where it stands as planned within what can be told
     * @param groups the likeliest first
     */
    public record Ranked(boolean asPlanned, List<Group> groups) {}

    /** A cause with what it does to every height, and which way it may go: 1 up, -1 down, 0 either. */
    record Signature(Cause cause, double[] over, int way) {}

    /** Ranks the causes by all that was seen. */
    public static Ranked rank(List<Seen> seen, Open open) {
        if (seen.isEmpty()) {
            return new Ranked(true, List.of());
        }
        double[][] covariance = covariance(seen, open);
        double[][] weights = Symmetric.inverse(covariance);
        double[] off = seen.stream().mapToDouble(Seen::off).toArray();
        double[] weighed = Symmetric.times(weights, off);
        List<Signature> signatures = signatures(seen, open);
        List<double[]> weighedSignatures = new ArrayList<>();
        List<Group> alone = new ArrayList<>();
        for (Signature s : signatures) {
            double[] w = Symmetric.times(weights, s.over());
            double information = dot(w, s.over());
            double size = dot(weighed, s.over()) / information;
            double sigmas = size * Math.sqrt(information);
            boolean wrongWay = s.way() != 0 && s.way() * sigmas < 0;
            weighedSignatures.add(w);
            double by = wrongWay ? 0 : size;
            alone.add(new Group(
                    List.of(s.cause()),
                    by,
                    wrongWay ? 0 : Math.abs(sigmas),
                    0,
                    evidence(seen, covariance, weights, s, by)));
        }
        List<Group> groups = together(signatures, weighedSignatures, alone);
        double most = groups.stream().mapToDouble(Group::sigmas).max().orElse(0);
        // As many as can be told apart at all: one for each height, and no more.
        double level = WIDER * NORMAL.inverseCumulativeProbability(1 - CHANCE / (2 * seen.size()));
        return new Ranked(most < level, share(groups));
    }

    /** Beyond so many standard deviations plan and tape do not explain a height (k = 2). */
    private static final double UNEXPLAINED = 2;

    /** How far each height lies out, in standard deviations: by itself, and as the others expect it. */
    private static double[] out(double[] off, double[][] covariance, double[][] weights) {
        double[] weighed = Symmetric.times(weights, off);
        double[] out = new double[off.length];
        for (int i = 0; i < off.length; i++) {
            out[i] = Math.max(
                    Math.abs(off[i]) / Math.sqrt(covariance[i][i]), Math.abs(weighed[i]) / Math.sqrt(weights[i][i]));
        }
        return out;
    }

    private static Evidence evidence(
            List<Seen> seen, double[][] covariance, double[][] weights, Signature of, double size) {
        double[] was = seen.stream().mapToDouble(Seen::off).toArray();
        double[] is = was.clone();
        for (int i = 0; i < is.length; i++) {
            is[i] -= size * of.over()[i];
        }
        double[] before = out(was, covariance, weights);
        double[] now = out(is, covariance, weights);
        int explained = 0;
        double worst = UNEXPLAINED;
        Optional<Left> left = Optional.empty();
        for (int i = 0; i < seen.size(); i++) {
            explained += now[i] <= UNEXPLAINED && before[i] > UNEXPLAINED ? 1 : 0;
            if (now[i] > worst) {
                worst = now[i];
                left = Optional.of(new Left(spot(seen.get(i)), is[i]));
            }
        }
        return new Evidence(explained, left);
    }

    static double dot(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }

    /** The likeliest first, each to the first group all of whose members it is alike: mirrored causes make mirrored groups. */
    private static List<Group> together(List<Signature> signatures, List<double[]> weighed, List<Group> alone) {
        List<List<Integer>> groups = new ArrayList<>();
        List<Integer> order = IntStream.range(0, signatures.size())
                .boxed()
                .sorted(Comparator.comparingDouble(i -> -alone.get(i).sigmas()))
                .toList();
        for (int at : order) {
            groups.stream()
                    .filter(group -> group.stream().allMatch(j -> alike(signatures, weighed, at, j)))
                    .findFirst()
                    .ifPresentOrElse(group -> group.add(at), () -> groups.add(new ArrayList<>(List.of(at))));
        }
        List<Group> merged = new ArrayList<>();
        for (List<Integer> group : groups) {
            Group best = group.stream()
                    .map(alone::get)
                    .max(Comparator.comparingDouble(Group::sigmas))
                    .orElseThrow();
            List<Cause> causes = group.stream()
                    .filter(i -> best.sigmas() == 0 || alone.get(i).sigmas() > 0)
                    .map(i -> signatures.get(i).cause())
                    .sorted(Comparator.comparing(Cause::kind))
                    .toList();
            double before = group.stream()
                    .map(i -> signatures.get(i).cause().kind())
                    .mapToDouble(kind -> 1.0
                            / signatures.stream()
                                    .filter(s -> s.cause().kind() == kind)
                                    .count())
                    .sum();
            merged.add(new Group(causes, best.size(), best.sigmas(), before, best.evidence()));
        }
        return merged;
    }

    private static boolean alike(List<Signature> signatures, List<double[]> weighed, int a, int b) {
        double both = dot(weighed.get(a), signatures.get(b).over());
        double ownA = dot(weighed.get(a), signatures.get(a).over());
        double ownB = dot(weighed.get(b), signatures.get(b).over());
        return Math.abs(both) >= ALIKE * Math.sqrt(ownA * ownB);
    }

    /**
     * By how well each explains what was seen; before that every kind is as likely, and each of its places.
     *
     * @param groups with how likely each was before, in place of its share
     */
    private static List<Group> share(List<Group> groups) {
        double most = groups.stream().mapToDouble(Causes::likely).max().orElse(0);
        double sum =
                groups.stream().mapToDouble(g -> Math.exp(likely(g) - most)).sum();
        return groups.stream()
                .sorted(Comparator.comparingDouble(Causes::likely)
                        .reversed()
                        .thenComparing(g -> g.causes().get(0).kind()))
                .map(g -> new Group(g.causes(), g.size(), g.sigmas(), Math.exp(likely(g) - most) / sum, g.evidence()))
                .toList();
    }

    private static double likely(Group group) {
        return group.sigmas() * group.sigmas() / 2 + Math.log(group.share());
    }

    /** What plan and tape leave open: each end's drop, each side, settling, load and tyres of a sheet, the readings. */
    static double[][] covariance(List<Seen> seen, Open open) {
        int n = seen.size();
        double[][] all = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j <= i; j++) {
                all[i][j] = covariance(seen.get(i), seen.get(j), open, i == j);
                all[j][i] = all[i][j];
            }
        }
        return all;
    }

    private static double covariance(Seen a, Seen b, Open open, boolean same) {
        double sum = same ? a.tape() * a.tape() : 0;
        if (a.beside(b)) {
            sum += SIDES * SIDES;
            if (a.spot().equals(b.spot())) {
                sum += a.before() * b.before();
            }
            if (a.sheet() == b.sheet() && a.tyreInIt() && b.tyreInIt()) {
                sum += TYRE * TYRE;
            }
        }
        End end = a.end();
        if (end == b.end()) {
            double settling = open.settling().get(end);
            sum += Math.pow(open.standard().get(end), 2) + a.settled() * b.settled() * settling * settling;
            if (a.sheet() == b.sheet()) {
                sum += LOAD * LOAD;
            }
        }
        return sum;
    }

    static List<Signature> signatures(List<Seen> seen, Open open) {
        return Signatures.of(seen, open);
    }

    static MeasuringPoint spot(Seen seen) {
        return seen.spot();
    }
}
