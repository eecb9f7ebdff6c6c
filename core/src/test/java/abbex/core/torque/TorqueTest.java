package abbex.core.torque;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.core.Checks;
import abbex.core.units.Torque;
import abbex.core.units.TorqueText;
import abbex.core.units.TorqueUnit;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Torques, threads and levers against rows of checks.csv by id and the tables of ISO 898-1; what is tight, and what opens again. */
class TorqueTest {
    private static ScrewThread thread(String text) {
        return ScrewThread.read(text).orElseThrow();
    }

    @Test
    void tor_1_and_2() {
        assertTrue(Checks.row("tor-1").expected().contains("1.3558179483"));
        assertEquals(1.3558179483, TorqueUnit.POUND_FOOT.toNewtonMetres(1), 1e-9);
        assertTrue(Checks.row("tor-2").expected().contains("122.02"));
        assertEquals(122.02, Torque.of(90, TorqueUnit.POUND_FOOT).newtonMetres(), 0.01);
        assertEquals(12, new Torque(TorqueUnit.POUND_FOOT.toNewtonMetres(1)).in(TorqueUnit.POUND_INCH), 1e-12);
    }

    @Test
    void bolt_1_to_4() {
        assertTrue(Checks.row("bolt-1").expected().contains("84.3"));
        assertEquals(84.3, thread("M12x1.75").stressArea(), 0.1);
        assertEquals(48_900, PropertyClass.C8_8.proofLoad(thread("M12x1.75")), 100);
        assertTrue(Checks.row("bolt-2").expected().contains("70.0"));
        assertEquals(70_000, PropertyClass.C10_9.proofLoad(thread("M12")), 100);
        assertTrue(Checks.row("bolt-3").expected().contains("88.24"));
        assertEquals(88.24, Lever.setting(new Torque(100), 450, 60, 0).newtonMetres(), 0.01);
        assertTrue(Checks.row("bolt-4").expected().contains("124.55"));
        assertEquals(124.55, thread("M14x1.5").stressArea(), 0.05);
        assertEquals(103_400, PropertyClass.C10_9.proofLoad(thread("M14×1.5")), 500);
    }

    /** Thread; stress area in mm²; proof loads of 8.8, 10.9 and 12.9 in N. ISO 898-1:2013, tables 5 and 7, from memory. */
    private static final List<String> ISO_898_1 = List.of(
            "M6 20.1 11600 16700 19500",
            "M7 28.9 16800 24000 28000",
            "M8 36.6 21200 30400 35500",
            "M10 58 33700 48100 56300",
            "M12 84.3 48900 70000 81800",
            "M14 115 66700 95500 112000",
            "M16 157 91000 130000 152000",
            "M18 192 115000 159000 186000",
            "M20 245 147000 203000 238000",
            "M8x1 39.2 22700 32500 38000",
            "M10x1.25 61.2 35500 50800 59400",
            "M10x1 64.5 37400 53500 62700",
            "M12x1.5 88.1 51100 73100 85500",
            "M12x1.25 92.1 53400 76400 89300",
            "M14x1.5 125 72500 104000 121000",
            "M16x1.5 167 96900 139000 162000",
            "M18x1.5 216 130000 179000 210000",
            "M20x1.5 272 163000 226000 264000");

    /** The tables are rounded to three figures. */
    @Test
    void stress_areas_and_proof_loads_of_m6_to_m20_coarse_and_fine() {
        List<PropertyClass> classes = List.of(PropertyClass.C8_8, PropertyClass.C10_9, PropertyClass.C12_9);
        for (String row : ISO_898_1) {
            String[] cells = row.split(" ");
            ScrewThread thread = thread(cells[0]);
            double area = Double.parseDouble(cells[1]);
            assertEquals(area, thread.stressArea(), area * 0.005, cells[0]);
            for (int i = 0; i < 3; i++) {
                double load = Double.parseDouble(cells[2 + i]);
                assertEquals(load, classes.get(i).proofLoad(thread), load * 0.0075, row);
            }
        }
        // ASME B1.1, from memory: 1/2-20 UNF 0.1599 in², 1/2-13 UNC 0.1419 in².
        assertEquals(0.1599, thread("1/2-20").stressArea() / 645.16, 0.0005);
        assertEquals(0.1419, thread("1/2-13").stressArea() / 645.16, 0.0005);
        for (String no : List.of("", "M", "M12x9", "M12x0", "12", "M13", "1/0-20", "hex")) {
            assertEquals(Optional.empty(), ScrewThread.read(no), no);
        }
    }

