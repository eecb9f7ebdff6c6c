package abbex.app.account;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** How the shop's data is kept: what the start command wrote down of its backups by the day, for the lead to see. */
@Component
class Keeping {
    private static final Duration LATE = Duration.ofHours(36);

    /**
     * Of the backups by the day.
     *
     * @param to the folder that they go to
     * @param last when the newest was made; null while there is none
     * @param failed why the newest attempt failed; empty when it did not
     * @param late whether a lead should look after it
     */
    record State(String to, @Nullable Instant last, String failed, boolean late) {}

    private final String file;
    private final Clock clock;

    Keeping(@Value("${abbex.backup-state:}") String file, Clock clock) {
        this.file = file;
        this.clock = clock;
    }

    /** Empty when no backups are made by the day. */
    Optional<State> state() {
        if (file.isEmpty() || !Files.exists(Path.of(file))) {
            return Optional.empty();
        }
        try {
            List<String> lines = Files.readAllLines(Path.of(file));
            Instant last = instant(line(lines, "last "));
            String failed = line(lines, "failed ");
            boolean late = last == null || !failed.isEmpty() || last.plus(LATE).isBefore(clock.instant());
            return Optional.of(new State(line(lines, "to "), last, failed, late));
        } catch (IOException unreadable) {
            return Optional.of(new State("", null, String.valueOf(unreadable.getMessage()), true));
        }
    }

    private static String line(List<String> lines, String begins) {
        return lines.stream()
                .filter(l -> l.startsWith(begins))
                .map(l -> l.substring(begins.length()))
                .findFirst()
                .orElse("");
    }

    private static @Nullable Instant instant(String text) {
        try {
            return text.isEmpty() ? null : Instant.parse(text);
        } catch (DateTimeException unreadable) {
            return null;
        }
    }
}
