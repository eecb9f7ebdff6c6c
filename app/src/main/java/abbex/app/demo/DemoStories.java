package abbex.app.demo;

import static abbex.app.arrive.VehicleFacts.Shape.COUPE;
import static abbex.app.arrive.VehicleFacts.Shape.HATCH;
import static abbex.app.arrive.VehicleFacts.Shape.PICKUP;
import static abbex.app.fitment.WheelSet.Use.NEW;
import static abbex.app.fitment.WheelSet.Use.NOW;
import static abbex.app.fitment.WheelSet.Use.PLANNED;
import static abbex.core.heights.Method.FG;
import static abbex.core.heights.Method.GF;
import static abbex.core.heights.Method.HF;
import static abbex.core.heights.Method.RIM;
import static abbex.core.heights.Method.TG;
import static abbex.core.vehicle.Corner.LF;
import static abbex.core.vehicle.Corner.RF;
import static abbex.core.vehicle.Corner.RR;
import static abbex.core.vehicle.End.FRONT;

import abbex.app.arrive.Job.Place;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.TyreBody.Face;
import abbex.core.vehicle.Architecture;
import java.util.List;

/** Twelve invented stays, each with a story that shows a finding. Nobody and nothing here exists. */
final class DemoStories {
    private DemoStories() {}

    static List<DemoJob> all() {
        return List.of(
                halfSetDown(),
                misread(),
                arriving(),
                lowTyre(),
                lessThanPromised(),
                crookedBefore(),
                untouched(),
                finished(),
                overdue(),
                DemoMachines.motorcycle(),
                DemoMachines.twinTruck(),
                DemoMachines.flippedTruck(),
                DemoMachines.sidewaysTruck(),
                DemoMachines.longerLinks(),
                DemoMachines.forkLater(),
                done());
    }

    private static DemoJob halfSetDown() {
        return new DemoJob("KT 4-207", "Compact hatch, 2019", HATCH)
                .wheelbase("2640 mm", "61 1/2", "634 mm", "225/45R17 91W")
                .kit("lowering springs", "30 mm", "20 mm")
                .says("Wenna Ost", "a little lower, no rubbing, daily", "61,204 mi")
                .wheels(NOW, "as it came, 17 in", "225/45R17 91W", "7.5Jx17 ET49", "", "", "")
                .wheels(
                        PLANNED,
                        "summer, 18 in",
                        "225/40R18 92Y",
                        "8Jx18 ET45",
                        "5 mm",
                        "245/35R18 92Y",
                        "8.5Jx18 ET40")
                .probed(RF, ProbePlace.FENDER_LIP, 12, Face.OUTER_SHOULDER, "4 1/2")
                .probed(RF, ProbePlace.LINER_FRONT, 2.5, Face.TREAD, "1 7/8")
                .probed(RF, ProbePlace.STRUT, 12, Face.INNER_SIDEWALL, "5/8")
                .probed(RF, ProbePlace.INNER_ARCH, 11, Face.INNER_SHOULDER, "5 1/8")
                .probed(LF, ProbePlace.FENDER_LIP, 12, Face.OUTER_SHOULDER, "3 3/8")
                .probed(LF, ProbePlace.FENDER_LIP, 9.5, Face.TREAD, "3 3/4")
                .probed(LF, ProbePlace.LINER_FRONT, 9.5, Face.TREAD, "2 1/8")
                .probed(LF, ProbePlace.LINER_REAR, 2.5, Face.TREAD, "2 3/8")
                .probed(LF, ProbePlace.STRUT, 12, Face.INNER_SIDEWALL, "11/16")
                .probed(LF, ProbePlace.INNER_ARCH, 11.5, Face.INNER_SHOULDER, "5")
                .probed(RR, ProbePlace.FENDER_LIP, 12, Face.OUTER_SHOULDER, "4 1/2")
                .goes(FRONT, 45, 38, 32)
                .further(FRONT, 30)
                .low("UNDERSIDE", "front lip", "33 1/2", "6 1/2")
                .low("UNDERSIDE", "pan", "-19", "5 1/4")
                .low("UNDERSIDE", "sill", "-52", "5 3/4")
                .low("UNDERSIDE", "silencer", "-118", "6 3/4")
                .low("UNDERSIDE", "rear valance", "-134", "9 1/2")
                .low("DIPPED_BEAM", "dipped beam, lower edge", "27", "22 1/8")
                .low("BUMPER", "bumper’s face, middle", "35", "18 1/4")
                .passes("home driveway", 0, 0, 400, -40, 620, 10, 4600, 560, 7000, 600)
                .stands(Place.BAY, "Bay 2", "orla", 0)
                .state("33", "33", "33", "33")
                .before(GF, "27 1/4", "27 3/16", "27 9/16", "27 5/8")
                .before(HF, "15 1/4", "15 3/16", "15 9/16", "15 5/8")
                .before(FG, "7", "7 1/16", "7 3/4", "7 3/4")
                .after(HF, "14 1/16", "14 1/16", "", "");
    }

