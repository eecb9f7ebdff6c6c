package abbex.core.instrument;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Frames on a line. */
class FrameTest {
    private static final String BODY = "41 W7K2 00C0FFEE 1A2B3C4D torque 92.4 Nm 120 80";

    /** The check value of this CRC over 123456789 is 0x29B1 (catalogue of parametrised CRC algorithms, from memory). */
    @Test
    void the_checksum_is_the_published_one() {
        assertEquals(0x29B1, Crc16.of("123456789"));
        assertEquals(0xFFFF, Crc16.of(""));
    }

    @Test
    void a_whole_frame_is_read() {
        Frame frame = good(FrameText.framed(BODY).strip());
        assertEquals(41, frame.seq());
        assertEquals("92.4 N·m", frame.text());
        assertEquals("1A2B3C4D", frame.pair().orElseThrow());
        assertFalse(frame.low());
    }

    private static Frame good(String line) {
        return assertInstanceOf(FrameParse.Good.class, FrameText.parse(line), line)
                .frame();
    }

    private static FrameParse.Why why(String line) {
        return assertInstanceOf(FrameParse.Bad.class, FrameText.parse(line), line)
                .why();
    }

    private static String framed(String body) {
        return FrameText.framed(body).strip();
    }

    @Test
    void what_is_wrong_with_a_line_is_said() {
        String line = framed(BODY);
        assertEquals(FrameParse.Why.TORN, why(line.substring(0, 20)));
        assertEquals(FrameParse.Why.TORN, why(line.substring(3)));
        assertEquals(FrameParse.Why.CHECKSUM, why(line.replace("92.4", "92.5")));
        assertEquals(FrameParse.Why.UNIT, why(framed(BODY.replace("Nm", "psi"))));
        assertEquals(FrameParse.Why.PARTS, why(framed(BODY.replace("92.4", "ninety"))));
        assertEquals(FrameParse.Why.PARTS, why(framed(BODY.replace("92.4", "-"))));
        assertEquals(FrameParse.Why.PARTS, why(framed(BODY.replace(" 80", " 180"))));
        assertEquals(FrameParse.Why.STALE, why(framed(BODY.replace(" 120 ", " 120001 "))));
        assertEquals(FrameParse.Why.LONG, why("{" + "x".repeat(200)));
    }

    /** Every change of one letter is found: a CRC of 16 bits finds every error burst of up to 16 bits (ITU-T V.41). */
    @Test
    void no_changed_letter_is_a_reading() {
        String line = framed(BODY);
        for (int i = 0; i < line.length(); i++) {
            for (char c = 32; c < 127; c++) {
                if (line.charAt(i) != c) {
                    String other = line.substring(0, i) + c + line.substring(i + 1);
                    assertInstanceOf(FrameParse.Bad.class, FrameText.parse(other), other);
                }
            }
        }
    }

    /** However the bytes are cut, the same lines come out; a line of a megabyte is one bad line. */
    @Test
    void bytes_may_be_cut_anywhere() {
        StringBuilder all = new StringBuilder();
        for (int n = 1; n <= 50; n++) {
            all.append(FrameText.framed(BODY.replaceFirst("41", "" + n)));
            if (n == 20) {
                all.append("x".repeat(1_000_000)).append("\r\n");
            }
        }
        byte[] bytes = all.toString().getBytes(StandardCharsets.ISO_8859_1);
        Random random = new Random(3);
        List<FrameParse> seen = new ArrayList<>();
        FrameReader reader = new FrameReader(seen::add);
        for (int from = 0; from < bytes.length; ) {
            int count = Math.min(bytes.length - from, 1 + random.nextInt(5000));
            byte[] part = new byte[count];
            System.arraycopy(bytes, from, part, 0, count);
            reader.feed(part, count);
            from += count;
        }
        assertEquals(51, seen.size());
        assertEquals(new FrameParse.Bad(FrameParse.Why.LONG), seen.get(20));
        assertEquals(50, seen.stream().filter(FrameParse.Good.class::isInstance).count());
    }

