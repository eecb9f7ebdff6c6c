package abbex.app.workcard;

import abbex.app.drawing.CardLine;
import abbex.app.drawing.FootingDrawing;
import abbex.core.workcard.Step;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** The texts of a card's pages, each ready for a page. */
public final class CardPage {
    private CardPage() {}

    /**
     * A step in the list of all.
     *
     * @param mark done, otherwise, look for one that has to be done again, now for the one in hand, or empty
     * @param note how it was done otherwise, with its limit
     * @param who ticked it
     * @param opens it has a page
     */
    public record Row(
            int number,
            String key,
            String title,
            String place,
            String minutes,
            boolean two,
            String mark,
            String note,
            String who,
            boolean opens) {}

    /** Steps of one footing. */
    public record Block(String footing, List<Row> rows) {}

    /** A part that lies somewhere. */
    public record PartRow(String key, String name, String fate, boolean open, String reason) {}

    /** A line of the torque log. */
    public record LogRow(
            String name, String place, String spec, String source, String reading, String mark, String word) {}

    /**
     * Something found while it was open.
     *
     * @param step in which it was found
     * @param open the customer has not answered
     */
    public record FoundRow(String id, String step, String text, String price, String answer, boolean open) {}

    /**
     * The whole card.
     *
     * @param facts what is asked before it begins
     * @param chosen facts by which it is shown
     * @param settled steps that nobody has to come back to
     * @param left how long yet, for one person and for two
     * @param newer the shop has other steps by now
     * @param calls how often a second pair of hands is called for
     * @param ends that the kit touches
     * @param next the step in hand; empty at the end
     * @param open keys of the steps that are not settled; none before it is begun
     * @param stamp of the newest row that this is by
     */
    public record Whole(
            boolean begun,
            List<String> facts,
            Set<String> chosen,
            boolean changed,
            boolean newer,
            boolean finished,
            int settled,
            int all,
            String left,
            String leftTwo,
            int lifts,
            int calls,
            List<EndRow> ends,
            int rounds,
            CardLine line,
            List<Block> blocks,
            List<PartRow> parts,
            List<LogRow> log,
            List<FoundRow> found,
            String next,
            List<String> open,
            long stamp) {}

    /**
     * An end that the kit touches.
     *
     * @param later no round is for it yet
     */
    public record EndRow(String code, String name, boolean later) {}

    /** Something that has to be true. */
    public record HoldRow(int number, String text, boolean held) {}

    /**
     * Something to write down.
     *
     * @param last nothing else is asked for: with it the step is done
     * @param places what is looked at, in the order of the numbers of the picture; empty without one
     */
    public record CaptureRow(
            String id, String what, String like, String text, String kind, boolean last, List<String> places) {
        /** A photo that was taken. */
        public boolean taken() {
            return photo() && text.matches("[0-9a-f-]{36}");
        }

        public boolean photo() {
            return kind.equals(Step.Capture.Kind.PHOTO.name());
        }

        public boolean clock() {
            return kind.equals(Step.Capture.Kind.CLOCK.name());
        }

        public boolean way() {
            return kind.equals(Step.Capture.Kind.WAY.name());
        }

        public boolean hole() {
            return kind.equals(Step.Capture.Kind.HOLE.name());
        }
    }

    /**
     * A fastener.
     *
     * @param spec what it is tightened to; empty while nobody said
     * @param verified false for a figure from a forum
     * @param bears what its thread usually takes; empty where that is not known
     * @param state UNKNOWN, OPEN, REOPENED, OFF, UNMARKED or DONE
     */
    public record FastenerRow(
            String key,
            String specKey,
            String name,
            String thread,
            boolean once,
            boolean locker,
            String spec,
            boolean angle,
            String source,
            boolean verified,
            String reading,
            String state,
            String word,
            String bears) {}

    /**
     * What the large button says and does: a form's what and item, or the way to another step.
     */
    public record Act(
            String text, String what, String item, @Nullable String step) {}

    /**
     * Steps that may be ticked together.
     *
     * @param until key of the last; empty where there are none
     * @param rows those after the step in hand
     */
    public record Together(String until, String text, List<TogetherRow> rows) {}

    /** A step of them: what hurts, and what is said with it. */
    public record TogetherRow(String title, List<String> cautions, List<String> says) {}

    /**
     * What a step asks for, in its order; the last is that it is done.
     *
     * @param text what the large button says of it
     * @param step the other step that it waits for; null where it is none
     * @param met it is so already
     */
    public record Ask(
            String text, String what, String item, @Nullable String step, boolean met) {}

    /**
     * What goes on where nobody can be asked.
     *
     * @param asks of the step, met or not
     * @param open keys of the steps that are not settled, in their order
     * @param stamp of the newest row that this is by
     */
    public record Ahead(List<Ask> asks, List<String> open, long stamp) {}

    /**
     * A step in hand.
     *
     * @param bench parts that are asked about before it, or will be
     * @param waits it waits for one of them now
     * @param settings what its adjusters are set to by the plan
     * @param traps what cannot be done any more after later steps
     * @param stands how it stands, in words
     * @param offers that it waits for
     * @param said what the press by which it is done says beside that
     */
    public record Bay(
            int number,
            int all,
            String key,
            String title,
            String why,
            String place,
            String code,
            String minutes,
            boolean two,
            String left,
            CardLine line,
            List<HoldRow> holds,
            List<String> settings,
            List<String> cautions,
            List<String> traps,
            List<Tips.Tip> tips,
            FootingDrawing side,
            String stands,
            List<String> tools,
            String access,
            List<CaptureRow> captures,
            List<FastenerRow> fasteners,
            List<PartRow> bench,
            boolean waits,
            List<FoundRow> offers,
            List<String> said,
            Act act,
            Together together,
            boolean done,
            boolean reopened,
            String otherwise,
            String limit,
            String previous,
            String following,
            String followingTitle,
            boolean followingTwo,
            int onBench,
            int parts,
            Ahead ahead,
            String client) {}
}
