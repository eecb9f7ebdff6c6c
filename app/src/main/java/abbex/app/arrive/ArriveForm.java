package abbex.app.arrive;

import abbex.app.people.Person;
import abbex.core.figure.Place;
import abbex.core.heights.Advertised;
import abbex.core.heights.SheetState;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.TapeParse;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.VehicleKind;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What is typed when a vehicle is received: every text is kept as typed, whatever becomes of it. */
public class ArriveForm {
    /** Wheelbases and tracks: up to 40 ft, no road vehicle's is more (ours, against slips of the unit). */
    private static final Length LONGEST = Length.ofInches(480, 0, 1);

    /** No kit lowers more than this (ours): a bare 30 on an inch person's form is 30 mm from the box. */
    private static final Length LARGEST_DROP = Length.ofInches(12, 0, 1);

    /** Nothing between axles, wheels or frame points is less, and no tyre is smaller (ours, against slips of the unit). */
    private static final Length SHORTEST_BASE = Length.ofMm(500);

    private static final Length SMALLEST_TYRE = Length.ofMm(300);

    /** A text that could not be taken: the field, and either a refused length or the key of a sentence. */
    public record Problem(TapeParse.@Nullable Refused refused, String key) {
        static Problem of(TapeParse.Refused refused) {
            return new Problem(refused, "");
        }

        static Problem key(String key) {
            return new Problem(null, key);
        }
    }

    private final Map<String, String> texts = new LinkedHashMap<>();
    private final Map<String, Problem> problems = new LinkedHashMap<>();
    private final Person person;

    ArriveForm(Person person, Map<String, String> parameters) {
        this.person = person;
        parameters.forEach((name, text) -> texts.put(name, text.strip()));
    }

    static ArriveForm of(Person person, Job job) {
        Map<String, String> t = new LinkedHashMap<>();
        VehicleFacts v = job.vehicle();
        vehicle(t, v);
        t.put("customer", job.customer());
        t.put("contact", job.contact());
        t.put("wish", job.wish());
        t.put("usage", job.usage());
        t.put("odometer", job.odometer());
        t.put("worn", job.worn());
        t.put("changed", job.changed());
        t.put("kit", job.kit());
        job.promises().forEach((place, promise) -> {
            t.put("promise" + place, promise.leastRaw());
            t.put("promiseTo" + place, promise.range().single() ? "" : promise.mostRaw());
        });
        return new ArriveForm(person, t);
    }

    static void vehicle(Map<String, String> t, VehicleFacts v) {
        t.put("plate", v.plate());
        t.put("kind", v.kind().name());
        t.put("shape", v.shape().name());
        t.put("name", v.name());
        t.put("archFront", v.front().name());
        t.put("archRear", v.rear().name());
        t.put("tyreFront", v.tyreFront());
        t.put("tyreRear", v.tyreRear());
        t.put("frameFront", v.points().front());
        t.put("frameRear", v.points().rear());
        t.put("headAngle", v.build().headAngle());
        t.put("dualRear", v.build().dualRear() ? "on" : "");
        for (VehicleFacts.Measure measure : VehicleFacts.Measure.values()) {
            t.put(measure.name(), v.raw(measure));
        }
    }

    /** The text of a field as typed; used by the page. */
    public String text(String field) {
        return texts.getOrDefault(field, "");
    }

    public Map<String, Problem> problems() {
        return problems;
    }

    boolean ok() {
        return problems.isEmpty();
    }