    @Test
    void a_torque_has_a_unit() {
        assertInstanceOf(TorqueText.Parsed.NoUnit.class, TorqueText.parse("90"));
        assertInstanceOf(TorqueText.Parsed.Unreadable.class, TorqueText.parse("90 bananas"));
        assertInstanceOf(TorqueText.Parsed.Unreadable.class, TorqueText.parse("90-80 N·m"));
        assertInstanceOf(TorqueText.Parsed.Unreadable.class, TorqueText.parse("0 Nm"));
        for (String text : List.of("90 Nm", "90 N·m", "90 N.m", "90 n-m")) {
            assertEquals(90, least(text), 1e-12, text);
        }
        for (String text : List.of("90 lb-ft", "90 ft-lbs", "90 lbf·ft", "90 lb ft", "90ft lb", "90.0 lb.ft")) {
            assertEquals(122.0236, least(text), 1e-3, text);
        }
        TorqueText.Parsed.Taken range = (TorqueText.Parsed.Taken) TorqueText.parse("80 to 90 N·m");
        assertEquals(80, range.least().newtonMetres(), 1e-12);
        assertEquals(90, range.most().newtonMetres(), 1e-12);
    }

    private static double least(String text) {
        return ((TorqueText.Parsed.Taken) TorqueText.parse(text)).least().newtonMetres();
    }

    /** 900 lbf·ft on an M8 is past any bolt's proof; 25 N·m on it is what 8.8 takes (common practice). */
    @Test
    void what_a_thread_cannot_bear_is_out_of_its_range() {
        Plausible.Range eight = Plausible.range(thread("M8"), Optional.empty());
        assertFalse(eight.holds(Torque.of(900, TorqueUnit.POUND_FOOT)));
        assertTrue(eight.holds(new Torque(25)));
        assertFalse(eight.holds(new Torque(1)));
        Plausible.Range twelve = Plausible.range(thread("M12"), Optional.of(PropertyClass.C8_8));
        // T = 0.2 · 12 mm · 0.75 · 48.9 kN, by hand.
        assertEquals(88, twelve.usual().newtonMetres(), 0.1);
        assertEquals(Optional.of(PropertyClass.C10_9), PropertyClass.read(" 10.9 "));
    }

    @Test
    void a_crow_foot_is_shorter_than_its_wrench() {
        assertEquals(100, Lever.setting(new Torque(100), 450, 60, 90).newtonMetres(), 1e-9);
        assertTrue(Lever.setting(new Torque(100), 450, 60, 180).newtonMetres() > 100);
        Torque wanted = new Torque(100);
        assertThrows(IllegalArgumentException.class, () -> Lever.setting(wanted, 450, 450, 0));
        assertThrows(IllegalArgumentException.class, () -> Lever.setting(wanted, 0, 60, 0));
        assertThrows(IllegalArgumentException.class, () -> Lever.setting(wanted, 450, 60, 200));
    }

    private static Tightening.Event.Said said(double torque, double angle, TorqueSpec.Source source) {
        return new Tightening.Event.Said(new TorqueSpec(new Torque(torque), new Torque(torque), angle, source, ""));
    }

    private static Tightening.Event.Tightened tight(double torque) {
        return new Tightening.Event.Tightened(new Torque(torque), false);
    }

    private static final Tightening.Event.Marked MARK = new Tightening.Event.Marked();

    @Test
    void a_better_source_opens_what_was_tight() {
        var forum = said(100, 0, TorqueSpec.Source.FORUM);
        var manual = said(80, 0, TorqueSpec.Source.SERVICE_MANUAL);
        assertEquals(Tightening.State.UNKNOWN, state(tight(100), MARK));
        assertEquals(Tightening.State.OPEN, state(forum));
        assertEquals(Tightening.State.OPEN, state(forum, MARK), "paint on what nobody tightened");
        assertEquals(Tightening.State.UNMARKED, state(forum, tight(98)));
        assertEquals(Tightening.State.DONE, state(forum, tight(98), MARK));
        assertEquals(Tightening.State.REOPENED, state(forum, tight(98), MARK, manual));
        assertEquals(Tightening.State.DONE, state(forum, tight(98), MARK, manual, tight(80), MARK));
        assertEquals(Tightening.State.DONE, state(manual, tight(80), MARK, forum), "a worse source changes nothing");
        assertEquals(
                Tightening.State.DONE,
                state(forum, tight(100), MARK, said(100, 0, TorqueSpec.Source.SERVICE_MANUAL)),
                "the same figure from a better source only proves it");
        assertEquals(
                Tightening.State.REOPENED, state(tight(80), MARK, manual), "tightened before anybody said to what");
        assertEquals(Tightening.State.OFF, state(manual, tight(95)));
        assertEquals(Tightening.State.OPEN, state(manual, tight(80), MARK, new Tightening.Event.Loosened()));
        assertEquals(
                Tightening.State.UNMARKED, state(manual, tight(80), MARK, tight(81)), "tightened again: new paint");
    }

    @Test
    void an_angle_is_turned_as_well() {
        var spec = said(60, 90, TorqueSpec.Source.SERVICE_MANUAL);
        assertEquals(Tightening.State.OFF, state(spec, tight(60), MARK));
        assertEquals(Tightening.State.DONE, state(spec, new Tightening.Event.Tightened(new Torque(60), true), MARK));
    }

    private static Tightening.State state(Tightening.Event... events) {
        return Tightening.of(List.of(events)).state();
    }
}
