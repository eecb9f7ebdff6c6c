package abbex.app.rules;

import abbex.core.heights.Floor;
import abbex.core.heights.Limit;
import abbex.core.heights.Limits;
import abbex.core.heights.PointMethod;
import abbex.core.heights.Repeatability;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.VehicleKind;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;

/**
 * What a shop set for itself.
 *
 * @param limits what it calls good
 * @param typed its own limits as typed
 * @param surveys all floor surveys, the oldest first
 * @param repeatability how well it finds the points of each method
 * @param points the points that it named, the oldest first
 * @param walk the corners in the order in which it walks round a vehicle
 * @param bays its bays as it names them
 * @param edition how often the limits were saved
 */
public record ShopRules(
        Limits limits,
        Map<Limit, String> typed,
        List<FloorSurvey> surveys,
        Repeatability repeatability,
        List<Corner> walk,
        List<OwnPoint> points,
        List<String> bays,
        int edition) {
    public static final ShopRules USUAL =
            new ShopRules(Limits.USUAL, Map.of(), List.of(), Repeatability.USUAL, Corner.WALK, List.of(), List.of(), 0);

    /** The points that it named for a vehicle and that are in use. */
    public List<PointMethod> points(VehicleKind kind, UUID vehicle) {
        return points.stream()
                .filter(p -> p.inUse() && p.of(kind, vehicle))
                .map(OwnPoint::way)
                .toList();
    }

    /** The same with those that were taken out of use: what was typed for them meanwhile still counts. */
    public List<PointMethod> everyPoint(VehicleKind kind, UUID vehicle) {
        return points.stream()
                .filter(p -> p.of(kind, vehicle))
                .map(OwnPoint::way)
                .toList();
    }

    /** Every way round: from each corner in either direction. */
    static List<List<Corner>> walks() {
        List<List<Corner>> walks = new ArrayList<>();
        for (boolean onward : new boolean[] {true, false}) {
            for (Corner first : Corner.WALK) {
                List<Corner> walk = new ArrayList<>(Corner.WALK);
                if (!onward) {
                    Collections.reverse(walk);
                }
                Collections.rotate(walk, -walk.indexOf(first));
                walks.add(List.copyOf(walk));
            }
        }
        return List.copyOf(walks);
    }

    /** The bay's floor on a day: of the surveys that were true then the latest, a newer entry before an older one. */
    public Optional<Floor> floor(String bay, LocalDate day) {
        String key = bayKey(bay);
        return surveys.stream()
                .filter(s -> bayKey(s.bay()).equals(key) && s.trueOn(day))
                .max(Comparator.comparing(
                                FloorSurvey::since, Comparator.nullsFirst(Comparator.<LocalDate>naturalOrder()))
                        .thenComparing(FloorSurvey::madeAt))
                .flatMap(FloorSurvey::floor);
    }

    /** The survey of each bay that was entered last, unless it was taken back. */
    List<FloorSurvey> newest() {
        Map<String, FloorSurvey> newest = new TreeMap<>();
        surveys.forEach(survey -> newest.put(bayKey(survey.bay()), survey));
        return newest.values().stream().filter(s -> !s.pads().isEmpty()).toList();
    }

    /** A bay's name as it is compared. */
    public static String bayKey(String bay) {
        return bay.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
    }
}