    /**
     * 100,000 readings of four devices on one line, with frames doubled, out of order, torn, garbled, stale, of a wrong unit, and
     * devices switched off and on: a device repeats what was not acknowledged. No reading from a bad frame, none lost, none twice.
     */
    @Test
    void a_hundred_thousand_frames_with_every_fault() {
        Random random = new Random(4);
        Line line = new Line(random);
        for (int n = 0; n < 100_000; n++) {
            line.measure(n);
        }
        line.settle();
        assertEquals(line.sent, line.taken, "each once, of each device in its order");
        assertTrue(line.bad > 20_000, line.bad + " bad lines");
    }

    private static final class Line {
        private final Random random;
        private final List<List<String>> sent = new ArrayList<>();
        private final List<List<String>> taken = new ArrayList<>();
        private final List<java.util.TreeMap<Long, String>> waiting = new ArrayList<>();
        private final List<java.util.TreeMap<Long, String>> came = new ArrayList<>();
        private final Numbers[] numbers = new Numbers[4];
        private final int[] boots = new int[4];
        private final long[] seq = new long[4];
        private final FrameReader reader = new FrameReader(this::take);
        private int bad;

        Line(Random random) {
            this.random = random;
            for (int d = 0; d < 4; d++) {
                numbers[d] = new Numbers();
                sent.add(new ArrayList<>());
                taken.add(new ArrayList<>());
                waiting.add(new java.util.TreeMap<>());
                came.add(new java.util.TreeMap<>());
            }
        }

        void measure(int n) {
            int d = random.nextInt(4);
            if (random.nextInt(2000) == 0) {
                flush(d);
                boots[d]++;
                seq[d] = 0;
            }
            String value = n % 1000 + "." + n / 1000;
            sent.get(d).add(value);
            waiting.get(d).put(++seq[d], body(d, seq[d], value, "Nm", 5));
            send(d, waiting.get(d).lastKey(), random.nextInt(4) == 0);
            if (random.nextInt(5) == 0) {
                repeat(d);
            }
        }

        private String body(int d, long number, String value, String unit, int ago) {
            return String.format(
                    Locale.ROOT, "%d D%d0 %08X - torque %s %s %d 90", number, d, boots[d], value, unit, ago);
        }

        /** Puts a frame on the line, whole or with a fault; after it other things that are no readings. */
        private void send(int d, long number, boolean fault) {
            String frame = FrameText.framed(waiting.get(d).get(number));
            if (!fault) {
                feed(frame);
                if (random.nextInt(10) == 0) {
                    feed(frame);
                }
                return;
            }
            switch (random.nextInt(5)) {
                case 0 -> feed(frame.substring(0, 1 + random.nextInt(frame.length() - 2)) + "\n");
                case 1 -> {
                    int at = 1 + random.nextInt(frame.length() - 3);
                    feed(frame.substring(0, at) + (char) (33 + (frame.charAt(at) - 32) % 93) + frame.substring(at + 1));
                }
                case 2 -> feed(FrameText.framed(body(d, 900_000_000L + random.nextInt(9), "1.0", "psi", 5)));
                case 3 -> feed(FrameText.framed(body(d, 900_000_000L + random.nextInt(9), "2.0", "Nm", 999_999)));
                default -> feed("\u00ff".repeat(random.nextInt(400)) + "\n");
            }
        }

        private void feed(String text) {
            byte[] bytes = text.getBytes(StandardCharsets.ISO_8859_1);
            reader.feed(bytes, bytes.length);
        }

        /** What was not acknowledged is sent again, in any order. */
        private void repeat(int d) {
            List<Long> open = new ArrayList<>(waiting.get(d).keySet());
            java.util.Collections.shuffle(open, random);
            open.forEach(number -> send(d, number, random.nextInt(4) == 0));
        }

        private void flush(int d) {
            while (!waiting.get(d).isEmpty()) {
                repeat(d);
            }
            taken.get(d).addAll(came.get(d).values());
            came.get(d).clear();
        }

        private void take(FrameParse parsed) {
            if (parsed instanceof FrameParse.Good good) {
                Frame frame = good.frame();
                int d = frame.device().charAt(1) - '0';
                if (numbers[d].first(frame.boot(), frame.seq())) {
                    came.get(d).put(frame.seq(), frame.value());
                }
                waiting.get(d).remove(frame.seq());
            } else {
                bad++;
            }
        }

        void settle() {
            for (int d = 0; d < 4; d++) {
                flush(d);
            }
        }
    }
}
