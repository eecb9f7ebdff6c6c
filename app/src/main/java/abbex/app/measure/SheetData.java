package abbex.app.measure;

import abbex.app.arrive.KnownWheels;
import abbex.app.facts.Fact;
import abbex.app.rules.ShopRules;
import abbex.core.figure.Place;
import abbex.core.heights.Basis;
import abbex.core.heights.Floor;
import abbex.core.heights.HeightSheet;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.OnPurpose;
import abbex.core.heights.Reading;
import abbex.core.heights.SheetState;
import abbex.core.heights.SheetWheels;
import abbex.core.heights.Stage;
import abbex.core.heights.SubstituteBaseline;
import abbex.core.state.StateAct;
import abbex.core.state.VehicleHistory;
import abbex.core.units.Pressure;
import abbex.core.vehicle.Places;
import abbex.core.vehicle.Tyre;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** A sheet with what stands on it. */
public final class SheetData {
    private final SheetRow row;
    private final List<ReadingRow> current;
    private final Map<String, String> state;
    private final Stage stage;
    private final HeightSheet heights;
    private final HeightSheet read;

    /** @param turns what was turned on earlier sheets of the stay and on this one, in order */
    SheetData(
            SheetRow row,
            List<ReadingRow> current,
            Map<String, String> state,
            ShopRules rules,
            List<KnownWheels.Known> wheels,
            List<TurnedSince.Turn> turns) {
        this.row = row;
        this.current = List.copyOf(current);
        this.state = Map.copyOf(state);
        this.stage = StateItem.stage(said(StateItem.STAGE)).orElse(row.stage());
        List<Reading> all = current.stream().map(ReadingRow::reading).toList();
        List<TurnedSince.Turn> here =
                turns.stream().filter(turn -> turn.sheet().equals(row.id())).toList();
        List<Reading> stand = standing(all, here);
        Basis basis = basis(rules, wheels).turned(turned(turns, stand));
        this.heights = HeightSheet.of(state(this.state), basis, stand);
        this.read = stand.size() == all.size() ? heights : HeightSheet.of(state(this.state), basis, all);
    }

    /** What was read before something was turned stands for another height, once anything was read since. */
    private static List<Reading> standing(List<Reading> all, List<TurnedSince.Turn> here) {
        long last = here.stream().mapToLong(TurnedSince.Turn::after).max().orElse(0);
        List<Reading> since =
                all.stream().filter(reading -> reading.nr() > last).toList();
        return since.isEmpty() ? all : since;
    }

    /** What was turned before these readings were taken: on earlier sheets all of it. */
    private OnPurpose turned(List<TurnedSince.Turn> turns, List<Reading> stand) {
        long first = stand.stream().mapToLong(Reading::nr).min().orElse(Long.MAX_VALUE);
        return turns.stream()
                .filter(turn -> !turn.sheet().equals(row.id()) || turn.after() < first)
                .map(TurnedSince.Turn::does)
                .reduce(OnPurpose.NOTHING, OnPurpose::plus);
    }

    private Basis basis(ShopRules rules, List<KnownWheels.Known> sets) {
        LocalDate day = LocalDate.ofInstant(row.madeAt(), ZoneOffset.UTC);
        Optional<Floor> floor = rules.floor(said(SheetState.Item.BAY.name()), day);
        SubstituteBaseline standIn = StateItem.standIn(said(StateItem.STAND_IN)).orElse(SubstituteBaseline.NONE);
        return new Basis(
                stage,
                rules.repeatability(),
                floor,
                row.first() ? standIn : SubstituteBaseline.NONE,
                StateItem.arches(said(StateItem.ARCHES)).orElse(java.util.Set.of()),
                wheels(said(SheetState.Item.WHEEL_SET.name()), sets),
                OnPurpose.NOTHING);
    }

    /** The set that was named, with its tyres; in doubt where none was and the vehicle has unlike ones. */
    private static SheetWheels wheels(String said, List<KnownWheels.Known> sets) {
        if (said.isEmpty()) {
            boolean unlike = sets.stream()
                            .filter(KnownWheels.Known::fitted)
                            .map(KnownWheels.Known::sizes)
                            .distinct()
                            .count()
                    > 1;
            return new SheetWheels(unlike, SheetWheels.UNKNOWN.tyres());
        }
        return sets.stream()
                .filter(set -> set.name().strip().equalsIgnoreCase(said.strip()))
                .findFirst()
                .map(set -> new SheetWheels(false, set.diameters().map(d -> d.map(Tyre::of))))
                .orElse(SheetWheels.UNKNOWN);
    }

    private String said(String item) {
        return state.getOrDefault(item, "");
    }

    public SheetRow row() {
        return row;
    }