    /** The vehicle as typed; {@link #ok()} says whether every text could be taken. */
    VehicleFacts vehicle(UUID id) {
        require("plate", 20);
        require("name", 120);
        if (!text("plate").isEmpty() && VehicleFacts.plateKey(text("plate")).isEmpty()) {
            problems.put("plate", Problem.key("problem.plate"));
        }
        limit("tyreFront", 40);
        limit("tyreRear", 40);
        limit("frameFront", 60);
        limit("frameRear", 60);
        Map<VehicleFacts.Measure, VehicleFacts.Measured> measures = new EnumMap<>(VehicleFacts.Measure.class);
        for (VehicleFacts.Measure measure : VehicleFacts.Measure.values()) {
            TapeReading reading = length(measure.name(), TapeText.Allowed.POSITIVE, LONGEST);
            boolean tyre = measure == VehicleFacts.Measure.TYRE_FRONT || measure == VehicleFacts.Measure.TYRE_REAR;
            if (reading != null && reading.value().compareTo(tyre ? SMALLEST_TYRE : SHORTEST_BASE) < 0) {
                problems.put(measure.name(), Problem.key("problem.short"));
            } else if (reading != null) {
                measures.put(measure, new VehicleFacts.Measured(withUnit(reading), reading.value()));
            }
        }
        VehicleKind kind = kind();
        boolean fork = kind.singleTrack();
        if (fork
                && !text("headAngle").isEmpty()
                && SheetState.degrees(text("headAngle")).isEmpty()) {
            problems.put("headAngle", Problem.key("problem.degrees"));
        }
        return new VehicleFacts(
                id,
                text("plate"),
                kind,
                VehicleFacts.Shape.of(kind, choice("shape", VehicleFacts.Shape.class, VehicleFacts.Shape.HATCH)),
                text("name"),
                choice("archFront", Architecture.class, Architecture.OTHER),
                choice("archRear", Architecture.class, Architecture.OTHER),
                text("tyreFront"),
                text("tyreRear"),
                new VehicleFacts.FramePoints(text("frameFront"), text("frameRear")),
                new VehicleFacts.Build(
                        fork && problems.get("headAngle") == null ? text("headAngle") : "",
                        kind.cabAndBed() && text("dualRear").equals("on")),
                measures);
    }

    private VehicleKind kind() {
        return choice("kind", VehicleKind.class, VehicleKind.USUAL);
    }

    /** A number typed without a unit is kept with the unit it was taken in, whoever reads it later. */
    private String withUnit(TapeReading reading) {
        return reading.rawIn(person.likes().unit());
    }

    /** The stay as typed, of the vehicle given. */
    Job stay(Job.Identity of, VehicleFacts vehicle) {
        return new Job(
                of.id(),
                of.shop(),
                vehicle,
                text("customer"),
                text("contact"),
                text("wish"),
                text("usage"),
                text("odometer"),
                text("worn"),
                text("changed"),
                text("kit"),
                promises(),
                of.where(),
                of.holder(),
                of.holderInitials(),
                of.dueBack(),
                of.arrivedAt());
    }

    private Map<Place, Job.Promise> promises() {
        Map<Place, Job.Promise> promises = new LinkedHashMap<>();
        for (Place end : kind().advertised()) {
            TapeReading least = length("promise" + end, TapeText.Allowed.ANY, LARGEST_DROP);
            TapeReading most = length("promiseTo" + end, TapeText.Allowed.ANY, LARGEST_DROP);
            if (least == null && most != null) {
                problems.putIfAbsent("promise" + end, Problem.key("problem.promise.first"));
            } else if (least != null) {
                TapeReading to = most == null ? least : most;
                boolean turned = least.value().compareTo(to.value()) > 0;
                TapeReading low = turned ? to : least;
                TapeReading high = turned ? least : to;
                promises.put(
                        end,
                        new Job.Promise(
                                withUnit(low), withUnit(high), new Advertised.Range(low.value(), high.value())));
            }
        }
        return promises;
    }

    void limits() {
        limit("customer", 120);
        limit("contact", 120);
        limit("wish", 400);
        limit("usage", 400);
        limit("odometer", 20);
        limit("worn", 1000);
        limit("changed", 1000);
        limit("kit", 200);
    }

    void problem(String field, String key) {
        problems.put(field, Problem.key(key));
    }

    private @Nullable TapeReading length(String field, TapeText.Allowed allowed, Length largest) {
        if (text(field).isEmpty()) {
            return null;
        }
        Graduation tape = person.likes().tape();
        TapeParse parse = TapeText.parse(text(field), person.likes().unit(), tape, allowed, largest);
        if (parse instanceof TapeParse.Refused refused) {
            problems.put(field, Problem.of(refused));
            return null;
        }
        return parse.asReading().orElseThrow();
    }

    private <E extends Enum<E>> E choice(String field, Class<E> type, E usual) {
        if (text(field).isEmpty()) {
            return usual;
        }
        try {
            return Enum.valueOf(type, text(field));
        } catch (IllegalArgumentException notOfThem) {
            problems.put(field, Problem.key("problem.choice"));
            return usual;
        }
    }

    private void require(String field, int most) {
        if (text(field).isEmpty()) {
            problems.put(field, Problem.key("problem." + field + ".missing"));
        }
        limit(field, most);
    }

    private void limit(String field, int most) {
        String text = text(field);
        if (text.length() > most) {
            problems.put(field, Problem.key("problem.long." + most));
        } else if (text.chars().anyMatch(c -> Character.isISOControl(c) && c != '\n' && c != '\r' && c != '\t')) {
            problems.put(field, Problem.key("problem.unprintable"));
        }
    }
}
