package abbex.app.instruments;

import abbex.core.instrument.Frame;
import abbex.core.instrument.FrameParse;
import abbex.core.instrument.FrameText;
import java.util.Optional;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/** What becomes of a line that a device sent: nothing but a whole frame of a device in somebody's hand is a reading. */
@Component
class Intake {
    private final Live live;
    private final Pairs pairs;
    private final Inbox inbox;

    Intake(Live live, Pairs pairs, Inbox inbox) {
        this.live = live;
        this.pairs = pairs;
        this.inbox = inbox;
    }

    /** @param say writes a line to the device: what is kept is acknowledged, what is not comes again */
    void line(FrameParse parsed, Consumer<String> say) {
        if (!(parsed instanceof FrameParse.Good good)) {
            return;
        }
        Frame frame = good.frame();
        live.heard(frame, say);
        if (!frame.kind().measures()) {
            return;
        }
        Optional<Pairs.Pair> pair = frame.pair()
                .flatMap(pairs::of)
                .filter(p -> p.device().equals(frame.device()) && p.boot().equals(frame.boot()));
        if (pair.isEmpty()) {
            say.accept(answer("no", frame));
            return;
        }
        Inbox.Outcome outcome = inbox.accept(
                pair.get().shop(),
                pair.get().person(),
                new Inbox.Measured(
                        frame.device(), frame.boot(), frame.seq(), frame.kind().name(), frame.text()));
        if (outcome != Inbox.Outcome.FULL) {
            say.accept(answer("ack", frame));
        }
    }

    private static String answer(String word, Frame frame) {
        return FrameText.framed(word + " " + frame.boot() + " " + frame.seq());
    }
}
