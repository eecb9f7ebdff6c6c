package abbex.app.parts;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The page of a stay's parts.
 *
 * @param groups lines by why they are wanted
 * @param summary what is missing, in a sentence
 * @param ready nothing is missing
 */
public record PartsPage(List<Group> groups, String summary, boolean ready, List<ToolView> tools, List<String> lacking) {
    /** Lines that are wanted for one reason. */
    public record Group(String why, String title, List<LineView> lines, boolean all) {}

    /**
     * A line.
     *
     * @param status its mark: done, open or look
     * @param says where it is, in words
     * @param reason what asks for it, safe for a page
     * @param remark what was written beside it last
     * @param shelf how many lie on the shelf, in words; empty where it is not counted
     * @param below more was fitted than was counted
     */
    public record LineView(
            String key,
            String id,
            String name,
            String status,
            String says,
            String reason,
            String remark,
            boolean settled,
            boolean told,
            @Nullable String due,
            String shelf,
            boolean below,
            FactsView facts) {}

    /** The number and cost of a line as they stand in its fields, and in words. */
    public record FactsView(String number, String price, String freight, String says) {}

    /** A tool that the card asks for. */
    public record ToolView(String tool, String from, String says) {}
}