    /** At which point of the work it was taken, as it was said last. */
    public Stage stage() {
        return stage;
    }

    /** The rows that no other row replaces and that were not withdrawn. */
    List<ReadingRow> current() {
        return current;
    }

    /** The texts that were said last, by item; pressures as {@code PRESSURE_LF} and so on. */
    public Map<String, String> state() {
        return state;
    }

    /** The same as the fields of a form hold it: the stage it was opened at too, while nobody said another. */
    Map<String, String> fields() {
        return fields(row, state);
    }

    static Map<String, String> fields(SheetRow row, Map<String, String> state) {
        Map<String, String> fields = new HashMap<>(state);
        fields.putIfAbsent(StateItem.STAGE, row.stage().name());
        return fields;
    }

    /** Opened at that stage, and nobody has written on it but where the vehicle stands. */
    boolean fresh(Stage asked) {
        return stage == asked
                && current.isEmpty()
                && state.keySet().stream().allMatch(SheetState.Item.BAY.name()::equals);
    }

    /** What the odometer showed; empty where nobody read it. */
    public Optional<String> odometer() {
        return Optional.of(said(StateItem.ODOMETER)).filter(text -> !text.isBlank());
    }

    /** The name of the set of parts that it was said to stand on, {@link #AS_IT_CAME}, or empty where nobody said. */
    public String parts() {
        return said(StateItem.PARTS).strip();
    }

    /** What a sheet says of parts that are none of a kit's. */
    public static final String AS_IT_CAME = "AS_IT_CAME";

    /** What it tells of the state of the vehicle, beside its parts. */
    public List<VehicleHistory.Entry> acts() {
        List<VehicleHistory.Entry> acts = new ArrayList<>();
        acts.add(new VehicleHistory.Entry(row.madeAt(), "", new StateAct.Loaded(heights.state())));
        heights.state()
                .said(SheetState.Item.WHEEL_SET)
                .ifPresent(
                        set -> acts.add(new VehicleHistory.Entry(row.madeAt(), "", new StateAct.WheelsMounted(set))));
        if (stage == Stage.SETTLED) {
            acts.add(new VehicleHistory.Entry(row.madeAt(), "", new StateAct.Settled()));
        }
        return acts;
    }

    /** What the core compares: without what was read before something was turned, once anything was read since. */
    public HeightSheet heights() {
        return heights;
    }

    /** Everything that stands on it, also what was read before something was turned. */
    public HeightSheet read() {
        return read;
    }

    /** What kind of fact an item of the state is; none for its stage, which is a fact of the sheet. */
    public Optional<Fact.Kind> fact(String item) {
        if (item.startsWith(StateItem.PRESSURE)) {
            return Optional.of(Fact.Kind.PRESSURE);
        }
        return switch (item) {
            case StateItem.STAGE -> Optional.empty();
            case StateItem.STAND_IN -> Optional.of(Fact.Kind.STAND_IN);
            default -> Optional.of(Fact.Kind.STATE);
        };
    }

    /** The code of the wheel whose pressure an item is. */
    public static String wheel(String item) {
        return item.substring(StateItem.PRESSURE.length());
    }

    static SheetState state(Map<String, String> texts) {
        Map<Place, Pressure> pressures = new HashMap<>();
        for (Place wheel : Places.wheels()) {
            Pressure.parse(texts.getOrDefault(StateItem.pressure(wheel), "")).ifPresent(p -> pressures.put(wheel, p));
        }
        Map<SheetState.Item, String> said = new EnumMap<>(SheetState.Item.class);
        for (SheetState.Item item : SheetState.Item.values()) {
            said.put(item, texts.getOrDefault(item.name(), ""));
        }
        return SheetState.of(pressures, said);
    }

    /** What is said of the state, each item by its short name, in order. */
    public List<String> said(Function<String, String> name) {
        List<String> all = new ArrayList<>();
        for (String item : StateItem.any(row.first())) {
            if (!said(item).isEmpty() && !item.equals(StateItem.STAGE)) {
                all.add(line(item, name));
            }
        }
        return all;
    }

    private String line(String item, Function<String, String> name) {
        if (item.startsWith(StateItem.PRESSURE)) {
            return item.substring(StateItem.PRESSURE.length()).replaceAll("^(RR|LR)I$", "$1 inner") + " " + said(item);
        }
        String title = name.apply("item." + item);
        String text = StateItem.text(item, said(item), name);
        // A bay is mostly called "Bay 2".
        return text.toLowerCase(Locale.ROOT).startsWith(title) ? text : title + " " + text;
    }

    List<ReadingRow> at(MeasuringPoint spot) {
        return current.stream().filter(r -> r.spot().equals(spot)).toList();
    }
}
