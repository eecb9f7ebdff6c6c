package abbex.core.setting;

import java.util.ArrayList;
import java.util.List;

/** What to turn so that heights, and loads where they are asked for, come nearest to what is wanted. */
public final class SettingSolver {
    /** Nobody measures it: combinations that differ by less are the same, mm. */
    public static final double ALIKE = 0.1;

    private SettingSolver() {}

    /**
     * A question.
     *
     * @param now heights as they stand, mm, LF RF RR LR
     * @param heights change of each corner's height for a move of each adjuster: rows corners, columns adjusters
     * @param loads change of each wheel's load, N for a mm, alike
     */
    public record Question(double[] now, double[][] heights, double[][] loads, List<Adjuster> adjusters, Aim aim) {}

    /**
     * An answer.
     *
     * @param chosen an option of each adjuster
     * @param after heights then, mm
     * @param more change of each load, N
     * @param misses what each row of the aim has too much then, in its own unit
     * @param body of that, what no adjuster reaches
     * @param range of that, what lies beyond the end of an adjuster
     * @param steps of that, what lies between two steps
     * @param atEnd adjusters that would go on if they could
     * @param looked partial combinations that were looked into; every other one is worse
     */
    public record Answer(
            List<Option> chosen,
            double[] after,
            double[] more,
            double[] misses,
            double[] body,
            double[] range,
            double[] steps,
            boolean[] atEnd,
            long looked) {
        public long changes() {
            return chosen.stream().filter(Option::changes).count();
        }

        public double minutes() {
            return chosen.stream().mapToDouble(Option::minutes).sum();
        }
    }

    public static Answer solve(Question question) {
        double[][] effect = question.aim().effect(question.heights(), question.loads());
        double[] lack = question.aim().lack(question.now());
        Nearest nearest = new Nearest(effect, lack, question.adjusters());
        int[] found = nearest.find(ALIKE);
        List<Option> chosen = new ArrayList<>();
        double[] moves = new double[found.length];
        for (int i = 0; i < found.length; i++) {
            chosen.add(question.adjusters().get(i).options().get(found[i]));
            moves[i] = chosen.get(i).move();
        }
        return answer(question, new Within(effect, lack), List.copyOf(chosen), moves, nearest.looked());
    }

    private static Answer answer(Question question, Within within, List<Option> chosen, double[] moves, long looked) {
        double[] anywhere = within.anywhere();
        double[] range = within.range(question.adjusters());
        boolean[] atEnd = new boolean[moves.length];
        for (int i = 0; i < moves.length; i++) {
            Adjuster adjuster = question.adjusters().get(i);
            atEnd[i] = anywhere[i] > adjuster.most() + ALIKE || anywhere[i] < adjuster.least() - ALIKE;
        }
        double[] misses = unweighted(question.aim(), within.left(moves));
        double[] body = unweighted(question.aim(), within.left(anywhere));
        double[] ended = unweighted(question.aim(), within.left(range));
        return new Answer(
                chosen,
                plus(question.now(), times(question.heights(), moves)),
                times(question.loads(), moves),
                misses,
                body,
                minus(ended, body),
                minus(misses, ended),
                atEnd,
                looked);
    }

    private static double[] unweighted(Aim aim, double[] left) {
        double[] own = left.clone();
        for (int r = 0; r < own.length; r++) {
            own[r] /= aim.rows().get(r).weight();
        }
        return own;
    }

    private static double[] times(double[][] matrix, double[] column) {
        double[] product = new double[matrix.length];
        for (int r = 0; r < matrix.length; r++) {
            for (int c = 0; c < column.length; c++) {
                product[r] += matrix[r][c] * column[c];
            }
        }
        return product;
    }

    private static double[] plus(double[] a, double[] b) {
        double[] sum = a.clone();
        for (int i = 0; i < sum.length; i++) {
            sum[i] += b[i];
        }
        return sum;
    }

    private static double[] minus(double[] a, double[] b) {
        double[] difference = a.clone();
        for (int i = 0; i < difference.length; i++) {
            difference[i] -= b[i];
        }
        return difference;
    }
}