    private static DemoJob misread() {
        DemoJob job = new DemoJob("GN 2-118", "Coupe, 2021", COUPE)
                .wheelbase("2680 mm", "", "650 mm", "245/40R18 97Y")
                .kit("height-adjustable coilovers", "1 1/4", "1")
                .says("Ivo Tarn", "equal gaps, keep the rake", "18,950 mi")
                .stands(Place.BAY, "Bay 1", "jorun", 1)
                .state("36", "36", "38", "38")
                .before(GF, "26 5/8", "26 5/8", "26 7/8", "26 15/16")
                .before(HF, "14 1/4", "14 1/4", "14 1/2", "14 9/16")
                .before(RIM, "23 1/2", "23 1/2", "23 3/4", "23 13/16")
                .before(FG, "6 1/4", "6 1/4", "6 7/8", "6 7/8")
                .after(GF, "25 3/8", "25 3/8", "25 7/8", "25 15/16")
                .after(HF, "13", "13 1/2", "13 1/2", "13 9/16")
                .after(RIM, "22 1/4", "22 1/4", "22 3/4", "22 13/16")
                .after(FG, "5 1/8", "5 1/8", "5 13/16", "5 13/16")
                .set("""
                        kindFRONT = THREAD; pitchFRONT = 2 mm; partsFRONT = 4; upFRONT = 6; downFRONT = 8;
                        ratioFRONT = 0.95; wantedFRONT = 13 1/4 in; kindREAR = STACK; sizesREAR = 3x3 mm, 2x5 mm;
                        thereREAR = 5 mm; ratioREAR = 0.9; wantedREAR = 13 1/2 in; links = apart
                        """)
                .fits("height-adjustable coilovers", """
                        CONDITION = with its own dampers; PRICE = 1,240; DAYS = here;
                        HOURS = 5; FRONT_OLD_RATE = 50 N/mm; FRONT_OLD_FREE = 300 mm;
                        FRONT_NEW_RATE = 80 N/mm; FRONT_NEW_FREE = 238 mm; FRONT_NEW_GAS = 45 lb;
                        FRONT_OLD_LONG = 470 mm; FRONT_OLD_SHORT = 320 mm; FRONT_ROD = 88 mm;
                        FRONT_OLD_STOP = 45 mm; FRONT_OLD_RINGS = 3; FRONT_NEW_LONG = 445 mm;
                        FRONT_NEW_SHORT = 305 mm; FRONT_NEW_STOP = 30 mm; FRONT_NEW_RINGS = 2;
                        FRONT_PERCH_LEAST = -12 mm; FRONT_PERCH_MOST = 15 mm; FRONT_PERCH = 0 mm;
                        FRONT_COILOVER = yes; FRONT_PERCH_SEAT = 7 in; FRONT_PERCH_SEAT_LEAST = 6 3/8 in;
                        FRONT_PERCH_SEAT_MOST = 7 1/2 in; FRONT_PRELOAD = 3 mm; FRONT_CLICKS = 12;
                        REAR_OLD_RATE = 40 N/mm; REAR_OLD_FREE = 300 mm; REAR_NEW_RATE = 60 N/mm;
                        REAR_NEW_FREE = 246 mm; REAR_NEW_GAS = 45 lb; REAR_PERCH_LEAST = -10 mm;
                        REAR_PERCH_MOST = 15 mm; REAR_PERCH = 0 mm;
                        REAR_SIZES = 3x3 mm, 2x5 mm; WISH = KEEP_RAKE
                        """)
                .fits("lowering springs", """
                        CONDITION = dampers kept; PRICE = 310; DAYS = Thursday;
                        HOURS = 3; ALSO = rings trimmed; FRONT_BOX = 25 mm;
                        REAR_BOX = 20 mm; FRONT_NEW_RATE = 65 N/mm; FRONT_NEW_FREE = 259 mm;
                        REAR_NEW_RATE = 50 N/mm; REAR_NEW_FREE = 266 mm
                        """);
        job.archFront = Architecture.DOUBLE_WISHBONE;
        return job;
    }

