package abbex.core.units;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.Draws;
import abbex.core.units.TapeParse.Refusal;
import abbex.core.units.TapeParse.Refused;
import abbex.core.units.TapeText.Allowed;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Tape text: what the trade writes is taken exactly, what no tape says is refused with what would be right. */
class TapeTextTest {
    private static final Graduation TAPE = Graduation.SIXTEENTH_INCH;

    private static TapeParse inch(String text) {
        return TapeText.parse(text, LengthUnit.INCH, TAPE, Allowed.POSITIVE);
    }

    private static Length value(TapeParse parse) {
        return parse.asReading()
                .orElseThrow(() -> new AssertionError(parse.toString()))
                .value();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "25 7/16",
                "25-7/16",
                "25 7/16\"",
                "25 7/16 in",
                " 25  7/16 ",
                "25 7 / 16",
                "25 7⁄16″",
                "25 7/16”",
                "2' 1 7/16\"",
                "2' 1-7/16",
                "2 ft 1 7/16 in",
                "2′ 1 7⁄16″",
                "25.4375",
                "25.4375 in",
                "25.4375\"",
                "646.1125 mm",
                "64.61125 cm",
                "25 7/16''",
                "25 ⁷⁄₁₆",
                "25⁷⁄₁₆",
                "25–7/16",
                "+25 7/16",
                "25 7/16 INCHES"
            })
    void one_length_in_every_writing(String text) {
        assertEquals(Length.ofInches(25, 7, 16), value(inch(text)));
        assertEquals(TAPE, inch(text).asReading().orElseThrow().graduation());
    }

    @Test
    void the_mark_is_heard() {
        assertEquals(Mark.PAST, inch("25 7/16+").asReading().orElseThrow().mark());
        assertEquals(Mark.SHORT, inch("25 7/16\"-").asReading().orElseThrow().mark());
        assertEquals(Mark.SHORT, inch("25 7/16−").asReading().orElseThrow().mark());
        assertEquals(Length.ofInches(25, 29, 64), value(inch("25 7/16+")));
        assertEquals(Length.ofInches(25, 27, 64), value(inch("25 7/16-")));
        assertEquals(Length.ofInches(25, 1, 2), value(inch("25½")));
        assertEquals(Length.ofInches(25, 1, 2), value(inch("25 ½")));
        assertEquals(Length.ofInches(24, 0, 1), value(inch("2'")));
        assertEquals(Length.ofInches(0, 7, 8), value(inch("7/8")));
    }

    @Test
    void a_finer_denominator_is_this_readings_own() {
        TapeReading finer = inch("25 7/32").asReading().orElseThrow();
        assertTrue(finer.finerThanTape());
        assertEquals(new Graduation(LengthUnit.INCH, 32), finer.graduation());
        assertEquals(
                Graduation.MILLIMETRE, inch("646 mm").asReading().orElseThrow().graduation());
    }

    @ParameterizedTest(name = "{0} is refused as {1}, offered {2}")
    @CsvSource(delimiter = '|', nullValues = "-", textBlock = """
                    25 7/15       | NOT_ON_A_TAPE       | 25 7/16
                    25 7/128      | NOT_ON_A_TAPE       | 25 1/16
                    25 7/0        | NOT_ON_A_TAPE       | -
                    25 17/16      | IMPROPER            | 26 1/16
                    25 7/         | UNFINISHED_FRACTION | 25 7/16
                    25 /16        | IMPROPER            | -
                    25 7          | MISSING_SLASH       | 25 7/16
                    26,5          | COMMA               | 26.5
                    26,5 mm       | COMMA               | 26.5 mm
                    1,200         | COMMA               | 1.200
                    ٢٦            | OTHER_DIGITS        | 26
                    ２６           | OTHER_DIGITS        | 26
                    1e3           | EXPONENT            | -
                    -26           | MINUS               | 26
                    −26 1/4       | MINUS               | 26 1/4
                    0             | ZERO                | -
                    0/16          | ZERO                | -
                    400           | TOO_LARGE           | 400 mm
                    400 in        | TOO_LARGE           | -
                    646           | TOO_LARGE           | 646 mm
                    <script>      | NOT_READABLE        | -
                    👍 26         | NOT_READABLE        | -
                    26 7/16 foo   | NOT_READABLE        | -
                    26++          | NOT_READABLE        | -
                    2' 26 mm      | NOT_READABLE        | -
                    2' 1 7/15     | NOT_ON_A_TAPE       | 2' 1 7/16
                    .             | NOT_READABLE        | -
                    """)
    void what_no_tape_says(String text, Refusal why, String offer) {
        Refused refused = assertInstanceOf(Refused.class, inch(text));
        assertEquals(why, refused.why());
        assertEquals(offer == null ? List.of() : List.of(offer), refused.offers());
        assertEquals(text, refused.raw());
    }

    @Test
    void an_impossible_text_is_not_looked_into() {
        assertEquals(Refusal.TOO_LONG, ((Refused) inch("1".repeat(10_000))).why());
        assertEquals(Refusal.NOT_PRINTABLE, ((Refused) inch("26\u0000")).why());
        assertEquals(Refusal.EMPTY, ((Refused) inch("  ")).why());
    }

    @Test
    void a_gap_may_be_tuck() {
        TapeParse tuck = TapeText.parse("−3/8", LengthUnit.INCH, TAPE, Allowed.ANY);
        assertEquals(Length.ofInches(0, 3, 8).negate(), value(tuck));
        assertEquals("-3/8 in", tuck.asReading().orElseThrow().text());
        assertEquals(Length.ZERO, value(TapeText.parse("0", LengthUnit.INCH, TAPE, Allowed.ANY)));
    }

    @Test
    void a_bare_number_has_the_sheets_unit() {
        TapeReading mm = TapeText.parse("26", LengthUnit.MILLIMETRE, Graduation.MILLIMETRE, Allowed.POSITIVE)
                .asReading()
                .orElseThrow();
        assertEquals(Length.ofMm(26), mm.value());
        assertTrue(mm.bareUnit());
    }

    static java.util.stream.LongStream seeds() {
        return Draws.seeds();
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void a_printed_reading_parses_back_to_itself(long seed) {
        Draws.each(seed, random -> {
            boolean metric = random.nextInt(3) == 0;
            Graduation tape = metric
                    ? new Graduation(LengthUnit.MILLIMETRE, new int[] {1, 2, 10}[random.nextInt(3)])
                    : new Graduation(LengthUnit.INCH, 1 << random.nextInt(7));
            Mark mark = Mark.values()[random.nextInt(3)];
            Length on = Length.ofNm(tape.step().nm()
                    * (1 + random.nextInt((int) (2_500_000_000L / tape.step().nm()))));
            String text = TapeText.print(on, tape)
                    .replace(
                            " " + tape.unit().symbol(),
                            mark.sign() + " " + tape.unit().symbol());
            TapeReading read = TapeText.parse(text, tape.unit(), tape, Allowed.POSITIVE)
                    .asReading()
                    .orElseThrow(() -> new AssertionError(text));
            assertEquals(mark, read.mark(), text);
            TapeReading again = TapeText.parse(read.text(), tape.unit(), tape, Allowed.POSITIVE)
                    .asReading()
                    .orElseThrow(() -> new AssertionError(read.text()));
            assertEquals(read.value(), again.value(), read.text());
            assertEquals(read.graduation(), again.graduation(), read.text());
            assertEquals(mark == Mark.ON ? on : TapeReading.shifted(on, tape, mark), read.value());
        });
    }

    /** Tuck is negative: past 3/8 of it is 3/8 and a quarter sixteenth, and the print of each reads back to itself. */
    @ParameterizedTest
    @CsvSource({
        "-3/8+, -390625, -3/8+ in",
        "-3/8-, -359375, -3/8- in",
        "3/8+, 390625, 3/8+ in",
        "0-, -15625, 0- in",
        "-0+, -15625, 0- in",
        "-1 1/2+, -1515625, -1 1/2+ in"
    })
    void past_a_mark_is_further_from_nought_on_either_side(String typed, long millionths, String printed) {
        TapeReading read = TapeText.parse(typed, LengthUnit.INCH, TAPE, Allowed.ANY)
                .asReading()
                .orElseThrow();
        assertEquals(millionths * 254 / 10, read.value().nm(), 1);
        assertEquals(printed, read.text());
        TapeReading again = TapeText.parse(printed, LengthUnit.INCH, TAPE, Allowed.ANY)
                .asReading()
                .orElseThrow();
        assertEquals(read.value(), again.value());
    }

    @Test
    void a_tube_that_shows_less_than_nothing_is_refused() {
        assertTrue(TapeText.parse("0", LengthUnit.INCH, TAPE, Allowed.ZERO_OR_MORE)
                .asReading()
                .isPresent());
        TapeParse less = TapeText.parse("0-", LengthUnit.INCH, TAPE, Allowed.ZERO_OR_MORE);
        assertEquals(TapeParse.Refusal.MINUS, ((Refused) less).why());
        assertEquals(List.of("0"), ((Refused) less).offers());
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void any_text_is_answered(long seed) {
        String alphabet = "0123456789 /.-+'\"inmc⁄½₆⁷,e\u0000٢<>👍−″";
        Draws.each(seed, random -> {
            StringBuilder text = new StringBuilder();
            int length = random.nextInt(14);
            for (int i = 0; i < length; i++) {
                text.append(alphabet.charAt(random.nextInt(alphabet.length())));
            }
            TapeParse parse = inch(text.toString());
            parse.asReading().ifPresent(r -> assertTrue(r.value().sign() > 0, text.toString()));
            if (parse instanceof Refused refused) {
                refused.offers()
                        .forEach(offer -> assertTrue(inch(offer).asReading().isPresent(), offer));
            }
        });
    }

    @Test
    void results_are_exact_on_the_marks_and_rounded_between_them() {
        assertEquals(new TapeText.Shown("13/16", true), TapeText.result(Length.ofInches(0, 13, 16), TAPE));
        assertEquals(new TapeText.Shown("25/32", true), TapeText.result(Length.ofInches(0, 25, 32), TAPE));
        assertEquals(new TapeText.Shown("1 3/16", false), TapeText.result(Length.ofMm(30), TAPE));
        assertEquals(
                new TapeText.Shown("20.6", false), TapeText.result(Length.ofInches(0, 13, 16), Graduation.MILLIMETRE));
        assertEquals("7/64", TapeText.expanded(Length.ofNm(2_592_377), LengthUnit.INCH));
        assertEquals("2.6", TapeText.expanded(Length.ofNm(2_592_377), LengthUnit.MILLIMETRE));
    }

    /** A fraction no finer than half of what it is uncertain by; where 1/16 in is shown anyhow nothing is coarser. */
    @Test
    void a_value_is_told_no_finer_than_it_is_known() {
        assertEquals(Optional.empty(), TapeText.stepOf(inches("3/32"), LengthUnit.INCH));
        assertEquals(Optional.of(inches("1/8")), TapeText.stepOf(inches("9/32"), LengthUnit.INCH));
        assertEquals(Optional.of(inches("1/4")), TapeText.stepOf(inches("1/2"), LengthUnit.INCH));
        assertEquals(Optional.of(inches("1/2")), TapeText.stepOf(inches("1 9/16"), LengthUnit.INCH));
        assertEquals(Optional.of(inches("1")), TapeText.stepOf(inches("5"), LengthUnit.INCH));
        assertEquals(Optional.empty(), TapeText.stepOf(Length.ofRoundedMm(1.4), LengthUnit.MILLIMETRE));
        assertEquals(Optional.of(Length.ofMm(1)), TapeText.stepOf(Length.ofMm(6), LengthUnit.MILLIMETRE));
        assertEquals(inches("1 1/2"), inches("1 9/16").toNearest(inches("1/2")));
        assertEquals(Length.ZERO, inches("3/32").toNearest(inches("1/2")));
    }

    private static Length inches(String text) {
        return TapeText.parse(text, LengthUnit.INCH, new Graduation(LengthUnit.INCH, 64), TapeText.Allowed.ANY)
                .asReading()
                .orElseThrow()
                .value();
    }
}
