package abbex.app.set;

import abbex.app.arrive.Job;
import abbex.app.arrive.StayValues;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.setting.How;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;

/** What was turned at each corner in all, for whoever comes next: the public service of the station for the sheet. */
@Service
public class TurnedText {
    /** Threads are turned by no smaller part. */
    private static final int PARTS = 8;

    private final Settings settings;
    private final SetWords said;
    private final Words words;

    TurnedText(Settings settings, SetWords said, Words words) {
        this.settings = settings;
        this.said = said;
        this.words = words;
    }

    /** A corner and what was done there; its text is safe for a page. */
    public record Line(String corner, String text) {}

    /** Corners where all that was done comes to something. */
    public List<Line> lines(Job job, Reader reader) {
        List<Settings.Move> moves = settings.moves(job);
        List<Line> lines = new ArrayList<>();
        for (int c = 0; c < Corner.WALK.size(); c++) {
            int corner = c;
            for (How how : inAll(moves.stream().map(m -> m.hows().get(corner)).toList())) {
                lines.add(new Line(words.word(Corner.WALK.get(c), reader), Numerals.html(said.what(how, reader))));
            }
        }
        return lines;
    }

    /** What lies in each stack, what is in each bag as it was left; nothing where neither is. */
    public List<Line> left(Job job, Reader reader) {
        StayValues.Told told = settings.told(job);
        List<Settings.Move> moves = settings.moves(job);
        List<Line> lines = new ArrayList<>();
        for (Corner corner : Corner.WALK) {
            List<How> done =
                    moves.stream().map(m -> m.hows().get(corner.ordinal())).toList();
            String name = words.word(corner, reader);
            switch (SetForm.kind(told, corner.end())) {
                case STACK ->
                    lines.add(new Line(
                            name,
                            Numerals.html(SetWords.pieces(Adjusters.stack(told, corner, done), reader)
                                    .transform(pieces -> pieces.isEmpty() ? words.say("left.stack.none") : pieces))));
                case BAG ->
                    Adjusters.air(told, corner, done)
                            .ifPresent(air -> lines.add(new Line(name, words.word(air, reader))));
                default -> {}
            }
        }
        return lines;
    }

    /** Turns of a thread add up; a piece that was put in and taken out again is none. */
    static List<How> inAll(List<How> done) {
        int parts = 0;
        How.Air air = null;
        List<Length> out = new ArrayList<>();
        List<Length> in = new ArrayList<>();
        for (How how : done) {
            if (how instanceof How.Turns turns) {
                parts += turns.parts() * PARTS / turns.perTurn();
            } else if (how instanceof How.Air let) {
                air = new How.Air(air == null ? let.from() : air.from(), let.to());
            } else if (how instanceof How.Swap swap) {
                swap.out().forEach(piece -> {
                    if (!in.remove(piece)) {
                        out.add(piece);
                    }
                });
                swap.in().forEach(piece -> {
                    if (!out.remove(piece)) {
                        in.add(piece);
                    }
                });
            }
        }
        List<How> all = new ArrayList<>();
        if (parts != 0) {
            all.add(new How.Turns(parts, PARTS));
        }
        if (air != null && air.from().differsFrom(air.to())) {
            all.add(air);
        }
        if (!out.isEmpty() || !in.isEmpty()) {
            all.add(new How.Swap(out, in));
        }
        return all;
    }
}
