package abbex.app.demo;

import abbex.app.arrive.Job;
import abbex.app.arrive.VehicleFacts;
import abbex.app.arrive.VehicleFacts.Measure;
import abbex.app.fitment.WheelSet;
import abbex.app.prove.RoadTests;
import abbex.app.prove.SweepField;
import abbex.app.store.Ids;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.TyreBody;
import abbex.core.ground.Profile;
import abbex.core.heights.Method;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.VehicleKind;
import abbex.core.vehicle.WheelPlace;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** An invented stay for the demo, written down as a technician would tell it. */
final class DemoJob {
    final String plate;
    final String name;
    final VehicleFacts.Shape shape;
    final Map<Measure, String> measures = new EnumMap<>(Measure.class);
    final Map<String, String> before = new LinkedHashMap<>();
    final Map<String, String> after = new LinkedHashMap<>();
    final Map<String, String> driven = new LinkedHashMap<>();
    /** What was read when it was back. */
    final Map<String, String> settled = new LinkedHashMap<>();

    final Map<String, String> aligned = new LinkedHashMap<>();
    final Map<String, String> stateSettled = new LinkedHashMap<>();
    final Map<String, String> stateBefore = new LinkedHashMap<>();
    final Map<String, String> stateAfter = new LinkedHashMap<>();
    final Map<String, String> stateDriven = new LinkedHashMap<>();
    final List<WheelSet> sets = new ArrayList<>();
    final List<Probed> probes = new ArrayList<>();
    final List<Probed> marks = new ArrayList<>();
    final Map<End, Double> further = new EnumMap<>(End.class);
    final Map<End, Map<SweepField, Double>> goes = new EnumMap<>(End.class);
    final List<List<String>> low = new ArrayList<>();
    final Map<String, Profile> grounds = new LinkedHashMap<>();
    final List<Map<String, String>> kits = new ArrayList<>();
    final Map<String, String> setup = new LinkedHashMap<>();
    RoadTests.@Nullable Far drive;
    String kit = "";
    String front = "";
    String rear = "";
    String seat = "";
    String headAngle = "";
    boolean dualRear;
    String wish = "";
    String customer = "";
    String odometer = "";
    String worn = "";
    String changed = "";
    String tyre = "";
    String frameFront = "";
    String frameRear = "";
    Architecture archFront = Architecture.STRUT;
    Architecture archRear = Architecture.MULTI_LINK;
    Job.Place place = Job.Place.WAITING;
    String bay = "";
    String holder = "orla";
    int arrivedDaysAgo = 1;

    @Nullable
    Integer dueInDays;

    boolean handedOver;

    DemoJob(String plate, String name, VehicleFacts.Shape shape) {
        this.plate = plate;
        this.name = name;
        this.shape = shape;
    }

    VehicleKind kind() {
        return switch (shape) {
            case PICKUP -> VehicleKind.TRUCK;
            case MOTORCYCLE -> VehicleKind.MOTORCYCLE;
            default -> VehicleKind.CAR;
        };
    }

    DemoJob wheelbase(String wheelbase, String frameBase, String tyreDiameter, String tyreText) {
        measures.put(Measure.WHEELBASE, wheelbase);
        if (!frameBase.isEmpty()) {
            measures.put(Measure.FRAME_BASE, frameBase);
        }
        measures.put(Measure.TYRE_FRONT, tyreDiameter);
        measures.put(Measure.TYRE_REAR, tyreDiameter);
        tyre = tyreText;
        return this;
    }

    /** A probed gap: corner, place, clock, face, gap. */
    DemoJob probed(WheelPlace corner, ProbePlace where, double clock, TyreBody.Face face, String gap) {
        probes.add(new Probed(corner, where, clock, face, gap));
        return this;
    }

    /**
     * What was measured of how far an end goes: the rod to the stop in mm, both locks in degrees; 0 where it does not steer. Where
     * it does the camber was taken at two heights as well, and the axis taped.
     */
    DemoJob goes(End end, double stop, double inner, double outer) {
        goes.put(
                end,
                inner == 0
                        ? Map.of(SweepField.STOP, stop)
                        : Map.of(
                                SweepField.STOP,
                                stop,
                                SweepField.INNER,
                                inner,
                                SweepField.OUTER,
                                outer,
                                SweepField.CAMBER_RATE,
                                -0.4,
                                SweepField.AXIS,
                                55.0));
        return this;
    }

    /** An end that is to come down further, in mm. */
    DemoJob further(End end, double mm) {
        further.put(end, mm);
        return this;
    }

    /** A drive: how far up each corner went, in mm, and the lean in degrees; to both locks. */
    DemoJob drove(double lf, double rf, double rr, double lr, double lean, String note) {
        drive = new RoadTests.Far(
                Map.of(Corner.LF, lf, Corner.RF, rf, Corner.RR, rr, Corner.LR, lr), true, true, lean, note);
        return this;
    }

    /** What the drive left. */
    DemoJob marked(WheelPlace corner, ProbePlace where, double clock, TyreBody.Face face, String seenOn) {
        marks.add(new Probed(corner, where, clock, face, seenOn));
        return this;
    }

