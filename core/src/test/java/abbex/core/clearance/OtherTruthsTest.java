package abbex.core.clearance;

import static abbex.core.clearance.ClearanceTest.fitment;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.clearance.TyreBody.Face;
import abbex.core.clearance.TyreBody.Worn;
import abbex.core.clearance.Verdict.Word;
import abbex.core.figure.Shape;
import abbex.core.motion.Gain;
import abbex.core.motion.Known;
import abbex.core.motion.Range;
import abbex.core.motion.StraightMotion;
import abbex.core.units.Length;
import abbex.core.vehicle.Architecture;
import abbex.core.wheels.Fitment;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * Corners whose truth is drawn from other widths and shapes than the program counts on: 1 to 2 times as wide, normal, uniform,
 * lognormal or with heavy tails, each of what nobody measured by itself. What is said to clear has the air it needs in 95 of 100,
 * at every kind of place.
 */
class OtherTruthsTest {
    private static final Range USUAL = new Range(60, 70, Math.toRadians(32), Math.toRadians(38), Math.toRadians(3));
    private static final Fitment NOW = fitment("225/45R17 91W", "7.5Jx17 ET45");
    private static final List<Fitment> PLANNED = List.of(
            NOW,
            fitment("235/40R18 95W", "8Jx18 ET45"),
            fitment("225/45R17 91W", "9.5Jx17 ET45"),
            fitment("215/45R17 87W", "7.5Jx17 ET35"),
            fitment("245/35R18 92W", "9.5Jx18 ET50"));
    private static final int CLEAR_OF_EACH = 300;

    /** Draws what one vehicle has of something that nobody measured. */
    private record Off(Random random, double wide) {
        static Off of(Random random) {
            return new Off(random, 1 + random.nextDouble());
        }

        double by(double standard) {
            return wide * standard * Shape.any(random);
        }
    }

    private static Face[] faces(ProbePlace place) {
        return switch (place) {
            case FENDER_LIP -> new Face[] {Face.TREAD, Face.OUTER_SHOULDER, Face.OUTER_SIDEWALL};
            case STRUT, SPRING_PERCH, SWAY_LINK, TIE_ROD, SWINGARM, FRAME ->
                new Face[] {Face.INNER_SIDEWALL, Face.INNER_SHOULDER};
            default -> new Face[] {Face.TREAD, Face.INNER_SHOULDER};
        };
    }

    private static TyreBody grown(TyreBody nominal, double by) {
        return new TyreBody(
                nominal.middle(),
                nominal.half() + by,
                nominal.bead(),
                nominal.outside() + by,
                nominal.shoulder(),
                nominal.heel());
    }

    /** One corner: said by the program, true or not. Empty where it is not said to clear. */
    private static Word judged(ProbePlace place, Random random, double[] air) {
        Off off = Off.of(random);
        Architecture sprung = Architecture.values()[random.nextInt(Architecture.values().length)];
        Face face = faces(place)[random.nextInt(faces(place).length)];
        Fitment planned = PLANNED.get(random.nextInt(PLANNED.size()));
        double lowered = random.nextBoolean() ? 0 : 60 * random.nextDouble();
        double clock = 1 + random.nextInt(12);
        double gap = place.inside() ? 1 + 20 * random.nextDouble() : 2 + 180 * random.nextDouble();
        double read = Math.max(0, Math.rint((gap + off.by(place.inside() ? 0.2 : 0.8)) * 16 / 25.4) * 25.4 / 16);
        GapReading told = new GapReading(
                place, clock, face, Length.ofRoundedMm(place.inside() ? gap + off.by(0.2) : read), Length.ZERO);
        Gain usual = Gain.usual(sprung);
        Gain width = Gain.width(sprung);
        StraightMotion motion = new StraightMotion(
                USUAL,
                0,
                usual,
                StraightMotion.USUAL_AXIS,
                Known.of(true, false, false).withGain(width));
        Verdict said = ClearanceModel.of(List.of(LocatedGap.byHand(told, NOW)), planned, Worn.NOTHING, lowered, motion)
                .verdicts()
                .get(0);
        if (said.word() != Word.CLEAR) {
            return said.word();
        }
        Gain real = usual.plus(new Gain(
                off.by(width.camber()), off.by(width.steer()), off.by(width.outboard()), off.by(width.ahead())));
        StraightMotion moves = new StraightMotion(
                USUAL.bumped(off.by(3)).locked(off.by(Math.toRadians(4))),
                Math.toRadians(off.by(1)),
                real,
                StraightMotion.USUAL_AXIS + off.by(30),
                Known.MEASURED);
        air[0] = place.inside()
                ? inside(place, told, gap, planned, off)
                : left(place, told, gap, planned, lowered, moves, off);
        return said.word();
    }

