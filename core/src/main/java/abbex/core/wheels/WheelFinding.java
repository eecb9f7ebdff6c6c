package abbex.core.wheels;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.units.Length;

/** What wheels and tyres may have to say. The order is that in which findings of one severity are shown. */
public sealed interface WheelFinding extends Finding {
    record RimDiffers(Place place, String tyre, String wheel) implements WheelFinding, Stop {}

    /** Full turns that hold, and those that are needed. */
    record StudsShort(Place place, String turns, String needed) implements WheelFinding, Stop {}

    record BoreSmall(Place place, Length bore, Length spigot) implements WheelFinding, Stop {}

    /** Load indices with what they carry, planned and from new. */
    record LoadBelow(Place place, int index, String carries, int wasIndex, String wasCarries)
            implements WheelFinding, Look {}

    record SpeedBelow(Place place, String symbol, int kmh, String wasSymbol, int wasKmh)
            implements WheelFinding, Look {}

    /** Widths of the rim and of the measuring rim, inches. */
    record RimWide(Place place, String tyre, String width, String most) implements WheelFinding, Look {}

    record RimNarrow(Place place, String tyre, String width, String least) implements WheelFinding, Look {}

    record BoreLarge(Place place, Length bore, Length spigot) implements WheelFinding, Note {}

    record DiameterOff(Place place, String percent, boolean larger) implements WheelFinding, Note {}

    record SizeApproximate(Place place, String tyre) implements WheelFinding, Note {}

    /** A tyre without its wheel: widths of rim that it is approved for, and the rim's diameter, inches. */
    record WheelUnknown(Place place, String tyre, String least, String most, String rim)
            implements WheelFinding, Note, Open {}

    record ServiceUnknown(Place place, String tyre) implements WheelFinding, Note, Open {}

    /** By how much in inches, and what the offset would be had one side grown alone. */
    record WidenedWhere(Place place, String by, String outboard, String inboard) implements WheelFinding, Note, Open {}

    record StudsUnknown(Place place) implements WheelFinding, Look, Open {}

    record Serves(Place place, String service, String was) implements WheelFinding, Clear {}

    record StudsEngaged(Place place, String turns, String needed) implements WheelFinding, Clear {}
}