    /** A kit by its figures, fields and texts apart by semicolons; the first is the one that the stay was received with. */
    /** Steps of its card that are done; none where nobody began it. */
    int carded;

    DemoJob carded(int steps) {
        carded = steps;
        return this;
    }

    DemoJob fits(String kitName, String fields) {
        Map<String, String> told = new LinkedHashMap<>();
        told.put("NAME", kitName);
        told.putAll(fields(fields));
        kits.add(told);
        return this;
    }

    /** What there is to turn, by the names of the setup's fields. */
    DemoJob set(String fields) {
        setup.putAll(fields(fields));
        return this;
    }

    /** What the aligner's sheet says, by the names of its fields. */
    DemoJob aligned(String fields) {
        aligned.putAll(fields(fields));
        return this;
    }

    private static Map<String, String> fields(String text) {
        Map<String, String> told = new LinkedHashMap<>();
        for (String field : text.strip().split("\\s*;\\s*")) {
            String[] both = field.split("=", 2);
            told.put(both[0].strip(), both[1].strip());
        }
        return told;
    }

    /** Something low: kind, name, from the front axle (positive ahead), over the floor. */
    DemoJob low(String kind, String lowName, String along, String height) {
        low.add(List.of(kind, lowName, along, height));
        return this;
    }

    /** A ground of its own: along and up in mm, by turns. */
    DemoJob passes(String ground, double... numbers) {
        List<Profile.Point> points = new ArrayList<>();
        for (int i = 0; i < numbers.length; i += 2) {
            points.add(new Profile.Point(numbers[i], numbers[i + 1]));
        }
        grounds.put(ground, new Profile(points));
        return this;
    }

    record Probed(WheelPlace corner, ProbePlace place, double clock, TyreBody.Face face, String gap) {}

    /** A set of wheels; what is blank is not said. */
    DemoJob wheels(
            WheelSet.Use use, String set, String tyre, String wheel, String spacer, String rearTyre, String rear) {
        Map<String, String> texts = new LinkedHashMap<>();
        texts.put("TYRE_FRONT", tyre);
        texts.put("WHEEL_FRONT", wheel);
        texts.put("SPACER_FRONT", spacer);
        texts.put("TYRE_REAR", rearTyre);
        texts.put("WHEEL_REAR", rear);
        texts.values().removeIf(String::isEmpty);
        sets.add(new WheelSet(Ids.fresh(), set, use, texts, 0));
        return this;
    }

    DemoJob kit(String text, String frontDrop, String rearDrop) {
        kit = text;
        front = frontDrop;
        rear = rearDrop;
        return this;
    }

    DemoJob says(String customerName, String wished, String odo) {
        customer = customerName;
        wish = wished;
        odometer = odo;
        return this;
    }

    DemoJob stands(Job.Place where, String inBay, String heldBy, int daysAgo) {
        place = where;
        bay = inBay;
        holder = heldBy;
        arrivedDaysAgo = daysAgo;
        return this;
    }

    /** Heights beyond the four corners from before, each a place and what was read there. */
    DemoJob at(String way, String... readings) {
        return points(before, way, readings);
    }

    /** The same after the first set-down. */
    DemoJob nowAt(String way, String... readings) {
        return points(after, way, readings);
    }

    private DemoJob points(Map<String, String> sheet, String way, String... readings) {
        for (String reading : readings) {
            String[] parts = reading.split(" ", 2);
            sheet.put(parts[0] + " " + way, parts[1]);
        }
        return this;
    }

    /** Readings in walking order LF, RF, RR, LR; an empty text is not taken. */
    DemoJob before(Method method, String... walk) {
        return put(before, method, walk);
    }

    DemoJob after(Method method, String... walk) {
        return put(after, method, walk);
    }

    /** After a short drive. */
    DemoJob driven(Method method, String... walk) {
        return put(driven, method, walk);
    }

    /** When it was back. */
    DemoJob settled(Method method, String... walk) {
        return put(settled, method, walk);
    }

    private DemoJob put(Map<String, String> to, Method method, String... walk) {
        for (int i = 0; i < walk.length; i++) {
            if (!walk[i].isEmpty()) {
                to.put(abbex.core.vehicle.Corner.WALK.get(i) + " " + method, walk[i]);
            }
        }
        return this;
    }

    /** Pressures in walking order, wheels and load, the same on every sheet unless said otherwise. */
    DemoJob state(String... walk) {
        for (Map<String, String> state : List.of(stateBefore, stateAfter, stateDriven, stateSettled)) {
            for (int i = 0; i < walk.length; i++) {
                state.put("PRESSURE_" + abbex.core.vehicle.Corner.WALK.get(i), walk[i]);
            }
            state.put("WHEEL_SET", "road wheels");
            state.put("LOAD", "empty");
        }
        return this;
    }

    DemoJob drivenWith(String item, String text) {
        stateDriven.put(item, text);
        return this;
    }

    DemoJob odometers(String setDown, String back) {
        stateAfter.put("ODOMETER", setDown);
        stateSettled.put("ODOMETER", back);
        return this;
    }

    DemoJob now(String item, String text) {
        stateAfter.put(item, text);
        return this;
    }

    DemoJob back(int days) {
        dueInDays = days;
        handedOver = true;
        return this;
    }
}