    /** Barrel and spokes of another wheel lie where that wheel has them. */
    private static double inside(ProbePlace place, GapReading told, double gap, Fitment planned, Off off) {
        boolean same = planned.wheel().equals(NOW.wheel());
        if (place == ProbePlace.SPOKES) {
            double further = NOW.wheel().effectiveOffset().mm()
                    - planned.wheel().effectiveOffset().mm();
            return gap + further + (same ? 0 : off.by(8));
        }
        double wider =
                (planned.wheel().rimCode().doubleValue() - NOW.wheel().rimCode().doubleValue()) * 12.7;
        return gap + wider + (same ? 0 : off.by(5));
    }

    private static double left(
            ProbePlace place,
            GapReading told,
            double gap,
            Fitment planned,
            double lowered,
            StraightMotion moves,
            Off off) {
        double size = off.by(1);
        double hour = off.by(GapReading.Spot.EYE);
        double across = off.by(told.face() == Face.TREAD ? 20 : told.face().sidewall() ? 12 : 10);
        double[] section = grown(TyreBody.of(NOW), size).at(told.face(), gap, across);
        double angle = Math.toRadians(30 * (told.clock() + hour));
        double[] point = {section[1] * Math.sin(angle), section[0], section[1] * Math.cos(angle)};
        ProbePlace.Carrier carrier = place.carrier();
        if (carrier != ProbePlace.Carrier.KNUCKLE) {
            moves.fromWheel(point, -lowered * carrier.withBody());
            double bends = off.by(place.bends());
            point[1] += bends;
        }
        TyreBody tyre = grown(TyreBody.grown(planned), planned.equals(NOW) ? size : off.by(1));
        TyreBody rim = TyreBody.rim(planned);
        double least = Math.min(
                Sweep.run(tyre, point, carrier, moves).gap(),
                Sweep.run(rim, point, carrier, moves).gap());
        boolean tube = place == ProbePlace.STRUT || place == ProbePlace.SPRING_PERCH || place == ProbePlace.SWAY_LINK;
        if (!tube) {
            return least;
        }
        // A tube goes on past the wheel: every centimetre of it down to the rim's seat, as straight as it is.
        double lean = Math.tan(off.by(Math.toRadians(3)));
        double radius = Math.hypot(point[0], point[2]);
        double seat = planned.wheel().rimCode().doubleValue() * 12.7;
        for (double r = radius; r > seat; r -= 10) {
            double[] further = {point[0] * r / radius, point[1] + lean * (radius - r), point[2] * r / radius};
            least = Math.min(
                    least,
                    Math.min(
                            Sweep.run(tyre, further, carrier, moves).gap(),
                            Sweep.run(rim, further, carrier, moves).gap()));
        }
        return least;
    }

    @Test
    void clear_is_true_at_every_place_whatever_vehicles_differ_by() {
        Map<ProbePlace, String> seen = new EnumMap<>(ProbePlace.class);
        for (ProbePlace place : ProbePlace.values()) {
            Random random = new Random(3820 + place.ordinal());
            int clear = 0;
            int held = 0;
            int drawn = 0;
            while (clear < CLEAR_OF_EACH && drawn++ < 6000) {
                double[] air = new double[1];
                if (judged(place, random, air) == Word.CLEAR) {
                    clear++;
                    held += air[0] >= place.neededMm() ? 1 : 0;
                }
            }
            assertTrue(clear >= CLEAR_OF_EACH / 3, place + " " + clear + " of " + drawn);
            seen.put(place, held + " of " + clear + ", " + drawn + " drawn");
            assertTrue(held >= 0.95 * clear, place + ": " + seen.get(place));
        }
        System.out.println("other truths: " + seen);
    }

