package abbex.core.heights;

import abbex.core.figure.Place;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.Pressure;
import abbex.core.units.TapeReading;
import abbex.core.units.TapeText;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Vehicle;
import abbex.core.vehicle.VehicleKind;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * A drawn job: a car lowered, its heights read with a 1/16 in tape on one or two sheets. The widths of everything that may
 * honestly differ and the tape's noise are drawn log-uniform in 0.7 … 1.4 of the program's; two of a hundred readings have
 * twice the noise.
 */
final class DrawnJob {
    static final Vehicle CAR =
            Vehicle.of(VehicleKind.CAR).withWheelbase(Length.ofMm(2700)).withFrameBase(Length.ofMm(1755));

    private static final Graduation TAPE = Graduation.SIXTEENTH_INCH;

    private final Random random;
    private final List<Method> methods;
    private final int sheets;
    private final double[][][] truth;
    private final TapeReading[][][] read;
    private final double[][][] standard;
    private PriorDeviations drawn;
    int slipSheet = -1;
    MeasuringPoint slipSpot;
    double slip;
    private MeasuringPoint swapped;
    private Reading extra;

    /** What was said to differ between the sheets, and did. */
    enum Differs {
        NOTHING,
        LOAD,
        BAY,
        PRESSURES,
        WHEELS,
        /** Not said, and elsewhere: where the frame points lie. */
        FRAME,
        /** Another vehicle of the kind stands in for the heights before. */
        STAND_IN
    }

    private final Differs differs;
    private final double[] standIn;

    DrawnJob(Random random, List<Method> methods, int sheets) {
        this(random, methods, sheets, Differs.NOTHING);
    }

    DrawnJob(Random random, List<Method> methods, int sheets, Differs differs) {
        this.differs = differs;
        this.random = random;
        this.methods = methods;
        this.sheets = sheets;
        this.standIn = differs == Differs.STAND_IN ? standInDrawn() : new double[3];
        this.truth = new double[sheets][Corner.values().length][Method.values().length];
        this.read = new TapeReading[sheets][Corner.values().length][Method.values().length];
        this.standard = new double[sheets][Corner.values().length][Method.values().length];
        drawTruth();
        double noise = factor();
        for (int s = 0; s < sheets; s++) {
            for (Corner corner : Corner.values()) {
                for (Method method : methods) {
                    double wide = random.nextInt(50) == 0 ? 2 : 1;
                    double error =
                            random.nextGaussian() * method.repeatability().mm() * noise * wide;
                    standard[s][corner.ordinal()][method.ordinal()] = Math.hypot(
                            method.repeatability().mm() * noise * wide,
                            TAPE.step().mm() / Math.sqrt(12));
                    if (s == 0) {
                        standard[s][corner.ordinal()][method.ordinal()] =
                                Math.hypot(standard[s][corner.ordinal()][method.ordinal()], standIn[2]);
                    }
                    set(s, corner, method, truth(s, corner, method) + stoodIn(s, corner) + error);
                }
            }
        }
    }

    /** What the vehicle that stands in stood higher by: alike for all its heights, in heave and pitch, and at each point. */
    private double stoodIn(int sheet, Corner corner) {
        return sheet > 0 || differs != Differs.STAND_IN
                ? 0
                : standIn[0] + (corner.end() == End.FRONT ? standIn[1] : -standIn[1]) + gauss(standIn[2]);
    }

    private double[] standInDrawn() {
        double s = SubstituteBaseline.SAME_KIND.standardMm() * factor();
        return new double[] {gauss(0.8 * s), gauss(0.5 * s), 0.33 * s};
    }

    private double factor() {
        return Math.exp(Math.log(0.7) + random.nextDouble() * Math.log(2));
    }

    private double gauss(double width) {
        return random.nextGaussian() * width;
    }

