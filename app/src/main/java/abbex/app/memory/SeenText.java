package abbex.app.memory;

import abbex.app.arrive.Job;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.settling.Bins;
import abbex.core.units.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What the shop has seen of a kit, in a line for who plans with it. */
@Service
public class SeenText {
    private final Memory memory;
    private final Words words;

    SeenText(Memory memory, Words words) {
        this.memory = memory;
        this.words = words;
    }

    /** A line, safe for a page, and where more of it stands. */
    public record Line(String text, String kit, String kind) {}

    /** Empty where no stay told of it. */
    public Optional<Line> of(Job job, String name, Reader reader) {
        Memory.Kit kit = new Memory.Kit(Memory.key(name), job.vehicle().kind());
        Map<String, Bins> all = kit.key().isEmpty() ? Map.of() : memory.of(job.shop(), kit);
        int stays = all.getOrDefault("STAYS", Bins.NONE).count();
        if (stays == 0) {
            return Optional.empty();
        }
        List<String> parts = new ArrayList<>();
        for (Remembered what : Remembered.values()) {
            Bins bins = all.getOrDefault(what.name(), Bins.NONE);
            if (bins.count() > 0) {
                String mean = Numerals.drop(Length.ofRoundedMm(bins.mean()), reader);
                parts.add(words.say("memory." + what) + " " + mean
                        + (bins.count() < 2
                                ? ""
                                : " ± " + Numerals.uncertainty(Length.ofRoundedMm(bins.spread()), reader)));
            }
        }
        String count = words.say(stays == 1 ? "memory.stays.one" : "memory.stays", reader, "count", stays);
        return Optional.of(new Line(
                Numerals.html(count + ": " + String.join(", ", parts)),
                kit.key(),
                kit.kind().name()));
    }
}
