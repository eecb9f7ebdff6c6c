package abbex.app.drawing;

import java.util.Map;

/**
 * The small picture on the button of a round: what stands, and where the tape goes. In a field of 32 by 22, the floor at 21.
 *
 * @param thin what stands
 * @param beam the tape
 */
public record RoundIcon(String thin, String beam) {
    private static final String ARCH = "M1 21H31M5 15V12a11 11 0 0 1 22 0v3M22 14a6 6 0 1 1-12 0 6 6 0 0 1 12 0";
    private static final String TRUCK =
            "M1 21H31M2 15V10l5-1 3-5h6v11M16 15h14V9H16M11 17a3 3 0 1 1-6 0 3 3 0 0 1 6 0M27 17a3 3 0 1 1-6 0 3 3 0 0 1 6 0";
    private static final String AXLE = "M1 21H31M3 6Q16 22 29 6M19 15a3 3 0 1 1-6 0 3 3 0 0 1 6 0";
    private static final String MOTORCYCLE =
            "M1 21H31M11 16a5 5 0 1 1-10 0 5 5 0 0 1 10 0M31 16a5 5 0 1 1-10 0 5 5 0 0 1 10 0M6 16L10 5M10 6q5-1 8 3h7";

    private static final Map<String, RoundIcon> ICONS = Map.ofEntries(
            Map.entry("GF", new RoundIcon(ARCH, "M16 21V1")),
            Map.entry("HF", new RoundIcon(ARCH, "M16 14V1")),
            Map.entry("RIM", new RoundIcon(ARCH, "M16 18V1")),
            Map.entry("FG", new RoundIcon(ARCH, "M29 21V15")),
            Map.entry("TG", new RoundIcon(ARCH, "M16 8V1")),
            Map.entry("CABBED", new RoundIcon(TRUCK, "M13 21V13M28 21V9")),
            Map.entry("BEDF", new RoundIcon(TRUCK, "M21 21V9")),
            Map.entry("BOARD", new RoundIcon(TRUCK, "M13 21V17M18 21V17")),
            Map.entry("REARAXLE", new RoundIcon(AXLE, "M3 21V6M16 12V3M29 21V6")),
            Map.entry("BIKE", new RoundIcon(MOTORCYCLE, "M6 16V7M18 21V9M26 16V9")),
            Map.entry("FR", new RoundIcon(MOTORCYCLE, "M6 11V7M26 11V7")),
            Map.entry("BODY", new RoundIcon(MOTORCYCLE, "M10 21V6M25 21V9")),
            Map.entry("SAG", new RoundIcon(MOTORCYCLE, "M3 16V6M9 16V9M23 16V6M29 16V9")));

    public static RoundIcon of(String code, boolean motorcycle) {
        return ICONS.getOrDefault(code, new RoundIcon(motorcycle ? MOTORCYCLE : ARCH, "M3 21V12M1 12h4"));
    }
}