    private void drawTruth() {
        PriorDeviations usual = PriorDeviations.of(VehicleKind.CAR, Limits.USUAL);
        double diagonal = usual.diagonal() * factor();
        double tyres = usual.tyresOfSheet() * factor();
        double tyre = usual.tyre() * factor();
        double sides = usual.sides() * factor();
        double wheel = usual.wheel() * factor();
        double tread = usual.tread() * factor();
        drawn = new PriorDeviations(diagonal, tyres, tyre, sides, wheel, tread, PriorDeviations.ROLL);
        Map<Corner, double[]> at = new EnumMap<>(Corner.class);
        double[] loaded = {300 + gauss(8), 300 + gauss(8)};
        double[] unequal = {gauss(sides / 2), gauss(sides / 2)};
        double[] rim = {235 + gauss(5), 235 + gauss(5)};
        for (Corner corner : Corner.values()) {
            int end = corner.end() == End.FRONT ? 0 : 1;
            at.put(corner, new double[] {
                660 + 15 * end + gauss(4),
                210 + 20 * end + gauss(4),
                loaded[end] + (corner.isLeft() ? unequal[end] : -unequal[end]),
                rim[end] + gauss(wheel),
                loaded[end] + 12 + gauss(tread)
            });
        }
        boolean elsewhere = differs == Differs.FRAME;
        double apart = elsewhere ? Math.max(0.3, 0.65 + gauss(0.15 * factor())) : 0.65;
        double ahead = elsewhere ? gauss(0.12 * factor()) : 0;
        double outboard = elsewhere ? 0.85 + gauss(0.1 * factor()) : 0.85;
        for (int s = 0; s < sheets; s++) {
            double heave = s == 0 ? 0 : -20 - 30 * random.nextDouble();
            double pitch = s == 0 ? 0 : gauss(elsewhere ? 12 : 5);
            double roll = s == 0 ? 0 : gauss(2);
            double twist = s == 0 ? 0 : gauss(diagonal / 4);
            double warm = s == 0 ? 0 : gauss(tyres);
            if (s > 0) {
                twist += differs == Differs.BAY ? gauss(5 * factor()) : 0;
                warm += differs == Differs.LOAD ? gauss(2 * factor()) : 0;
            }
            double loads = s > 0 && differs == Differs.LOAD ? 3 * factor() : 0;
            double soft = s > 0 && differs == Differs.PRESSURES ? 6 * factor() : 0;
            if (s > 0 && differs == Differs.WHEELS) {
                otherWheels(at, sides, wheel, tread);
            }
            for (Corner corner : Corner.values()) {
                double[] c = at.get(corner);
                int a = corner.end() == End.FRONT ? 1 : -1;
                int b = corner.isLeft() ? 1 : -1;
                double lip = c[0] + heave + pitch * a + roll * b + twist * a * b;
                double forward = apart * a + ahead;
                double frame = c[1] + heave + pitch * forward + roll * outboard * b + twist * forward * outboard * b;
                double radius = c[2] + warm + (s == 0 ? 0 : gauss(tyre)) + (loads + soft > 0 ? gauss(loads + soft) : 0);
                double[] t = truth[s][corner.ordinal()];
                t[Method.GF.ordinal()] = lip;
                t[Method.HF.ordinal()] = lip - radius;
                t[Method.RIM.ordinal()] = lip - radius + c[3];
                t[Method.FG.ordinal()] = frame;
                t[Method.TG.ordinal()] = lip - radius - c[4];
            }
        }
    }

    /** Other tyres and rims: each of them elsewhere, alike on an axle as wheels are. */
    private void otherWheels(Map<Corner, double[]> at, double sides, double wheel, double tread) {
        double[] grown = {gauss(12), gauss(12)};
        double[] unequal = {gauss(sides / 2), gauss(sides / 2)};
        double[] rim = {235 + gauss(12), 235 + gauss(12)};
        double[] deep = {12 + gauss(3), 12 + gauss(3)};
        at.forEach((corner, c) -> {
            int end = corner.end() == End.FRONT ? 0 : 1;
            c[2] = 300 + grown[end] + (corner.isLeft() ? unequal[end] : -unequal[end]);
            c[3] = rim[end] + gauss(wheel);
            c[4] = c[2] + deep[end] + gauss(tread);
        });
    }

