package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.app.arrive.VehicleFacts;
import abbex.app.drawing.ArchDrawing;
import abbex.app.page.Numerals;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.app.store.Ids;
import abbex.core.heights.CornerDrop;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.Judgement;
import abbex.core.heights.Method;
import abbex.core.heights.Spot;
import abbex.core.heights.Suspect;
import abbex.core.units.Length;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.VehicleKind;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The walk round the vehicle as one page shows it.
 *
 * @param keep what keeps the choice of the compared sheet in an address
 * @param next the method to go on with after this walk; null when nothing is left that was begun
 */
public record Walk(
        UUID job,
        UUID sheet,
        String keep,
        Method method,
        List<Chip> chips,
        List<Arch> arches,
        @Nullable Method next) {

    /** What keeps the choice of the compared sheet behind an address that has nothing else asked. */
    public String query() {
        return keep.isEmpty() ? "" : "?" + keep.substring(1);
    }

    /** A method to choose. */
    public record Chip(Method method, String name, String how, boolean chosen, int read) {}

    /**
     * One arch of the strip.
     *
     * @param text what the input holds: the person's own text
     * @param hero the reading in true fractions, made safe
     * @param shown whose reading stands where this person has none, in plain text
     * @param last the reading of the first sheet, when this is a later one
     * @param drop what it did, made safe; empty when it cannot be told
     * @param spokenLast the same in plain text, as it is said aloud
     * @param sure how far the drop may be off, made safe
     * @param others what other people read here
     * @param problem why the text was not taken, made safe; empty when it was
     * @param offer what would be right
     * @param lastNm the last reading's exact value; null when there is none
     * @param startNm where the enlarged tape begins for this spot
     * @param suspect what all other readings say, made safe, when this one does not go with them
     */
    public record Arch(
            Corner corner,
            String name,
            String code,
            String text,
            String hero,
            String shown,
            String last,
            String spokenLast,
            String drop,
            String sure,
            String how,
            List<String> others,
            boolean undo,
            UUID client,
            String problem,
            String offer,
            String suspect,
            @Nullable Long lastNm,
            long startNm,
            ArchDrawing drawing) {}

    /** A text that was not taken, to be shown again with its reason. */
    record Refusal(Corner corner, String text, String problem, String offer) {}

    static Walk of(
            MeasurePages.Opened o, Method method, UUID me, Reader reader, Words words, @Nullable Refusal refusal) {
        SheetData sheet = o.sheet();
        HeightSheet here = sheet.heights();
        HeightSheet before = o.compared() ? o.base().heights() : null;
        List<Chip> chips = Stream.of(Method.values())
                .map(m -> new Chip(m, words.say("method." + m), words.say("method." + m + ".how"), m == method, (int)
                        Corner.WALK.stream()
                                .filter(c -> here.at(c, m).isPresent())
                                .count()))
                .toList();
        List<Arch> arches = o.all().rules().walk().stream()
                .map(corner -> arch(o, here, before, corner, method, me, reader, words, refusal))
                .toList();
        return new Walk(o.job().id(), sheet.row().id(), o.keep(), method, chips, arches, next(here, before, method));
    }

    private static Arch arch(
            MeasurePages.Opened o,
            HeightSheet here,
            @Nullable HeightSheet before,
            Corner corner,
            Method method,
            UUID me,
            Reader reader,
            Words words,
            @Nullable Refusal refusal) {
        SheetData sheet = o.sheet();
        Judgement judged = o.judged();
        List<ReadingRow> rows = sheet.at(corner, method);
        Optional<ReadingRow> mine =
                rows.stream().filter(r -> r.person().equals(me)).findFirst();
        Optional<ReadingRow> shown = mine.or(() -> rows.stream().findFirst());
        boolean refused = refusal != null && refusal.corner() == corner;
        Optional<SheetData> base = o.compared() ? Optional.of(o.base()) : Optional.empty();
        Optional<ReadingRow> lastRow =
                base.stream().flatMap(s -> s.at(corner, method).stream()).findFirst();
        Optional<ReadingRow> earlier = lastRow.or(() -> shown);
        String last = lastRow.map(r -> Numerals.html(Numerals.reading(r.tapeReading())))
                .orElse("");
        CornerDrop drop = judged.drops().corners().get(corner);
        String fell = !o.compared() || !drop.byMethod().containsKey(method)
                ? ""
                : Numerals.html(
                        Numerals.drop(drop.byMethod().get(method).value().value(), reader));
        String how = fell.isEmpty()
                ? ""
                : Stream.concat(
                                words.reason(drop.byMethod().get(method).reason(), reader).stream(),
                                judged.adjusted(corner, method).map(d -> words.say("adjusted", reader, d)).stream())
                        .collect(Collectors.joining(" "));
        return new Arch(
                corner,
                name(o.job(), corner, method, words),
                corner.name(),
                refused ? refusal.text() : mine.map(ReadingRow::raw).orElse(""),
                refused
                        ? ""
                        : shown.map(r -> Numerals.html(Numerals.reading(r.tapeReading())))
                                .orElse(""),
                mine.isPresent()
                        ? ""
                        : shown.map(r -> r.initials() + " " + r.raw()).orElse(""),
                last,
                earlier.map(r -> r.tapeReading().text().replace(" in", "")).orElse(""),
                fell,
                fell.isEmpty()
                        ? ""
                        : Numerals.html("± "
                                + Numerals.uncertainty(
                                        drop.byMethod().get(method).value().expanded(), reader)),
                Numerals.html(how),
                rows.stream()
                        .filter(r -> mine.isPresent() ? r != mine.get() : r != shown.orElse(null))
                        .map(r -> r.initials() + " " + Numerals.html(Numerals.reading(r.tapeReading())))
                        .toList(),
                mine.isPresent(),
                Ids.fresh(),
                refused ? refusal.problem() : "",
                refused ? refusal.offer() : "",
                suspect(o.all(), sheet, Spot.of(corner, method), judged, reader, words),
                earlier.map(r -> r.tapeReading().value().nm()).orElse(null),
                start(o, corner, method, shown.or(() -> lastRow)),
                ArchDrawing.of(corner, method, wheel(o.job(), corner, here, before), before, here));
    }

    /** Near what will be read: what stands here or stood before, else the corner across, else any, else what is usual. */
    private static long start(MeasurePages.Opened o, Corner corner, Method method, Optional<ReadingRow> here) {
        VehicleKind kind = o.job().vehicle().kind();
        Length usual = method.usualFrom(kind).plus(method.usualTo(kind)).dividedBy(2);
        return here.or(() -> o.sheet().at(corner.across(), method).stream().findFirst())
                .or(() -> o.sheet().current().stream()
                        .filter(r -> r.method() == method)
                        .findFirst())
                .map(r -> r.tapeReading().value())
                .orElse(usual)
                .nm();
    }

    /** The corner, and at the frame the point that is measured where somebody named it. */
    private static String name(Job job, Corner corner, Method method, Words words) {
        String name = Words.capital(words.say("corner." + corner));
        String point = job.vehicle().points().of(corner.end());
        return method != Method.FG || point.isEmpty() ? name : name + ", " + point;
    }

    private static String suspect(
            JobSheets sheets, SheetData sheet, Spot spot, Judgement judged, Reader reader, Words words) {
        int number = sheets.sheets().indexOf(sheet);
        List<Suspect> suspects = judged.suspects();
        return suspects.stream()
                .filter(s -> s.sheet() == number && s.spot().equals(spot))
                .findFirst()
                .map(s -> suspects.size() > 1
                        ? words.say("suspect.one.of", reader, suspects.size())
                        : words.say("suspect.others", reader, s.probable()))
                .map(Numerals::html)
                .orElse("");
    }

    private static ArchDrawing.Wheel wheel(Job job, Corner corner, HeightSheet here, @Nullable HeightSheet before) {
        VehicleFacts.Measure tyre =
                corner.end() == End.FRONT ? VehicleFacts.Measure.TYRE_FRONT : VehicleFacts.Measure.TYRE_REAR;
        double usual = job.vehicle().kind() == VehicleKind.CAR ? 317 : 395;
        return before == null
                ? ArchDrawing.Wheel.of(corner, job.vehicle().measure(tyre), usual, here)
                : ArchDrawing.Wheel.of(corner, job.vehicle().measure(tyre), usual, here, before);
    }

    /** After a later sheet's walk: the next method that was read before and is not complete now. */
    @Nullable
    private static Method next(HeightSheet here, @Nullable HeightSheet before, Method method) {
        List<Method> order = Stream.concat(
                        Stream.of(Method.values()).filter(m -> m.ordinal() > method.ordinal()),
                        Stream.of(Method.values()).filter(m -> m.ordinal() < method.ordinal()))
                .toList();
        return order.stream()
                .filter(m -> before != null ? before.has(m) : m != Method.TG && m != Method.RIM)
                .filter(m -> !here.complete(m))
                .findFirst()
                .orElse(null);
    }
}
