package abbex.app.plan;

import abbex.app.drawing.CoilDrawing;
import abbex.app.drawing.RodsDrawing;
import abbex.app.drawing.StairDrawing;
import abbex.app.ground.Stances;
import abbex.app.page.Words;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What will come of a kit, as one page shows it; every text is safe for a page.
 *
 * @param side the vehicle as it stands and as planned; null while its wheels or what is planned are not known
 * @param ends those that are planned
 * @param says what the drop takes with it, worst first
 * @param between heights that neither end moves alone
 * @param wishes what each needs of the rear, and what it costs
 * @param buys what has to be bought and booked, each with why
 * @param missing what is to be done first; empty when nothing is
 * @param machine what of a truck or motorcycle turns; null where nothing does
 * @param elsewhere what does not clear over wheels and ground with the kit that was chosen
 * @param why why it stands as it does; null before that was measured
 */
public record PlanPage(
        Stances.@Nullable SideView side,
        List<EndView> ends,
        List<Words.Said> says,
        List<WishView> wishes,
        Between between,
        List<Buy> buys,
        String missing,
        @Nullable WhyView why,
        List<Words.Said> elsewhere,
        @Nullable MachineView machine) {
    /**
     * What was measured once the kit was in.
     *
     * @param asPlanned true where it stands as planned within what can be told
     * @param causes else what may have caused it, the likeliest first
     * @param check the cheapest look that tells the first two apart; empty where it stands as planned
     */
    public record WhyView(boolean asPlanned, List<CauseView> causes, String check) {}

    /** Causes that look alike, how likely, what they are about, and what speaks for and against them. */
    public record CauseView(String likely, String names, String size, String evidence) {}

    /**
     * An end.
     *
     * @param code FRONT or REAR
     * @param drop as set down
     * @param half what it may be off by
     * @param settled how far it comes down when it has settled
     * @param down the drop in mm, for a hand that moves it
     * @param ratio how far the spring moves for a millimetre of the wheel
     * @param box what the box promises, where the drop follows from the springs, or what the shop's own fits make of it
     * @param three what the box says, what was computed, what was measured
     * @param stack the pieces that make it; empty where nobody said which there are
     * @param perch null where it has no range
     * @param stairs the staircase with its columns
     * @param notes good to know
     * @param narrow which measurement would narrow it most; empty where none would
     */
    public record EndView(
            String code,
            String name,
            String drop,
            String half,
            String settled,
            String low,
            double down,
            double ratio,
            @Nullable Perch perch,
            String can,
            String box,
            String three,
            String stack,
            @Nullable StairDrawing stairs,
            List<Step> steps,
            @Nullable RodsDrawing rods,
            String was,
            String left,
            @Nullable CoilDrawing coils,
            List<String> lengths,
            String ride,
            List<HeightRow> heights,
            String narrow,
            List<Words.Said> notes) {}

    /** How far a perch goes and where it is, mm down along the thread. */
    public record Perch(double least, double most, double at) {}

    /** A column of the staircase. */
    public record Step(String name, String drop, String half, List<String> how) {}

    /**
     * A height.
     *
     * @param measured on the newest sheet after the first; empty before there is one
     */
    public record HeightRow(String spot, String now, String setDown, String settled, String measured, String off) {}

    /**
     * Heights that neither end moves alone.
     *
     * @param wished what is wished of them, each with the figures that give it
     */
    public record Between(List<HeightRow> heights, List<Wished> wished) {}

    /** A height that is wished, and how it is met; texts safe for a page. */
    public record Wished(String what, String ways, boolean met) {}

    /** A wish with what the rear has to do for it, and how the others stand then. */
    public record WishView(String code, String name, String rear, String costs, boolean met, boolean kept) {}

    /** Something to buy or to book. */
    public record Buy(String what, String why) {}
}