    /** 7.5 to 9.5 inches wide: one tube read at the sidewall and at the shoulder is one tube. */
    @Test
    void a_tube_is_at_the_rim_wherever_it_was_read() {
        Fitment wide = fitment("225/45R17 91W", "9.5Jx17 ET45");
        StraightMotion still = new StraightMotion(new Range(0, 0, 0, 0, 0), 0, 60);
        TyreBody on = TyreBody.of(NOW);
        double tube = on.middle() - on.half() - 12;
        double[] shoulder = on.at(Face.INNER_SHOULDER, 0, 0);
        // From the shoulder's middle, at 45 degrees, to the same tube.
        double gap = (shoulder[0] - tube) * Math.sqrt(2);
        double[] atShoulder = least(ProbePlace.STRUT, 12, Face.INNER_SHOULDER, gap, wide, still);
        double[] atSidewall = least(ProbePlace.STRUT, 12, Face.INNER_SIDEWALL, 12, wide, still);
        assertEquals(atSidewall[0], atShoulder[0], 0.5);
        assertTrue(atShoulder[1] > atSidewall[1], "a lean over the way down is open");
    }

    /** The rim governs: what is open of the place across the sidewall is open there too, on whatever is planned. */
    @Test
    void the_place_across_counts_where_the_rim_governs() {
        StraightMotion still = new StraightMotion(new Range(0, 0, 0, 0, 0), 0, 60);
        for (Fitment planned : PLANNED) {
            double[] rod = least(ProbePlace.TIE_ROD, 8, Face.INNER_SIDEWALL, 23.5, planned, still);
            for (double off : new double[] {-24, -12, 12, 24}) {
                double[] at = TyreBody.of(NOW).at(Face.INNER_SIDEWALL, 23.5, off);
                double there = Math.min(
                        TyreBody.rim(planned).distance(at[0], at[1]),
                        TyreBody.grown(planned).distance(at[0], at[1]));
                assertTrue(
                        there >= rod[0] - 2 * rod[1] - 0.1,
                        planned + ", " + off + ": " + rod[0] + " ± " + rod[1] + ", " + there);
            }
        }
    }

    private static double[] least(
            ProbePlace place, double clock, Face face, double gap, Fitment planned, StraightMotion motion) {
        GapReading told = new GapReading(place, clock, face, Length.ofRoundedMm(gap), Length.ZERO);
        Verdict said = ClearanceModel.of(List.of(LocatedGap.byHand(told, NOW)), planned, Worn.NOTHING, 0, motion)
                .verdicts()
                .get(0);
        return new double[] {said.least().gap(), said.standard()};
    }

    /** Spokes go out with the wheel; how another wheel's stand is not known until it is offered up. */
    @Test
    void spokes_go_with_the_offset_and_are_their_wheels_own() {
        StraightMotion still = new StraightMotion(new Range(0, 0, 0, 0, 0), 0, 60);
        double[] same = least(ProbePlace.SPOKES, 9, Face.OUTER_SIDEWALL, 4, NOW, still);
        assertEquals(4, same[0], 1e-6);
        assertTrue(same[1] < 0.5);
        Fitment spaced = new Fitment(NOW.wheel().withSpacer(Length.ofMm(5)), NOW.tyre());
        assertEquals(9, least(ProbePlace.SPOKES, 9, Face.OUTER_SIDEWALL, 4, spaced, still)[0], 1e-6);
        assertTrue(least(ProbePlace.SPOKES, 9, Face.OUTER_SIDEWALL, 4, spaced, still)[1] < 0.5);
        Fitment other = fitment("225/45R17 91W", "8Jx17 ET38");
        double[] wide = least(ProbePlace.SPOKES, 9, Face.OUTER_SIDEWALL, 4, other, still);
        assertEquals(11, wide[0], 1e-6);
        assertTrue(wide[1] > 7, "its own spokes");
        Fitment inward = fitment("225/45R17 91W", "7.5Jx17 ET55");
        assertEquals(-6, least(ProbePlace.SPOKES, 9, Face.OUTER_SIDEWALL, 4, inward, still)[0], 1e-6);
    }
}
