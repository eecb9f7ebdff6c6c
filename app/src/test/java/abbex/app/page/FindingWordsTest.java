package abbex.app.page;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.support.Said;
import abbex.core.alignment.AlignFinding;
import abbex.core.clearance.ClearanceFinding;
import abbex.core.electronics.ElectronicsFinding;
import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.ground.GroundFinding;
import abbex.core.heights.HeightFinding;
import abbex.core.heights.MeasuringPoint;
import abbex.core.heights.Method;
import abbex.core.heights.PointMethod;
import abbex.core.heights.Way;
import abbex.core.kit.KitFinding;
import abbex.core.parts.PartFinding;
import abbex.core.setting.SettingFinding;
import abbex.core.settling.SettlingFinding;
import abbex.core.state.StateFinding;
import abbex.core.units.Angle;
import abbex.core.units.Distance;
import abbex.core.units.Estimate;
import abbex.core.units.Force;
import abbex.core.units.Frequency;
import abbex.core.units.Graduation;
import abbex.core.units.Length;
import abbex.core.units.LengthUnit;
import abbex.core.units.Pressure;
import abbex.core.units.Rate;
import abbex.core.units.Torque;
import abbex.core.units.Uncertainty;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.Seat;
import abbex.core.vehicle.Whole;
import abbex.core.wheels.WheelFinding;
import abbex.core.workcard.CardFinding;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Every finding said with every kind of value that its components may hold, in both units: no message leaves a placeholder, a
 * program's text or the name of a class.
 */
class FindingWordsTest {
    private static final List<Class<? extends Finding>> FAMILIES = List.of(
            AlignFinding.class,
            CardFinding.class,
            ClearanceFinding.class,
            ElectronicsFinding.class,
            GroundFinding.class,
            HeightFinding.class,
            KitFinding.class,
            PartFinding.class,
            SettingFinding.class,
            SettlingFinding.class,
            StateFinding.class,
            WheelFinding.class);

    private static final Reader INCHES =
            new Reader(LengthUnit.INCH, new Graduation(LengthUnit.INCH, 32), ZoneId.of("UTC"));

    private final Words words = new Words(
            Said.bundles(),
            List.of(
                    new UnitWords(),
                    new VehicleWords(),
                    new HeightWords(),
                    new GroundWords(),
                    new KitWords(),
                    new PartWording(),
                    new CardWording(),
                    new AlignmentWords(),
                    new SettlingWords(),
                    new ClearancePlaceWords()));

    private static void good(Class<?> of, String sentence) {
        assertFalse(sentence.isBlank(), of.getName());
        assertFalse(sentence.matches("(?s).*[\\[\\]{}@].*"), of.getSimpleName() + ": " + sentence);
        assertFalse(
                sentence.matches("(?s).*(\\bnull\\b|abbex\\.|java\\.|Optional|\\w+=|[a-z][A-Z]).*"),
                of.getSimpleName() + ": " + sentence);
    }

    /** Values of a type, of each kind that there is; the last of a list of findings' own records is built from theirs. */
    private static List<Object> samples(Type type, int depth) {
        if (type instanceof ParameterizedType of) {
            List<Object> inner = samples(of.getActualTypeArguments()[0], depth);
            if (of.getRawType() == Optional.class) {
                return Stream.concat(Stream.of(Optional.empty()), inner.stream().map(Optional::of))
                        .map(Object.class::cast)
                        .toList();
            }
            return List.of(List.of(inner.get(0)), List.copyOf(inner));
        }
        Class<?> raw = (Class<?>) type;
        if (raw == String.class) {
            return List.of("spring", "damper");
        }
        if (raw == int.class || raw == Integer.class) {
            return List.of(1, 2, 41);
        }
        if (raw == long.class || raw == double.class || raw == boolean.class) {
            return raw == boolean.class ? List.of(true, false) : raw == long.class ? List.of(3L) : List.of(2.5, 1.0);
        }
        if (raw == Length.class) {
            return List.of(Length.ofMm(12), Length.ofMm(-3));
        }
        if (raw == Estimate.class) {
            return List.of(new Estimate(Length.ofMm(12), Uncertainty.known(0.7)));
        }
        Object quantity = quantity(raw);
        if (quantity != null) {
            return List.of(quantity);
        }
        if (raw.isEnum()) {
            return Arrays.asList(raw.getEnumConstants());
        }
        return built(raw, depth);
    }