    private static DemoJob arriving() {
        DemoJob job = new DemoJob("PX 7-340", "Pickup, 2016, short bed", PICKUP)
                .wheelbase("139 1/2", "", "31 1/8", "265/70R17 115T")
                .kit("drop kit, shackles and hangers", "3", "4")
                .says("Bram Yelk", "level, still tows a small trailer", "88,310 mi")
                .stands(Place.BAY, "Bay 3, lift", "milo", 0)
                .state("35", "35", "35", "35")
                .before(GF, "37 1/4", "37 3/8", "", "");
        job.archFront = Architecture.DOUBLE_WISHBONE;
        job.archRear = Architecture.SOLID_AXLE_LEAF;
        job.worn = "left outer tie-rod boot split; rear stop rubbers perished";
        job.changed = "rear helper bags fitted by a former owner";
        return job;
    }

    private static DemoJob lowTyre() {
        return new DemoJob("BD 5-821", "Wagon, 2014", HATCH)
                .wheelbase("2705 mm", "1620 mm", "632 mm", "205/55R16 91V")
                .kit("lowering springs", "35 mm", "35 mm")
                .says("Sunniva Pell", "lower for the look, dog in the back", "142,660 km")
                .stands(Place.WAITING, "", "milo", 2)
                .state("33", "33", "33", "33")
                .now("PRESSURE_LF", "21")
                .before(GF, "26 3/4", "26 3/4", "27", "27")
                .before(HF, "14 11/16", "14 11/16", "14 15/16", "14 15/16")
                .before(FG, "7 1/8", "7 1/8", "7 5/8", "7 5/8")
                .after(GF, "25", "25 3/8", "25 5/8", "25 5/8")
                .after(HF, "13 5/16", "13 5/16", "13 9/16", "13 9/16")
                .after(FG, "5 7/16", "5 3/4", "6 1/4", "6 1/4");
    }

    private static DemoJob lessThanPromised() {
        return new DemoJob("WU 9-016", "Sedan, 2017", COUPE)
                .wheelbase("110 1/4", "68", "26", "235/45R18 94V")
                .kit("lowering springs, second batch", "1 3/4 in", "1 3/4 in")
                .says("Odo Marsh", "as low as the box says", "74,020 mi")
                .stands(Place.WAITING, "", "jorun", 3)
                .state("34", "34", "34", "34")
                .before(HF, "14 3/4", "14 13/16", "15", "15")
                .before(RIM, "24", "24 1/16", "24 1/4", "24 1/4")
                .before(FG, "7 1/2", "7 1/2", "8 1/8", "8 1/8")
                .after(HF, "13 5/8", "13 11/16", "13 3/8", "13 3/8")
                .after(RIM, "22 7/8", "22 15/16", "22 5/8", "22 5/8")
                .after(FG, "6 3/8", "6 3/8", "6 9/16", "6 9/16")
                .driven(HF, "13 1/2", "13 9/16", "13 5/16", "13 5/16")
                .driven(RIM, "22 3/4", "22 13/16", "22 9/16", "22 9/16")
                .driven(FG, "6 1/4", "6 1/4", "6 1/2", "6 1/2")
                .drivenWith("FUEL", "half")
                .drivenWith("PRESSURE_LF", "31");
    }

