package abbex.core.setting;

import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.units.Length;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Questions that are not looked into for ever: adjusters at their ends, steps that nobody can tell apart. */
class FineStepsTest {
    private static SettingSolver.Answer solve(double pitchMm, double off) {
        Car car = new Car(
                new double[] {1300, 1300, -1300, -1300},
                new double[] {750, -750, -750, 750},
                new double[] {30, 30, 30, 30},
                220,
                0,
                0,
                Double.POSITIVE_INFINITY,
                Car.Widths.USUAL);
        Adjuster each = Adjuster.thread(Length.ofRoundedMm(pitchMm), 64, 400, 400, 1);
        return SettingSolver.solve(new SettingSolver.Question(
                new double[] {345, 345.5, 345.2, 344.9},
                car.heights(Car.Read.HUB),
                car.loads(),
                List.of(each, each, each, each),
                Aim.equalGaps(345 + off, 345 + off).keepingLoads()));
    }

    @Test
    void all_at_their_ends() {
        SettingSolver.Answer answer = solve(0.1, -20);
        assertTrue(answer.looked() < 3_000_000, answer.looked() + " looked into");
        assertTrue(
                answer.chosen().get(0).move() < -0.3 && answer.atEnd()[0],
                answer.chosen().toString());
    }

    @Test
    void all_in_the_middle() {
        SettingSolver.Answer answer = solve(0.1, 0.2);
        assertTrue(answer.looked() < 3_000_000, answer.looked() + " looked into");
    }
}
