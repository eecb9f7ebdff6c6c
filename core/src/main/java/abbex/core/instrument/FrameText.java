package abbex.core.instrument;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** Frames as text: see docs/instruments.md for their grammar. */
public final class FrameText {
    /** No frame is longer, in bytes. */
    public static final int LONGEST = 120;

    /** What was measured longer ago is no reading of now, ms (ours). */
    private static final long STALE = 120_000;

    private static final int FULL = 100;
    private static final Pattern FRAME = Pattern.compile("\\{([^{}*]+)\\*([0-9A-F]{4})\\}");
    private static final Pattern BODY =
            Pattern.compile("(\\d{1,9}) ([A-Za-z0-9-]{2,12}) ([0-9A-F]{8}) (-|[0-9A-F]{8}) ([a-z]{4,8}) "
                    + "(-|-?\\d{1,6}(?:\\.\\d{1,3})?) (-|[A-Za-z]{1,5}) (\\d{1,7}) (\\d{1,3})");

    private FrameText() {}

    /** @param line without its end */
    public static FrameParse parse(String line) {
        if (line.length() > LONGEST) {
            return new FrameParse.Bad(FrameParse.Why.LONG);
        }
        Matcher frame = FRAME.matcher(line);
        if (!frame.matches()) {
            return new FrameParse.Bad(FrameParse.Why.TORN);
        }
        if (Crc16.of(frame.group(1)) != Integer.parseInt(frame.group(2), 16)) {
            return new FrameParse.Bad(FrameParse.Why.CHECKSUM);
        }
        Matcher body = BODY.matcher(frame.group(1));
        return body.matches() ? parse(body) : new FrameParse.Bad(FrameParse.Why.PARTS);
    }

    private static FrameParse parse(Matcher body) {
        Optional<Frame.Kind> kind = Stream.of(Frame.Kind.values())
                .filter(k -> k.name().toLowerCase(Locale.ROOT).equals(body.group(5)))
                .findFirst();
        int battery = Integer.parseInt(body.group(9));
        String value = body.group(6);
        boolean number = !value.equals("-");
        if (kind.isEmpty() || battery > FULL || number != (kind.get() != Frame.Kind.ALIVE)) {
            return new FrameParse.Bad(FrameParse.Why.PARTS);
        }
        if (!kind.get().in(body.group(7))) {
            return new FrameParse.Bad(FrameParse.Why.UNIT);
        }
        long ago = Long.parseLong(body.group(8));
        if (kind.get().measures() && ago > STALE) {
            return new FrameParse.Bad(FrameParse.Why.STALE);
        }
        String pair = body.group(4);
        return new FrameParse.Good(new Frame(
                Long.parseLong(body.group(1)),
                body.group(2),
                body.group(3),
                pair.equals("-") ? Optional.empty() : Optional.of(pair),
                kind.get(),
                value,
                body.group(7),
                ago,
                battery));
    }

    /** An answer to a device: a body in its frame, with the end of the line. */
    public static String framed(String body) {
        return "{" + body + "*" + String.format(Locale.ROOT, "%04X", Crc16.of(body)) + "}\n";
    }
}
