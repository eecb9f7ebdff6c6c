package abbex.app.arrive;

import abbex.app.form.Form;
import abbex.core.figure.Place;
import abbex.core.heights.Advertised;
import abbex.core.heights.SheetState;
import abbex.core.motorcycle.Steering;
import abbex.core.units.Angle;
import abbex.core.units.Length;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.VehicleKind;
import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;

/** What is typed when a vehicle is received: every text is kept as typed, whatever becomes of it. */
public class ArriveForm {
    /** Wheelbases and tracks: up to 40 ft, no road vehicle's is more (ours, against slips of the unit). */
    private static final Length LONGEST = Length.ofInches(480, 0, 1);

    /** No kit lowers more than this (ours): a bare 30 on an inch person's form is 30 mm from the box. */
    private static final Length LARGEST_DROP = Length.ofInches(12, 0, 1);

    /** Nothing between axles, wheels or frame points is less, and no tyre is smaller (ours, against slips of the unit). */
    private static final Length SHORTEST_BASE = Length.ofMm(500);

    private static final Length SMALLEST_TYRE = Length.ofMm(300);

    private final Form form;

    ArriveForm(Form form) {
        this.form = form;
    }

    Form form() {
        return form;
    }

    /** What the fields hold for a stay that is known. */
    static Map<String, String> texts(Job job) {
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
        t.put(Form.EDITION, Integer.toString(job.edition().texts()));
        return t;
    }

    /** The names of the fields that differ, never what is in them: a customer is among them. */
    static String differ(Job was, Job is) {
        Map<String, String> before = texts(was);
        Map<String, String> after = texts(is);
        Set<String> names = new TreeSet<>(before.keySet());
        names.addAll(after.keySet());
        names.remove(Form.EDITION);
        names.removeIf(name -> before.getOrDefault(name, "").equals(after.getOrDefault(name, "")));
        return String.join(", ", names);
    }

    static void vehicle(Map<String, String> t, VehicleFacts v) {
        t.put("plate", v.plate());
        t.put("outline", Looks.of(v.kind(), v.shape()).value());
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

    /** What was typed otherwise than it is known is to count, for the vehicle's earlier stays too. */
    boolean changes() {
        return text("known").equals(KnownAgain.Choice.CHANGE.name());
    }

    /** What has to be answered before a vehicle that is known is received again. */
    void ask(KnownAgain again) {
        if (again.openStay() != null && !text("another").equals("on")) {
            form.problem("another", "problem.known.here");
        }
        if (!again.differs().isEmpty() && text("known").isEmpty()) {
            form.problem("known-answer", "problem.known.differs");
        }
    }

    private String text(String field) {
        return form.text(field);
    }

    /** The vehicle as typed; the form says whether every text could be taken. */
    VehicleFacts vehicle(UUID id) {
        form.named("plate", 20, "problem.plate.missing");
        form.named("name", 120, "problem.name.missing");
        if (!text("plate").isEmpty() && VehicleFacts.plateKey(text("plate")).isEmpty()) {
            form.problem("plate", "problem.plate");
        } else if (VehicleFacts.plateKey(text("plate")).length() > 20) {
            form.problem("plate", "problem.long", "most", "20");
        }
        form.line("tyreFront", 40);
        form.line("tyreRear", 40);
        form.line("frameFront", 60);
        form.line("frameRear", 60);
        Map<VehicleFacts.Measure, VehicleFacts.Measured> measures = new EnumMap<>(VehicleFacts.Measure.class);
        for (VehicleFacts.Measure measure : VehicleFacts.Measure.values()) {
            TapeReading reading = form.length(measure.name(), TapeText.Allowed.POSITIVE, LONGEST)
                    .orElse(null);
            boolean tyre = measure == VehicleFacts.Measure.TYRE_FRONT || measure == VehicleFacts.Measure.TYRE_REAR;
            if (reading != null && reading.value().compareTo(tyre ? SMALLEST_TYRE : SHORTEST_BASE) < 0) {
                form.problem(measure.name(), "problem.short");
            } else if (reading != null) {
                measures.put(measure, new VehicleFacts.Measured(form.raw(reading), reading.value()));
            }
        }
        Looks looks = looks();
        VehicleKind kind = looks.kind();
        boolean fork = kind.singleTrack();
        if (fork && !text("headAngle").isEmpty()) {
            headAngle();
        }
        return new VehicleFacts(
                id,
                text("plate"),
                kind,
                looks.shape(),
                text("name"),
                form.choice("archFront", Architecture.values(), Architecture.OTHER),
                form.choice("archRear", Architecture.values(), Architecture.OTHER),
                text("tyreFront"),
                text("tyreRear"),
                new VehicleFacts.FramePoints(text("frameFront"), text("frameRear")),
                new VehicleFacts.Build(
                        fork && form.at("headAngle") == null ? text("headAngle") : "",
                        kind.cabAndBed() && text("dualRear").equals("on")),
                measures);
    }

    /** From the vertical: what only fits from the ground is offered so. */
    private void headAngle() {
        OptionalDouble read = SheetState.degrees(text("headAngle")).stream()
                .mapToDouble(Angle::degrees)
                .findFirst();
        if (read.isEmpty()) {
            form.problem("headAngle", "problem.degrees");
        } else if (!(read.getAsDouble() > 0 && read.getAsDouble() < Steering.MOST)) {
            form.problem(
                    "headAngle",
                    "problem.headangle",
                    "read",
                    text("headAngle"),
                    "else",
                    BigDecimal.valueOf(90 - read.getAsDouble())
                            .stripTrailingZeros()
                            .toPlainString());
        }
    }

    /** By the outline that was tapped; by kind and shape where those are sent. A page that has outlines must have one tapped. */
    private Looks looks() {
        if (form.has("kind") || !form.has("outline")) {
            VehicleKind kind = form.choice("kind", VehicleKind.values(), VehicleKind.USUAL);
            return Looks.of(kind, form.choice("shape", VehicleFacts.Shape.values(), VehicleFacts.Shape.usual(kind)));
        }
        Optional<Looks> tapped = Looks.parse(text("outline"));
        if (tapped.isEmpty()) {
            form.problem("outline", "problem.outline");
        }
        return tapped.orElse(Looks.USUAL.get(0));
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
                of.arrivedAt(),
                of.edition());
    }

    private Map<Place, Job.Promise> promises() {
        Map<Place, Job.Promise> promises = new LinkedHashMap<>();
        for (Place end : looks().kind().advertised()) {
            TapeReading least = form.length("promise" + end, TapeText.Allowed.ANY, LARGEST_DROP)
                    .orElse(null);
            TapeReading most = form.length("promiseTo" + end, TapeText.Allowed.ANY, LARGEST_DROP)
                    .orElse(null);
            if (least == null && most != null) {
                form.problem("promise" + end, "problem.promise.first");
            } else if (least != null) {
                TapeReading to = most == null ? least : most;
                boolean turned = least.value().compareTo(to.value()) > 0;
                TapeReading low = turned ? to : least;
                TapeReading high = turned ? least : to;
                promises.put(
                        end,
                        new Job.Promise(
                                form.raw(low), form.raw(high), new Advertised.Range(low.value(), high.value())));
            }
        }
        return promises;
    }

    void limits() {
        form.line("customer", 120);
        form.line("contact", 120);
        form.line("wish", 400);
        form.line("usage", 400);
        form.line("odometer", 20);
        form.lines("worn", 1000);
        form.lines("changed", 1000);
        form.line("kit", 200);
    }
}