    /** What a sheet says of it. */
    private SheetState state(int sheet) {
        String which = sheet == 0 ? "one" : "other";
        return switch (differs) {
            case NOTHING, FRAME, STAND_IN -> SheetState.NOT_TAKEN;
            case LOAD -> SheetState.of(Map.of(), Map.of(SheetState.Item.LOAD, which));
            case BAY -> SheetState.of(Map.of(), Map.of(SheetState.Item.BAY, which));
            case WHEELS -> SheetState.of(Map.of(), Map.of(SheetState.Item.WHEEL_SET, which));
            case PRESSURES -> {
                Map<Place, Pressure> pressures = new HashMap<>();
                for (Corner corner : Corner.values()) {
                    pressures.put(corner, Pressure.ofPsi(sheet == 0 ? 33 : 27));
                }
                yield SheetState.of(pressures, Map.of());
            }
        };
    }

    double truth(int sheet, Corner corner, Method method) {
        return truth[sheet][corner.ordinal()][method.ordinal()];
    }

    double read(int sheet, Corner corner, Method method) {
        return read[sheet][corner.ordinal()][method.ordinal()].value().mm();
    }

    private void set(int sheet, Corner corner, Method method, double mm) {
        long step = TAPE.step().nm();
        Length rounded = Length.ofNm(Math.round(mm * 1e6 / step) * step);
        read[sheet][corner.ordinal()][method.ordinal()] = tape(rounded);
    }

    /** As somebody would have typed it. */
    private static TapeReading tape(Length rounded) {
        return TapeText.parse(TapeText.number(rounded, LengthUnit.INCH), LengthUnit.INCH, TAPE, TapeText.Allowed.ANY)
                .asReading()
                .orElseThrow();
    }

    /** Somebody misreads: 3/16 to 1 in, either way, anywhere. */
    void plant() {
        slipSheet = random.nextInt(sheets);
        Corner corner = Corner.values()[random.nextInt(4)];
        Method method = methods.get(random.nextInt(methods.size()));
        slipSpot = MeasuringPoint.of(corner, method);
        slip = (random.nextBoolean() ? 1 : -1) * 25.4 * (3 / 16.0 + random.nextDouble() * 13 / 16);
        set(slipSheet, corner, method, read(slipSheet, corner, method) + slip);
    }

    /**
     * One tyre stands lower on the newest sheet: the body goes down with it by its part of heave, pitch and roll, and its springs
     * take up the rest, so that hubs and ground differ by the tyre at that corner alone (statics of a stiff body on four equal
     * springs).
     */
    void lowTyre(Corner low, double mm) {
        int s = sheets - 1;
        int e = low.end() == End.FRONT ? 1 : -1;
        int side = low.isLeft() ? 1 : -1;
        for (Corner corner : Corner.values()) {
            int a = corner.end() == End.FRONT ? 1 : -1;
            int b = corner.isLeft() ? 1 : -1;
            double body = mm / 4 * (1 + a * e + b * side);
            double frame = mm / 4 * (1 + 0.65 * a * e + 0.85 * b * side);
            double hub = body - (corner == low ? mm : 0);
            for (Method method : methods) {
                double down = method == Method.FG ? frame : method == Method.GF ? body : hub;
                set(s, corner, method, read(s, corner, method) - down);
            }
        }
    }

    /** A mistake of a kind instead of a drawn slip; false when this job offers none that would be noticed. */
    boolean plant(Slip kind) {
        slipSheet = random.nextInt(sheets);
        Corner corner = Corner.values()[random.nextInt(4)];
        Method method = methods.get(random.nextInt(methods.size()));
        slipSpot = MeasuringPoint.of(corner, method);
        double here = read(slipSheet, corner, method);
        double wrong = switch (kind) {
            case SWAPPED_CORNERS -> swap(corner, Corner.values()[random.nextInt(4)], method);
            case OTHER_METHOD -> read(slipSheet, corner, methods.get(random.nextInt(methods.size())));
            case OTHER_SHEET -> read(sheets - 1 - slipSheet, corner, method);
            case SLIPPED_UNIT -> here + (random.nextBoolean() ? 25.4 : -25.4);
            case TRANSPOSED -> turned(here);
            case OTHER_MARK -> here + (random.nextBoolean() ? 12.7 : -6.35);
            case UNEXPLAINED -> here + 4.5 * 25.4 / 16;
        };
        slip = wrong - here;
        set(slipSheet, corner, method, wrong);
        return Math.abs(slip) > 25.4 * 3 / 16;
    }

