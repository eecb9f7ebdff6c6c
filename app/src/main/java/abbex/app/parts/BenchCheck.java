package abbex.app.parts;

import abbex.app.arrive.Job;
import abbex.app.form.Form;
import abbex.app.kit.KitField;
import abbex.app.kit.KitPlans;
import abbex.app.kit.KitValues;
import abbex.app.kit.Kits;
import abbex.app.people.Person;
import abbex.core.kit.KitFinding;
import abbex.core.parts.Bill;
import abbex.core.parts.Calliper;
import abbex.core.units.Length;
import abbex.core.units.TapeText;
import abbex.core.vehicle.End;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** A spring of the kit under the calliper: what it says outranks the listing, and goes into the plan. */
@Component
class BenchCheck {
    private static final Length THICKEST = Length.ofMm(30);
    private static final Length WIDEST = Length.ofMm(400);
    private static final Length LONGEST = Length.ofMm(900);
    private static final double LEAST_COILS = 2.5;
    private static final double MOST_COILS = 30;

    /** A free length that differs by less is the listing's, mm (ours): a calliper on a coil's end. */
    private static final double ALIKE = 3;

    private static final List<String> FIELDS = List.of("wire", "outside", "free", "coils");

    private final Kits kits;
    private final KitPlans plans;

    BenchCheck(Kits kits, KitPlans plans) {
        this.kits = kits;
        this.plans = plans;
    }

    /**
     * What was found.
     *
     * @param listed the rate by its listing, N/mm
     * @param free as measured, mm
     * @param listedFree by its listing, mm
     */
    record Found(Calliper calliper, OptionalDouble listed, double free, OptionalDouble listedFree) {
        boolean rateDiffers() {
            return listed.isPresent() && !calliper.agrees(listed.getAsDouble());
        }

        boolean lengthDiffers() {
            return listedFree.isPresent() && Math.abs(free - listedFree.getAsDouble()) > ALIKE;
        }

        boolean tells() {
            return rateDiffers() || lengthDiffers() || listed.isEmpty() || listedFree.isEmpty();
        }
    }

    static String field(String name, End end) {
        return name + end.name();
    }

    /** Something of an end was typed. */
    static boolean typed(Form form, End end) {
        return FIELDS.stream().anyMatch(name -> form.has(field(name, end)));
    }

    /** Empty, and said at its field, where no spring is like that. */
    Optional<Found> read(Job job, End end, Form form) {
        Optional<Length> wire = length(form, "wire", end, THICKEST);
        Optional<Length> outside = length(form, "outside", end, WIDEST);
        Optional<Length> free = length(form, "free", end, LONGEST);
        OptionalDouble coils = coils(form, end);
        if (wire.isEmpty() || outside.isEmpty() || free.isEmpty() || coils.isEmpty()) {
            return Optional.empty();
        }
        if (outside.get().mm() < 3 * wire.get().mm()) {
            form.problem(field("outside", end), "problem.parts.outside", "read", form.text(field("outside", end)));
            return Optional.empty();
        }
        KitValues values = kits.of(job).chosen().values();
        return Optional.of(new Found(
                Calliper.of(wire.get().mm(), outside.get().mm(), coils.getAsDouble(), Calliper.RESTING),
                value(values, end, KitField.NEW_RATE),
                free.get().mm(),
                value(values, end, KitField.NEW_FREE)));
    }

    private static Optional<Length> length(Form form, String name, End end, Length most) {
        return form.needed(field(name, end), TapeText.Allowed.POSITIVE, most).map(read -> read.value());
    }

    private static OptionalDouble coils(Form form, End end) {
        String field = field("coils", end);
        if (form.text(field).isEmpty()) {
            form.problem(field, "problem.parts.coils", "read", "");
            return OptionalDouble.empty();
        }
        return form.number(field, LEAST_COILS, MOST_COILS);
    }

    private static OptionalDouble value(KitValues values, End end, KitField field) {
        return values.at(end, field)
                .map(told -> OptionalDouble.of(told.value()))
                .orElseGet(OptionalDouble::empty);
    }

    /** What the kit's printed drop says against the spring as it was measured; empty where they agree, or nothing is printed. */
    Optional<KitFinding> printed(Job job, End end, Found found) {
        KitValues values = kits.of(job).chosen().values().with(told(end, found));
        return plans.of(job, values).plan().findings().stream()
                .filter(finding -> finding.place() == end && finding.ofThePrinted())
                .findFirst();
    }

    private static Map<KitValues.Key, KitValues.Told> told(End end, Found found) {
        double rate = Math.round(found.calliper().rate() * 10) / 10.0;
        double free = Math.round(found.free() * 10) / 10.0;
        return Map.of(
                new KitValues.Key(end, KitField.NEW_RATE),
                new KitValues.Told(String.format(Locale.ROOT, "%.1f N/mm", rate), rate),
                new KitValues.Key(end, KitField.NEW_FREE),
                new KitValues.Told(String.format(Locale.ROOT, "%.1f mm", free), free),
                new KitValues.Key(end, KitField.NEW_CALLIPER),
                new KitValues.Told("yes", 1),
                new KitValues.Key(end, KitField.NEW_BENCH),
                new KitValues.Told("", 0));
    }

    /** Into the kit that the stay gets; false when it was told otherwise meanwhile. */
    boolean take(Person by, Job job, End end, Found found, @Nullable Integer edition) {
        Kits.Kit chosen = kits.of(job).chosen();
        return kits.tell(by, job, chosen.id(), chosen.values().with(told(end, found)), Optional.ofNullable(edition))
                .isPresent();
    }

    int edition(Job job) {
        return (int) kits.of(job).chosen().edition();
    }

    /** Ends whose kit brings a coil spring of one rate: of a progressive one its wire tells nothing. */
    List<End> ends(Job job, Bill bill) {
        KitValues values = kits.of(job).chosen().values();
        return Arrays.stream(End.values())
                .filter(end -> bill.find("spring@" + end.code()).isPresent())
                .filter(end -> values.at(end, KitField.NEW_TABLE).isEmpty())
                .toList();
    }
}
