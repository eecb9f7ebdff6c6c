package abbex.app.drawing;

import java.util.List;

/**
 * How the vehicle goes up and down along a card, as a line over the floor: done up to a step, to come after it.
 *
 * @param box the drawing's own measures
 * @param pairs dots over the steps that need two people
 * @param now the middle of the step in hand; below zero where there is none
 */
public record CardLine(
        String box, String done, String left, String ticks, String pairs, double now, double nowY, double floor) {
    private static final double WIDTH = 1200;
    private static final double FLOOR = 46;
    private static final double UP = 16;
    private static final double CARRIED = 31;

    /** A step: how high the vehicle stands, from 0 on its wheels to 2 hanging, and whether it needs two. */
    public record At(int height, boolean two) {}

    /** @param hand the step in hand, counted from 0; below zero for none */
    public static CardLine of(List<At> steps, int hand) {
        double wide = steps.isEmpty() ? WIDTH : WIDTH / steps.size();
        StringBuilder done = new StringBuilder();
        StringBuilder left = new StringBuilder();
        StringBuilder ticks = new StringBuilder();
        StringBuilder pairs = new StringBuilder();
        for (int i = 0; i < steps.size(); i++) {
            double y = y(steps.get(i));
            StringBuilder line = i < hand || hand < 0 ? done : left;
            if (line.isEmpty()) {
                line.append(point('M', i * wide, i == 0 ? y : y(steps.get(i - 1))));
            }
            line.append(point('L', i * wide, y)).append(point('L', (i + 1) * wide, y));
            ticks.append(point('M', (i + 0.5) * wide, y - 3)).append("v6");
            if (steps.get(i).two()) {
                pairs.append(point('M', (i + 0.5) * wide - 5, y - 10)).append("h0");
                pairs.append(point('M', (i + 0.5) * wide + 5, y - 10)).append("h0");
            }
        }
        return new CardLine(
                "0 0 " + (int) WIDTH + " 56",
                done.toString(),
                left.toString(),
                ticks.toString(),
                pairs.toString(),
                hand < 0 ? -1 : round((hand + 0.5) * wide),
                hand < 0 ? FLOOR : y(steps.get(hand)),
                FLOOR);
    }

    private static double y(At at) {
        return at.height() == 0 ? FLOOR : at.height() == 1 ? CARRIED : UP;
    }

    private static String point(char how, double x, double y) {
        return how + "" + round(x) + " " + round(y);
    }

    private static double round(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