    /** Writes this corner's reading at the other; what the other had is returned for this one. */
    private double swap(Corner corner, Corner other, Method method) {
        swapped = MeasuringPoint.of(other, method);
        double there = read(slipSheet, other, method);
        set(slipSheet, other, method, read(slipSheet, corner, method));
        return there;
    }

    /** The two digits of the whole inches in the wrong order. */
    private static double turned(double mm) {
        int whole = (int) (mm / 25.4);
        return mm + 25.4 * ((whole % 10) * 10 + whole / 10 - whole);
    }

    /** The reading is taken again, this time right. */
    void again(int sheet, MeasuringPoint spot) {
        set(
                sheet,
                spot.corner(),
                spot.method(),
                truth(sheet, spot.corner(), spot.method())
                        + gauss(spot.method().repeatability().mm()));
    }

    /** A height of the newest sheet is read, or read again by somebody else, and all is adjusted anew. */
    List<Outlier> readNext(MeasuringPoint spot) {
        int sheet = sheets - 1;
        TapeReading there = read[sheet][spot.corner().ordinal()][spot.method().ordinal()];
        again(sheet, spot);
        extra = Reading.of(
                spot, read[sheet][spot.corner().ordinal()][spot.method().ordinal()]);
        read[sheet][spot.corner().ordinal()][spot.method().ordinal()] = there;
        return adjust().suspects();
    }

    boolean planted(Outlier suspect) {
        boolean repeat = extra != null && suspect.reading().equals(extra);
        return !repeat && suspect.sheet() == slipSheet && suspect.spot().equals(slipSpot);
    }

    /** The planted reading, or the one that it was exchanged with. */
    boolean involved(Outlier suspect) {
        return planted(suspect)
                || suspect.sheet() == slipSheet && suspect.spot().equals(swapped);
    }

    /** The same spot on the other sheet. */
    boolean twin(Outlier suspect) {
        return suspect.sheet() != slipSheet && suspect.spot().equals(slipSpot);
    }

    List<HeightSheet> sheets() {
        List<HeightSheet> all = new ArrayList<>();
        for (int s = 0; s < sheets; s++) {
            List<Reading> readings = new ArrayList<>();
            for (Corner corner : Corner.values()) {
                for (Method method : methods) {
                    readings.add(
                            Reading.of(MeasuringPoint.of(corner, method), read[s][corner.ordinal()][method.ordinal()]));
                }
            }
            if (extra != null && s == sheets - 1) {
                readings.add(extra);
            }
            boolean other = s == 0 && differs == Differs.STAND_IN;
            all.add(HeightSheet.of(
                    state(s), other ? Basis.USUAL.from(SubstituteBaseline.SAME_KIND) : Basis.USUAL, readings));
        }
        return all;
    }

    /** Where its frame points lie was taped but where they are to be elsewhere. */
    private Vehicle vehicle() {
        return differs == Differs.FRAME ? Vehicle.of(VehicleKind.CAR).withWheelbase(Length.ofMm(2700)) : CAR;
    }

    Adjustment adjust() {
        return Adjustment.of(vehicle(), sheets(), PriorDeviations.of(VehicleKind.CAR, Limits.USUAL));
    }

    /** What somebody would find who knew every width and every reading's noise of this very job. */
    Adjustment oracle() {
        return Adjustment.of(
                vehicle(),
                sheets(),
                drawn,
                (sheet, height, reading) -> standard[sheet][
                        height.spot().corner().ordinal()][height.spot().method().ordinal()]);
    }
}
