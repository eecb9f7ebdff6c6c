package abbex.core.alignment;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.figure.Finding;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerCorner;
import abbex.core.vehicle.PerEnd;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Angles as aligners write them, and what they say. */
class AlignmentTest {
    private static final PerCorner<WheelAngles> NOTHING = PerCorner.of(c -> WheelAngles.NOT_READ);
    private static final PerEnd<Limits> UNLIMITED = PerEnd.of(e -> Limits.NONE);

    private static WheelAngles wheel(double camber, double toe) {
        return new WheelAngles(Optional.of(camber), Optional.of(toe), Optional.empty());
    }

    private static List<String> codes(
            PerCorner<WheelAngles> before, PerCorner<WheelAngles> after, PerEnd<Limits> limits) {
        return new Alignment(
                        before,
                        after,
                        limits,
                        PerEnd.of(e -> Optional.empty()),
                        PerEnd.of(e -> AlignFinding.Reach.UNKNOWN))
                .findings().stream().map(Finding::code).toList();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '#',
            value = {
                "-1.4 | -1.4",
                "−1.4° | -1.4",
                "-1°24' | -1.4",
                "1° 30' | 1.5",
                "6' | 0.1",
                "-30 min | -0.5",
                ".25 | 0.25"
            })
    void degrees_and_minutes(String text, double degrees) {
        assertEquals(degrees, AngleText.degrees(text).orElseThrow(), 1e-12);
    }

    @ParameterizedTest
    @CsvSource({"1 2 3", "1°75'", "45", "steep", "1/4"})
    void what_is_no_angle_is_not_guessed(String text) {
        assertTrue(AngleText.degrees(text).isEmpty(), text);
    }

    @Test
    void toe_is_an_angle_or_a_distance_at_a_diameter() {
        Optional<Length> across = Optional.of(Length.ofInches(26, 0, 1));
        // checks.csv, toe-2: an eighth at 26 in.
        for (String text : List.of("1/8 in", "in 1/8 in", "0.125\"")) {
            AngleText.Read.Angle read = assertInstanceOf(AngleText.Read.Angle.class, AngleText.toe(text, across), text);
            assertEquals(0.27546, read.toe().degrees(), 0.0001, text);
        }
        AngleText.Read.Angle out =
                assertInstanceOf(AngleText.Read.Angle.class, AngleText.toe("out 2 mm", Optional.of(Length.ofMm(600))));
        assertEquals(-Math.toDegrees(Math.asin(2 / 600.0)), out.toe().degrees(), 1e-9);
        // Was kept as toe in.
        for (String text : List.of("toe-out 0.35", "toe out 0.35°", "0.35 out", "0.35° toe-out", "Out 0.35")) {
            assertEquals(
                    -0.35,
                    assertInstanceOf(AngleText.Read.Angle.class, AngleText.toe(text, Optional.empty()), text)
                            .toe()
                            .degrees(),
                    1e-12,
                    text);
        }
        assertInstanceOf(AngleText.Read.NeedsDiameter.class, AngleText.toe("2 mm", Optional.empty()));
        assertInstanceOf(AngleText.Read.Not.class, AngleText.toe("out -0.1", Optional.empty()));
        assertInstanceOf(AngleText.Read.Not.class, AngleText.toe("some", Optional.empty()));
        assertEquals(
                -0.1,
                assertInstanceOf(AngleText.Read.Angle.class, AngleText.toe("out 0°06'", Optional.empty()))
                        .toe()
                        .degrees(),
                1e-12);
    }

    @Test
    void nothing_is_said_before_it_was_measured_after_the_work() {
        assertEquals(List.of(), codes(PerCorner.of(c -> wheel(-4, 1)), NOTHING, UNLIMITED));
    }

    @Test
    void a_limit_for_both_wheels_is_half_of_it_for_each() {
        PerEnd<Limits> total =
                PerEnd.of(e -> new Limits(Optional.empty(), Optional.of(new Limits.Range(0.1, 0.5).each())));
        assertEquals(List.of("TOE_WITHIN_LIMITS"), codes(NOTHING, PerCorner.of(c -> wheel(-1, 0.15)), total));
        assertEquals(4, codes(NOTHING, PerCorner.of(c -> wheel(-1, 0.3)), total).size());
    }

    @Test
    void without_limits_toe_that_eats_tyres_and_steep_camber_are_said() {
        PerCorner<WheelAngles> after = PerCorner.of(c -> c == Corner.LF ? wheel(-3.2, -0.3) : wheel(-1.5, 0.05));
        assertEquals(List.of("TOE_EATS", "CAMBER_STEEP", "CAMBER_UNEVEN"), codes(NOTHING, after, UNLIMITED));
    }

    @Test
    void what_was_read_before_the_work_neither_accuses_nor_clears() {
        PerCorner<WheelAngles> before = PerCorner.of(c -> wheel(-4, 0.9));
        PerCorner<WheelAngles> after = PerCorner.of(c -> c.end() == End.REAR
                ? new WheelAngles(Optional.empty(), Optional.of(c == Corner.LR ? 0.15 : -0.15), Optional.empty())
                : WheelAngles.NOT_READ);
        Alignment a = new Alignment(
                before, after, UNLIMITED, PerEnd.of(e -> Optional.empty()), PerEnd.of(e -> AlignFinding.Reach.UNKNOWN));
        assertEquals(0.15, Alignment.thrust(a.now()).orElseThrow(), 1e-12);
        assertEquals(
                List.of("TOE_NOT_READ", "TOE_NOT_READ", "THRUST_OFF"),
                a.findings().stream().map(Finding::code).toList());
        assertTrue(a.camberMoved(Corner.LR).isEmpty());
        assertTrue(a.findings().stream()
                .anyMatch(f -> f instanceof AlignFinding.ThrustOff off
                        && off.side() == AlignFinding.Side.RIGHT
                        && off.place() == End.REAR));
    }

    /** Mirrored wheels say the mirrored thing: the same limits, thrust the other way. */
    @Test
    void left_and_right_are_judged_alike() {
        Random random = new Random(3);
        for (int i = 0; i < 200; i++) {
            PerCorner<WheelAngles> one =
                    PerCorner.of(c -> wheel(-4 + 4 * random.nextDouble(), 0.8 * random.nextDouble() - 0.4));
            PerCorner<WheelAngles> other =
                    new PerCorner<>(one.get(Corner.RF), one.get(Corner.LF), one.get(Corner.LR), one.get(Corner.RR));
            assertEquals(
                    codes(NOTHING, one, UNLIMITED).stream().sorted().toList(),
                    codes(NOTHING, other, UNLIMITED).stream().sorted().toList());
            assertEquals(
                    Alignment.thrust(one).orElseThrow(),
                    -Alignment.thrust(other).orElseThrow(),
                    1e-12);
        }
    }
}
