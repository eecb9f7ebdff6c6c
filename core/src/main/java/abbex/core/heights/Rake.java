package abbex.core.heights;

import abbex.core.figure.Figure;
import abbex.core.units.Angle;
import java.util.Optional;

/**
 * Rear frame height minus front frame height, positive nose-down. The frame points differ in body height, so only the
 * change is a pitch.
 *
 * @param height on both sheets
 * @param before its angle on the first sheet
 * @param after its angle on the second sheet
 * @param overWheelbase true when the wheelbase stood in for the distance between the frame points
 */
public record Rake(
        BeforeAfter height, Optional<Figure<Angle>> before, Optional<Figure<Angle>> after, boolean overWheelbase) {}
