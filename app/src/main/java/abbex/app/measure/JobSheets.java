package abbex.app.measure;

import abbex.app.arrive.Job;
import abbex.app.arrive.VehicleFacts;
import abbex.app.rules.ShopRules;
import abbex.core.heights.Advertised;
import abbex.core.heights.Assessment;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Round;
import abbex.core.units.Length;
import abbex.core.vehicle.Vehicle;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;

/** All sheets of a job, in order, and what its shop set; a comparison of two of them is made once. */
public final class JobSheets {
    public static final JobSheets NONE = new JobSheets(List.of(), ShopRules.USUAL, (job, sheet) -> job.advertised());

    private final List<SheetData> sheets;
    private final ShopRules rules;
    private final AdvertisedBy advertised;
    private final Map<Asked, Assessment> judged = new ConcurrentHashMap<>();

    private record Asked(Vehicle vehicle, Advertised advertised, Assessment.Pair compared) {}

    private final Cache<Object, Object> shown =
            Caffeine.newBuilder().maximumSize(32).build();

    JobSheets(List<SheetData> sheets, ShopRules rules, AdvertisedBy advertised) {
        this.advertised = advertised;
        this.sheets = List.copyOf(sheets);
        this.rules = rules;
    }

    public List<SheetData> sheets() {
        return sheets;
    }

    ShopRules rules() {
        return rules;
    }

    public Optional<SheetData> before() {
        return sheets.stream().findFirst();
    }

    /** The newest sheet after the first. */
    public Optional<SheetData> now() {
        return sheets.size() < 2 ? Optional.empty() : Optional.of(sheets.get(sheets.size() - 1));
    }

    public Optional<SheetData> newest() {
        return sheets.isEmpty() ? Optional.empty() : Optional.of(sheets.get(sheets.size() - 1));
    }

    public Optional<SheetData> find(UUID sheet) {
        return sheets.stream().filter(s -> s.row().id().equals(sheet)).findFirst();
    }

    /** Where a height is read, below the address of a stay: its method, and the hand in its field. */
    public static String path(MeasuringPoint spot) {
        return "measure?method=" + spot.way().code() + "#in-" + spot.place().code();
    }

    /** What a vehicle is read by: one method or group of points after the other. */
    List<Round> rounds(VehicleFacts vehicle) {
        return has(vehicle, Round.all(vehicle.kind(), rules.points(vehicle.kind(), vehicle.id()), rules.walk()));
    }

    /** The same place by place. */
    List<Round> placeByPlace(VehicleFacts vehicle) {
        return has(
                vehicle, Round.placeByPlace(vehicle.kind(), rules.points(vehicle.kind(), vehicle.id()), rules.walk()));
    }

    private static List<Round> has(VehicleFacts vehicle, List<Round> rounds) {
        return rounds.stream()
                .map(round -> round.of(vehicle.rear()))
                .filter(round -> !round.spots().isEmpty())
                .toList();
    }

    /** The first sheet and the newest. */
    Assessment.Pair whole() {
        return new Assessment.Pair(0, Math.max(0, sheets.size() - 1));
    }

    /** The first sheet against the newest, and all of them as one truth. */
    public Assessment judge(Job job) {
        return judge(job, whole());
    }

    /** The same with two other sheets, the earlier one being the base. */
    public Assessment judge(Job job, SheetData one, SheetData other) {
        int a = sheets.indexOf(one);
        int b = sheets.indexOf(other);
        return judge(job, new Assessment.Pair(Math.min(a, b), Math.max(a, b)));
    }

    /** How high every spot of a sheet stands: the corners by all readings together, suspected ones held out; else as read. */
    public Map<MeasuringPoint, Length> standing(Job job, SheetData sheet) {
        Assessment all = judge(job);
        int index = sheets.indexOf(sheet);
        Map<MeasuringPoint, Length> heights = new HashMap<>();
        sheet.heights().everything().forEach(height -> heights.put(height.spot(), height.value()));
        boolean suspected = all.suspects().stream().anyMatch(s -> s.sheet() == index);
        if (suspected) {
            sheet.heights()
                    .all()
                    .forEach(height -> all.heights(index, height.spot().method())
                            .ifPresentOrElse(
                                    told -> heights.put(
                                            height.spot(),
                                            told.at(height.spot().corner()).value()),
                                    () -> heights.remove(height.spot())));
        }
        return heights;
    }

    /** What was formed out of these sheets for somebody to see, once for as long as they stand so. */
    @SuppressWarnings("unchecked")
    <T> T shown(List<Object> question, Supplier<T> form) {
        return (T) shown.get(question, asked -> form.get());
    }

    private Assessment judge(Job job, Assessment.Pair compared) {
        return judged.computeIfAbsent(
                new Asked(
                        job.vehicle().vehicle(),
                        compared.after() == 0 ? job.advertised() : advertised.on(job, sheets.get(compared.after())),
                        compared),
                asked -> Assessment.of(
                        asked.vehicle(),
                        sheets.stream().map(SheetData::heights).toList(),
                        asked.compared(),
                        asked.advertised(),
                        rules.limits()));
    }
}