    private static DemoJob crookedBefore() {
        return new DemoJob("HM 6-663", "Compact hatch, 2011", HATCH)
                .wheelbase("2511 mm", "", "622 mm", "195/55R16 87H")
                .kit("lowering springs", "30 mm", "30 mm")
                .says("Tove Linden", "straight, please; it always hung", "201,400 km")
                .stands(Place.WAITING, "", "orla", 0)
                .state("32", "32", "32", "32")
                .before(GF, "26 1/8", "26 5/8", "26 3/4", "26 9/16")
                .before(HF, "14 1/4", "14 3/4", "14 7/8", "14 11/16")
                .fits("lowering springs", """
                        FRONT_OLD_RATE = 30 N/mm; FRONT_OLD_FREE = 316 mm; FRONT_NEW_RATE = 22 N/mm;
                        FRONT_NEW_FREE = 330 mm; FRONT_ROD = 105 mm; FRONT_OLD_STOP = 55 mm;
                        FRONT_OLD_RINGS = 4
                        """)
                .carded(18);
    }

    private static DemoJob untouched() {
        return new DemoJob("OS 1-442", "Coupe, 2023", COUPE)
                .wheelbase("2570 mm", "", "638 mm", "225/40R18 92Y")
                .kit("springs with dampers", "25 mm", "20 mm")
                .says("Rune Abel", "lap time first", "6,310 km")
                .stands(Place.WAITING, "", "jorun", 0)
                .fits("springs with dampers", """
                        DAYS = Thursday;
                        FRONT_OLD_RATE = 24 N/mm; FRONT_OLD_FREE = 350 mm; FRONT_NEW_RATE = 26 N/mm;
                        FRONT_NEW_FREE = 338 mm; FRONT_NEW_GAS = 60 lb
                        """);
    }

    /** Nobody probed its liners; the drive found one of them. */
    private static DemoJob finished() {
        DemoJob job = new DemoJob("LE 3-275", "Compact hatch, 2020", HATCH)
                .wheelbase("2619 mm", "1540 mm", "634 mm", "225/45R17 94W")
                .kit("lowering springs", "25 mm", "25 mm")
                .says("Maren Sill", "less gap, same ride", "39,870 km")
                .wheels(NOW, "summer, 17 in", "225/45R17 94W", "7.5Jx17 ET46", "", "", "")
                .probed(RF, ProbePlace.FENDER_LIP, 12, Face.OUTER_SHOULDER, "4 5/8")
                .probed(RF, ProbePlace.STRUT, 12, Face.INNER_SIDEWALL, "3/4")
                .probed(LF, ProbePlace.FENDER_LIP, 12, Face.OUTER_SHOULDER, "4 1/2")
                .probed(LF, ProbePlace.STRUT, 12, Face.INNER_SIDEWALL, "3/4")
                .drove(44, 46, 52, 50, 2.5, "yard, kerb at an angle, the long bend")
                .marked(LF, ProbePlace.LINER_FRONT, 9.5, Face.OUTER_SHOULDER, "CHALK")
                .stands(Place.BAY, "Bay 1", "milo", 9)
                .state("2.3 bar", "2.3 bar", "2.2 bar", "2.2 bar")
                .before(HF, "14 7/8", "14 7/8", "15 1/16", "15 1/16")
                .before(RIM, "24 1/8", "24 1/8", "24 5/16", "24 5/16")
                .before(TG, "2 3/8", "2 3/8", "2 9/16", "2 9/16")
                .before(FG, "7 1/16", "7 1/16", "7 9/16", "7 1/2")
                .after(HF, "13 7/8", "13 15/16", "14 1/16", "14 1/16")
                .after(RIM, "23 1/8", "23 1/8", "23 5/16", "23 5/16")
                .after(TG, "1 3/8", "1 7/16", "1 9/16", "1 9/16")
                .after(FG, "6 1/16", "6 1/16", "6 9/16", "6 1/2")
                .odometers("39,880 km", "")
                .aligned("""
                        camberBeforeLF = -0.6; camberBeforeRF = -0.5; camberBeforeRR = -1.1; camberBeforeLR = -1.2;
                        camberAfterLF = -1.4; camberAfterRF = -1.3; camberAfterRR = -1.9; camberAfterLR = -2.0;
                        toeBeforeLF = 0.05; toeBeforeRF = 0.05; toeBeforeRR = 0.1; toeBeforeLR = 0.1;
                        toeAfterLF = 0.05; toeAfterRF = 0.05; toeAfterRR = 0.15; toeAfterLR = 0.35;
                        casterAfterLF = 6.8; casterAfterRF = 7; toeLeastREAR = 0.1; toeMostREAR = 0.5; each = TOTAL;
                        camberLeastREAR = -2.2; camberMostREAR = -0.8; reachREAR = ECCENTRIC
                        """)
                .back(5);
        job.frameFront = "jacking point";
        job.frameRear = "rear subframe bush";
        return job;
    }

