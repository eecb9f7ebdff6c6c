package abbex.app.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * A backup that was just loaded beside the data in use: brought up to date by the start itself, made true to what the journal
 * knows since, looked at, and told of. Without the report nobody switches to it.
 */
@Component
@ConditionalOnProperty("abbex.restored.report")
class Restored {
    private final List<StaysSo> keepers;
    private final Path report;
    /** The number of lines that the backup knows itself, an at sign and the file. */
    private final List<String> journals;

    Restored(
            List<StaysSo> keepers,
            @Value("${abbex.restored.report}") Path report,
            @Value("${abbex.restored.journals:}") String journals) {
        this.keepers = keepers;
        this.report = report;
        this.journals = Arrays.stream(journals.split(","))
                .filter(file -> !file.isEmpty())
                .toList();
    }

    @EventListener
    void ready(ApplicationReadyEvent event) throws IOException {
        Map<Journal.What, Integer> made = new EnumMap<>(Journal.What.class);
        for (String journal : journals) {
            int at = journal.indexOf('@');
            int known = Integer.parseInt(journal.substring(0, at));
            for (Journal.Line line : Journal.read(Path.of(journal.substring(at + 1)), known)) {
                for (StaysSo keeper : keepers) {
                    if (keeper.takes().contains(line.what()) && keeper.again(line)) {
                        made.merge(line.what(), 1, Integer::sum);
                    }
                }
            }
        }
        keepers.forEach(StaysSo::restored);
        List<String> told = new ArrayList<>();
        told.add("It holds "
                + String.join(
                        ", ",
                        keepers.stream()
                                .map(StaysSo::holds)
                                .filter(h -> !h.isEmpty())
                                .toList())
                + ".");
        made.forEach((what, n) -> told.add("Stays as it was made since: " + n + " × " + said(what) + "."));
        Files.write(report, told);
        int status = SpringApplication.exit(event.getApplicationContext());
        System.exit(status);
    }

    private static String said(Journal.What what) {
        return switch (what) {
            case PASSWORD -> "a changed password";
            case PIN -> "a changed PIN";
            case SECOND_FACTOR -> "a code from a phone turned on or off";
            case RECOVERY_CODES -> "recovery codes";
            case PERSON_DEACTIVATED -> "a person deactivated";
            case KEY_REVOKED -> "a key revoked";
            case CALENDAR_WITHDRAWN -> "a calendar address withdrawn";
            case CUSTOMER_TEXT -> "a customer’s name taken out of a text";
            case CUSTOMER_BLANKED -> "a customer’s name deleted";
        };
    }
}