    private static Object quantity(Class<?> raw) {
        return raw == Angle.class
                ? Angle.ofDegrees(1.5)
                : raw == Pressure.class
                        ? Pressure.ofPsi(32)
                        : raw == Force.class
                                ? new Force(4000)
                                : raw == Rate.class
                                        ? new Rate(30)
                                        : raw == Frequency.class
                                                ? new Frequency(1.4)
                                                : raw == Torque.class
                                                        ? new Torque(95)
                                                        : raw == Distance.class
                                                                ? new Distance(900)
                                                                : raw == Graduation.class
                                                                        ? Graduation.SIXTEENTH_INCH
                                                                        : null;
    }

    private static List<Object> built(Class<?> raw, int depth) {
        if (raw == Place.class) {
            return List.of(Corner.LF, End.REAR, Whole.VEHICLE, MeasuringPoint.of(Corner.RR, Method.HF));
        }
        if (raw == Way.class || raw == PointMethod.class) {
            return raw == Way.class ? List.of(Method.GF, PointMethod.SEAT) : List.of(PointMethod.SEAT);
        }
        if (raw == MeasuringPoint.class) {
            return List.of(MeasuringPoint.of(Corner.LF, Method.HF), MeasuringPoint.of(Seat.SEAT, PointMethod.SEAT));
        }
        if (raw.isInterface()) {
            return raw.getPermittedSubclasses() == null
                    ? List.of(Corner.LF, End.FRONT)
                    : Stream.of(raw.getPermittedSubclasses())
                            .flatMap(one -> samples(one, depth + 1).stream())
                            .toList();
        }
        assertTrue(raw.isRecord() && depth < 6, raw + " has no samples");
        List<Object> all = new ArrayList<>();
        for (int n = 0; n < 4; n++) {
            all.add(record(raw, n, depth + 1));
        }
        return all;
    }

    /** A record of the n-th sample of each component. */
    private static Object record(Class<?> type, int n, int depth) {
        RecordComponent[] components = type.getRecordComponents();
        Object[] values = new Object[components.length];
        Class<?>[] types = new Class<?>[components.length];
        for (int i = 0; i < components.length; i++) {
            List<Object> samples = samples(components[i].getGenericType(), depth);
            values[i] = samples.get(n % samples.size());
            types[i] = components[i].getType();
        }
        try {
            Constructor<?> constructor = type.getDeclaredConstructor(types);
            constructor.setAccessible(true);
            return constructor.newInstance(values);
        } catch (InvocationTargetException refused) {
            // A range whose least is above its most is none: the other way round.
            Object first = values[0];
            values[0] = values[values.length - 1];
            values[values.length - 1] = first;
            try {
                return type.getDeclaredConstructor(types).newInstance(values);
            } catch (ReflectiveOperationException e) {
                throw new IllegalStateException(type + " " + Arrays.toString(values), e);
            }
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(type + " " + Arrays.toString(values), e);
        }
    }

    @Test
    void every_finding_is_said_without_a_placeholder_or_a_programs_text() {
        int said = 0;
        for (Class<? extends Finding> family : FAMILIES) {
            for (Class<?> type : family.getPermittedSubclasses()) {
                for (int n = 0; n < 12; n++) {
                    Finding finding = (Finding) record(type, n, 0);
                    for (Reader reader : List.of(INCHES, INCHES.other())) {
                        Words.Said one = words.finding(finding, reader);
                        good(type, one.title());
                        good(type, one.text());
                        words.customer(finding, reader).ifPresent(text -> good(type, text));
                        said++;
                    }
                }
            }
        }
        assertTrue(said > 3000, said + " said");
    }

    /** A value that has no words is refused, so that a program's text is never read by a customer. */
    @Test
    void a_value_without_words_is_refused() {
        record Bare(int count) {}
        assertThrows(IllegalArgumentException.class, () -> words.word(new Bare(41), INCHES));
        assertEquals("41 steps", words.word(new CardFinding.Steps(41), INCHES));
    }
}
