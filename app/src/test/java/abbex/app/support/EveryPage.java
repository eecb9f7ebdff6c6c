package abbex.app.support;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** One address of every kind of page, with the demo's stays that fill it. */
public final class EveryPage {
    private EveryPage() {}

    /** One of each kind: what colours a page has does not hang on its vehicle. */
    public static List<String> kinds() {
        return List.copyOf(paths().stream()
                .collect(Collectors.toMap(
                        path -> path.replaceAll("[?].*", "").replaceAll("[0-9a-f-]{36}", "id"),
                        path -> path,
                        (one, other) -> one,
                        LinkedHashMap::new))
                .values());
    }

    /** And those that a motorcycle's pages look otherwise in. */
    public static List<String> kindsAndMotorcycles() {
        String motorcycle = Jobs.id("MQ 381");
        return Stream.concat(kinds().stream(), paths().stream().filter(path -> path.contains(motorcycle)))
                .distinct()
                .toList();
    }

    /** The day that the demo planned. */
    private static LocalDate planned() {
        LocalDate day = LocalDate.now(ZoneId.systemDefault()).plusDays(1);
        return day.getDayOfWeek() == DayOfWeek.SUNDAY ? day.plusDays(1) : day;
    }

    /** For a lead of the demo shop. */
    public static List<String> paths() {
        String half = Jobs.id("KT 4-207");
        String whole = Jobs.id("GN 2-118");
        String twin = Jobs.id("VB 2-094");
        return List.of(
                "/",
                "/arrive",
                "/account",
                "/account/second",
                "/people",
                "/audit",
                "/keys",
                "/rules",
                "/hands?back=/account",
                "/about",
                "/no-such-page",
                "/jobs/" + half + "/arrive",
                "/jobs/" + half + "/measure",
                "/jobs/" + whole + "/measure",
                "/jobs/" + half + "/sheets/" + Jobs.sheet(half) + "/wrong-vehicle",
                "/jobs/" + whole + "/sheet",
                "/jobs/" + twin + "/hand-over",
                "/jobs/" + half + "/fitment",
                "/jobs/" + half + "/prove?corner=LF&bump=50&steer=-20",
                "/jobs/" + Jobs.id("LE 3-275") + "/prove/road",
                "/jobs/" + half + "/ground?ground=DRIVEWAY",
                "/jobs/" + Jobs.id("PX 7-340") + "/prove",
                "/jobs/" + Jobs.id("PX 7-340") + "/fitment",
                "/jobs/" + Jobs.id("PX 7-340") + "/ground",
                "/jobs/" + Jobs.id("PX 7-340") + "/prove/road",
                "/jobs/" + half + "/prove/road",
                "/jobs/" + half + "/ground",
                "/jobs/" + whole + "/plan",
                "/jobs/" + whole + "/plan/kits",
                "/jobs/" + half + "/plan",
                "/jobs/" + Jobs.id("DK 8-590") + "/plan",
                "/jobs/" + Jobs.id("MQ 381") + "/plan",
                "/jobs/" + Jobs.id("PX 7-340") + "/plan/kits",
                "/jobs/" + whole + "/set",
                "/jobs/" + half + "/set",
                "/jobs/" + Jobs.id("MQ 381") + "/set",
                "/jobs/" + whole + "/parts",
                "/jobs/" + whole + "/parts/beside?line=spring@rear",
                "/jobs/" + Jobs.id("MQ 381") + "/parts",
                "/jobs/" + whole + "/fit",
                "/jobs/" + whole + "/fit/dw-build@LF",
                "/jobs/" + Jobs.id("MQ 381") + "/fit",
                "/jobs/" + Jobs.id("PX 7-340") + "/fit/sl-tight@rear",
                "/jobs/" + Jobs.id("ZV 4-731") + "/return",
                "/jobs/" + Jobs.id("LE 3-275") + "/return",
                "/jobs/" + Jobs.id("LE 3-275") + "/align",
                "/jobs/" + Jobs.id("LE 3-275") + "/left",
                "/jobs/" + Jobs.id("MQ 381") + "/return",
                "/returns",
                "/shelf",
                "/day?on=" + planned(),
                "/memory",
                "/proven",
                "/gaps",
                "/jobs/" + Jobs.id("OS 1-442") + "/fitment",
                "/jobs/" + Jobs.id("MQ 381") + "/measure",
                "/jobs/" + Jobs.id("MQ 381") + "/sheet",
                "/jobs/" + Jobs.id("MQ 381") + "/arrive",
                "/jobs/" + twin + "/sheets/" + Jobs.sheet(twin) + "?method=REARAXLE",
                "/jobs/" + twin + "/sheets/" + Jobs.sheet(twin) + "?method=at-RR",
                "/jobs/" + Jobs.id("OS 1-442") + "/measure",
                "/jobs/" + Jobs.id("LE 3-275") + "/sheet?version=1",
                "/?mine=true",
                "/?moving=" + half,
                "/find?q=hatch",
                "/find?q=",
                "/jobs/" + half + "/sheets/" + Jobs.sheet(half) + "?open=STATE",
                "/jobs/" + half + "/sheets/" + Jobs.sheet(half) + "?open=POINTS");
    }
}