    private static DemoJob overdue() {
        return new DemoJob("DK 8-590", "Sedan, 2015", COUPE)
                .wheelbase("2770 mm", "", "651 mm", "225/50R17 98Y")
                .kit("lowering springs, dampers kept", "40 mm", "30 mm")
                .says("Asa Brook", "stance", "118,020 km")
                .wheels(NEW, "as delivered", "225/50R17 98Y", "7.5Jx17 ET40", "", "", "")
                .wheels(NOW, "winter", "225/50R17 98H", "7.5Jx17 ET40", "", "", "")
                .wheels(PLANNED, "wide, found second-hand", "255/35R19 92W", "9.5Jx19 ET22", "12 mm", "", "")
                .stands(Place.BAY, "Bay 2", "orla", 24)
                .state("36", "36", "36", "36")
                .before(GF, "27", "27 1/16", "27 1/4", "27 1/4")
                .before(FG, "6 7/8", "6 7/8", "7 3/8", "7 3/8")
                .after(GF, "25 7/16", "25 1/2", "26 1/16", "26 1/16")
                .after(FG, "5 7/16", "5 7/16", "6 1/4", "6 1/4")
                .back(-10)
                .fits("lowering springs, dampers kept", """
                        FRONT_OLD_RATE = 22 N/mm; FRONT_OLD_FREE = 360 mm; FRONT_NEW_RATE = 34 N/mm;
                        FRONT_NEW_FREE = 266 mm; FRONT_OLD_LONG = 545 mm; FRONT_OLD_SHORT = 340 mm;
                        FRONT_LOAD = 877 lb; FRONT_RATIO = 0.95; FRONT_ROD_RATIO = 0.95;
                        FRONT_OLD_BENCH = yes; FRONT_NEW_BENCH = yes; FRONT_ROD = 112 mm;
                        FRONT_OLD_STOP = 60 mm; FRONT_OLD_RINGS = 4
                        """);
    }

    private static DemoJob done() {
        return new DemoJob("ZV 4-731", "Roadster, 2018", COUPE)
                .wheelbase("2310 mm", "1390 mm", "602 mm", "205/45R17 84W")
                .kit("height-adjustable coilovers", "20 mm to 45 mm", "20 mm to 45 mm")
                .says("Corin Vale", "low but climbs the driveway", "27,450 km")
                .wheels(NOW, "as fitted, 17 in", "205/45R17 84W", "7Jx17 ET42", "", "", "")
                .probed(LF, ProbePlace.FENDER_LIP, 12, Face.OUTER_SHOULDER, "98 mm")
                .probed(RF, ProbePlace.FENDER_LIP, 12, Face.OUTER_SHOULDER, "101 mm")
                .drove(62, 64, 60, 61, 3, "both locks, kerb, hill road")
                .low("UNDERSIDE", "front lip", "760 mm", "148 mm")
                .low("UNDERSIDE", "sill", "-1150 mm", "131 mm")
                .low("UNDERSIDE", "rear box", "-2820 mm", "152 mm")
                .low("NOSE_LIFT", "nose lift", "0 mm", "42 mm")
                .stands(Place.BAY, "Bay 3, lift", "jorun", 40)
                .state("29", "29", "29", "29")
                .before(RIM, "580 mm", "581 mm", "586 mm", "586 mm")
                .before(HF, "352 mm", "353 mm", "358 mm", "358 mm")
                .after(RIM, "548 mm", "549 mm", "556 mm", "556 mm")
                .after(HF, "320 mm", "321 mm", "328 mm", "328 mm")
                .odometers("27,470 km", "28,610 km")
                .settled(RIM, "543 mm", "545 mm", "553 mm", "552 mm")
                .settled(HF, "315 mm", "317 mm", "325 mm", "324 mm")
                .back(0);
    }
}
