package abbex.app.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * What must not come back with an older backup, in a file beside the database: a line an act, only ever added to, on disk
 * before the act is committed. A line that was written for an act that then failed makes a restore stricter, never looser.
 */
@Component
public class Journal {
    /** What stays so. */
    public enum What {
        /** Of a person, with the hash of the password that holds since. */
        PASSWORD,
        /** Of a person, with the hash of the PIN that holds since; {@code -} when there is none. */
        PIN,
        /** Of a person, with the key of the phone's codes that holds since; {@code -} when none is asked for. */
        SECOND_FACTOR,
        /** Of a person, with the digests of the recovery codes that are left; {@code -} for none. */
        RECOVERY_CODES,
        PERSON_DEACTIVATED,
        KEY_REVOKED,
        /** Of an address under which a calendar was read. */
        CALENDAR_WITHDRAWN,
        /** Of a stay, with the text in which its customer was named, and how much of it went; before the name itself. */
        CUSTOMER_TEXT,
        /** Of a stay. */
        CUSTOMER_BLANKED
    }

    /**
     * A line.
     *
     * @param of whom or what it is about
     * @param value what holds since; {@code -} where the kind says all
     */
    public record Line(Instant at, What what, UUID of, String value) {}

    private static final String END = ".";

    private final String file;
    private final Clock clock;

    Journal(@Value("${abbex.journal:}") String file, Clock clock) {
        this.file = file;
        this.clock = clock;
    }

    public void keep(What what, UUID of) {
        keep(what, of, "-");
    }

    /**
     * @param value without blanks
     * @throws UncheckedIOException when it cannot be written: the act must not be committed then
     */
    public synchronized void keep(What what, UUID of, String value) {
        if (file.isEmpty()) {
            return;
        }
        String at = clock.instant().truncatedTo(ChronoUnit.MILLIS).toString();
        // What a power cut left in half stands on a line of its own, without the end that a whole one has.
        String line = "\n" + String.join(" ", at, what.name(), of.toString(), value, END) + "\n";
        try (FileChannel channel = FileChannel.open(
                Path.of(file), StandardOpenOption.CREATE, StandardOpenOption.WRITE, StandardOpenOption.APPEND)) {
            ByteBuffer bytes = ByteBuffer.wrap(line.getBytes(StandardCharsets.US_ASCII));
            while (bytes.hasRemaining()) {
                channel.write(bytes);
            }
            channel.force(true);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * The lines of a journal in their order; a last line that a power cut left in half is no line.
     *
     * @param skipped how many at its beginning the reader knows already
     */
    static List<Line> read(Path journal, int skipped) throws IOException {
        List<Line> lines = new ArrayList<>();
        for (String text : Files.readAllLines(journal, StandardCharsets.US_ASCII)) {
            String[] parts = text.split(" ");
            if (parts.length == 5 && parts[4].equals(END)) {
                lines.add(
                        new Line(Instant.parse(parts[0]), What.valueOf(parts[1]), UUID.fromString(parts[2]), parts[3]));
            }
        }
        return lines.subList(Math.min(skipped, lines.size()), lines.size());
    }
}
