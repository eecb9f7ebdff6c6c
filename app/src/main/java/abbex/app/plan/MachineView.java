package abbex.app.plan;

import abbex.app.drawing.BehindDrawing;
import abbex.app.drawing.FrameDrawing;
import abbex.app.drawing.LinkageDrawing;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What of a truck or a motorcycle the plan turns and carries, as the page shows it; every text is safe for a page.
 *
 * @param facts before and after, each with its width
 */
public record MachineView(
        @Nullable FrameDrawing frame,
        @Nullable LinkageDrawing linkage,
        @Nullable BehindDrawing behind,
        List<Fact> facts) {
    /**
     * A figure.
     *
     * @param was empty where there was none
     * @param half what it may be off by; empty where nothing is
     * @param field the bench's field that it follows from
     */
    public record Fact(String name, String was, String is, String half, String field) {}
}
