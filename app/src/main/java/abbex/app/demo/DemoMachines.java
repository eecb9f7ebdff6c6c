package abbex.app.demo;

import static abbex.app.arrive.VehicleFacts.Shape.MOTORCYCLE;
import static abbex.app.arrive.VehicleFacts.Shape.PICKUP;
import static abbex.app.fitment.WheelSet.Use.NOW;
import static abbex.app.fitment.WheelSet.Use.PLANNED;
import static abbex.core.heights.Method.HF;
import static abbex.core.vehicle.Corner.LF;
import static abbex.core.vehicle.End.REAR;

import abbex.app.arrive.Job.Place;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.TyreBody.Face;
import abbex.core.vehicle.Architecture;
import abbex.core.vehicle.End;
import java.util.Map;

/** Trucks and motorcycles of the demo. */
final class DemoMachines {
    private DemoMachines() {}

    /** A rear as a tape finds it from the swingarm's pivot, its stand, and what touches first. */
    private static final String MEASURED_LINK = """
            FRONT_STEER_RADIUS = 298 mm; FRONT_STEER_OFFSET = 35 mm;
            REAR_AXLE_BACK = 600 mm; REAR_AXLE_UP = -60 mm; REAR_ROCKER_BACK = 60 mm; REAR_ROCKER_UP = -105 mm;
            REAR_KNEE_BACK = 135 mm; REAR_KNEE_UP = -130 mm; REAR_FAR_BACK = 190 mm; REAR_FAR_UP = -10 mm;
            REAR_FOOT_BACK = 130 mm; REAR_FOOT_UP = -65 mm; REAR_TOP_BACK = 60 mm; REAR_TOP_UP = 260 mm;
            REAR_OLD_RATE = 95 N/mm; REAR_STAND_HEIGHT = 262 mm; REAR_STAND_OUT = 118 mm;
            REAR_STAND_LENGTH = 248 mm; REAR_STAND_SPREAD = 32;
            REAR_LEFT_HIGH = 265 mm; REAR_LEFT_OUT = 300 mm; REAR_RIGHT_HIGH = 272 mm; REAR_RIGHT_OUT = 305 mm""";

    static DemoJob motorcycle() {
        DemoJob job = new DemoJob("MQ 381", "Touring motorcycle, 2018", MOTORCYCLE)
                .wheelbase("1540 mm", "", "640 mm", "130/80B17 65H")
                .kit("fork springs and shorter shocks", "1", "1 1/2")
                .says("Ansa Rook", "both feet flat on the ground", "22,480 mi")
                .wheels(NOW, "as built", "130/80B17 65H", "3.5Jx17 ET0", "", "160/70B17 73V", "4.5Jx17 ET0")
                .wheels(PLANNED, "wider rear", "130/80B17 65H", "3.5Jx17 ET0", "", "180/65B17 81H", "5Jx17 ET0")
                .probed(End.REAR, ProbePlace.INNER_ARCH, 12, Face.TREAD, "3 1/8")
                .probed(End.REAR, ProbePlace.SWINGARM, 9, Face.TREAD, "1 1/4")
                .probed(End.REAR, ProbePlace.SWINGARM, 9, Face.INNER_SIDEWALL, "7/8")
                .further(REAR, 12)
                .stands(Place.BAY, "Bay 4", "jorun", 0)
                .at("AX", "front 21 3/8", "rear 16 1/4")
                .at("FT", "front 3/8")
                .at("SEAT", "seat 31 1/8")
                .at("FREE", "front 22 3/4", "rear 16 15/16")
                .at("RIDER", "front 20 1/8", "rear 15 1/16")
                .nowAt("AX", "front 20 1/2", "rear 14 13/16")
                .nowAt("FT", "front 7/8")
                .nowAt("SEAT", "seat 29 7/8");
        job.seat = "1 1/2";
        job.headAngle = "27.5";
        job.stateBefore.putAll(Map.of(
                "PRESSURE_front",
                "36",
                "PRESSURE_rear",
                "40",
                "STAND_LEAN",
                "12.5",
                "LOAD",
                "empty",
                "WHEEL_SET",
                "as built",
                "PRELOAD",
                "rear 3rd notch"));
        job.stateAfter.putAll(Map.of(
                "PRESSURE_front",
                "36",
                "PRESSURE_rear",
                "40",
                "STAND_LEAN",
                "7.5",
                "LOAD",
                "empty",
                "WHEEL_SET",
                "as built",
                "PRELOAD",
                "rear 3rd notch"));
        return job;
    }

    static DemoJob twinTruck() {
        DemoJob job = new DemoJob("VB 2-094", "Crew cab, 2020, two wheels a side behind", PICKUP)
                .wheelbase("4390 mm", "", "32 in", "235/80R17 120R")
                .kit("shackles and hangers", "0", "2")
                .says("Hale Dorn", "level under the trailer", "54,900 mi")
                .wheels(NOW, "as delivered", "235/80R17 120R", "6.5Jx17 ET135", "", "", "")
                .wheels(PLANNED, "wide fronts", "285/70R17 121R", "8Jx17 ET106", "", "235/80R17 120R", "6.5Jx17 ET135")
                .probed(LF, ProbePlace.LINER_REAR, 2.5, Face.INNER_SHOULDER, "1 1/8")
                .probed(LF, ProbePlace.INNER_ARCH, 12, Face.TREAD, "5 1/8")
                .probed(LF, ProbePlace.CONTROL_ARM, 6, Face.INNER_SIDEWALL, "2 7/8")
                .probed(LF, ProbePlace.FENDER_LIP, 12, Face.OUTER_SHOULDER, "5 1/2")
                .stands(Place.WAITING, "", "milo", 1)
                .state("65", "65", "62", "62")
                .before(HF, "20 1/4", "20 1/4", "21 1/2", "21 9/16")
                .at("CAB", "LF 22 1/2", "RF 22 1/2")
                .at("BED", "RR 55 3/4", "LR 55 11/16")
                .at("HANGF", "RR 24 1/8", "LR 24 1/16")
                .at("AXLE", "RR 6 1/4", "LR 6 3/16")
                .at("HANGR", "RR 29 3/8", "LR 29 5/16")
                .after(HF, "20 3/16", "20 3/16", "19 1/2", "19 9/16")
                .nowAt("CAB", "LF 22 1/4", "RF 22 1/4")
                .nowAt("BED", "RR 53 5/8", "LR 53 9/16")
                .nowAt("HANGF", "RR 22 1/4", "LR 22 3/16")
                .nowAt("AXLE", "RR 4 1/4", "LR 4 1/8")
                .nowAt("HANGR", "RR 27 1/8", "LR 27 1/16");
        job.archFront = Architecture.DOUBLE_WISHBONE;
        job.archRear = Architecture.SOLID_AXLE_LEAF;
        job.dualRear = true;
        job.stateBefore.putAll(Map.of("PRESSURE_RRI", "62", "PRESSURE_LRI", "62"));
        job.stateAfter.putAll(Map.of("PRESSURE_RRI", "62", "PRESSURE_LRI", "55"));
        return job;
    }

    /** Four inches by an axle flip, with bags that may not go empty. */
    static DemoJob flippedTruck() {
        DemoJob job = new DemoJob("TR 6-815", "Pickup, 2012, long bed", PICKUP)
                .wheelbase("3350 mm", "", "760 mm", "245/70R16 111T")
                .kit("axle flip, saddles, helper bags", "0", "4")
                .says("Edda Brandt", "four down behind, hauls a mower", "121,300 mi")
                .stands(Place.WAITING, "", "milo", 2)
                .state("35", "35", "35", "35")
                .before(HF, "20 1/8", "20 1/8", "22 3/8", "22 7/16")
                .at("BED", "RR 53 1/4", "LR 53 5/16")
                .at("AXLE", "RR 8 1/8", "LR 8 1/8")
                .after(HF, "20 1/8", "20 1/8", "18 3/8", "18 7/16")
                .nowAt("BED", "RR 49 1/4", "LR 49 5/16")
                .nowAt("AXLE", "RR 4 1/8", "LR 4 1/8")
                .fits("axle flip, saddles, helper bags", """
                        REAR_LEAF_FIXED = 640 mm; REAR_LEAF_SHACKLED = 720 mm;
                        REAR_OLD_SHACKLE = 110 mm; REAR_SHACKLE_LEAN = 15; REAR_SHACKLE_HANGS = yes;
                        REAR_NEW_SHACKLE = 98 mm;
                        REAR_FLIP_PACK = 33 mm; REAR_FLIP_TUBE = 70 mm; REAR_FLIP_PERCH = 4 mm; REAR_FLIP_SADDLE = 6 mm;
                        REAR_SADDLE_ANGLE = 1.5; REAR_ENGINE_SLOPE = 3; REAR_SHAFT_SLOPE = 5.5;
                        REAR_PINION_SLOPE = 3; REAR_SHAFT_LENGTH = 1420 mm;
                        REAR_BAG_AREA = 14 in2; REAR_BAG_PRESSURE = 5 psi; REAR_BED_LOAD = 600 lb; REAR_PLATE = 1450 lb
                        """);
        job.archFront = Architecture.DOUBLE_WISHBONE;
        job.archRear = Architecture.SOLID_AXLE_LEAF;
        return job;
    }

    /** Its lateral rod pulls the axle out of the middle. */
    static DemoJob sidewaysTruck() {
        DemoJob job = new DemoJob("AK 3-927", "Pickup, 2019, coils behind", PICKUP)
                .wheelbase("3570 mm", "", "800 mm", "275/60R20 115T")
                .kit("lowering springs", "2", "3")
                .says("Lorne Pask", "one wheel sticks out behind", "47,760 mi")
                .stands(Place.WAITING, "", "orla", 1)
                .state("36", "36", "36", "36")
                .before(HF, "21 1/4", "21 1/4", "22 1/2", "22 1/2")
                .after(HF, "19 3/8", "19 3/8", "19 11/16", "19 3/4")
                .fits("lowering springs", """
                        FRONT_BOX = 2 in; REAR_BOX = 3 in;
                        REAR_LATERAL = 900 mm; REAR_LATERAL_RISE = 10 mm; REAR_LATERAL_LEFT = yes
                        """);
        job.archFront = Architecture.DOUBLE_WISHBONE;
        job.archRear = Architecture.SOLID_AXLE_COIL;
        return job;
    }

    /** Longer links went in before anybody measured. */
    static DemoJob longerLinks() {
        DemoJob job = new DemoJob("MV 714", "Roadster motorcycle, 2021", MOTORCYCLE)
                .wheelbase("1460 mm", "", "630 mm", "120/70R17 58W")
                .kit("lowering links", "0", "1 1/4")
                .says("Ilse Marn", "came lowered, falls over its stand", "9,120 mi")
                .stands(Place.WAITING, "", "jorun", 1)
                .nowAt("AX", "front 20 7/8", "rear 14 1/2")
                .nowAt("SEAT", "seat 30 1/4")
                .fits("lowering links", MEASURED_LINK + """
                        ; REAR_OLD_LINK = 132 mm; REAR_NEW_LINK = 138 mm; REAR_BOX = 1 1/4 in
                        """);
        job.headAngle = "24.5";
        return job;
    }

    /** Lowered behind last month; its fork goes up now. */
    static DemoJob forkLater() {
        DemoJob job = new DemoJob("MN 208", "Roadster motorcycle, 2020", MOTORCYCLE)
                .wheelbase("1450 mm", "", "628 mm", "120/70R17 58W")
                .kit("lowering links, fork slid later", "1/2", "1 1/4")
                .says("Pelle Strand", "front to follow the rear", "14,380 mi")
                .stands(Place.WAITING, "", "jorun", 3)
                .at("AX", "front 20 15/16", "rear 16")
                .at("FT", "front 3/8")
                .at("SEAT", "seat 31 1/2")
                .nowAt("AX", "front 20 7/16", "rear 15 3/16")
                .nowAt("FT", "front 15/16")
                .nowAt("SEAT", "seat 30 13/16")
                .fits("lowering links, fork slid later", MEASURED_LINK + """
                        ; REAR_OLD_LINK = 132 mm; REAR_NEW_LINK = 137 mm;
                        FRONT_SLIDE_SHOULDER = 40 mm; FRONT_SLIDE_CLAMP = 24 mm; FRONT_SLIDE_FENDER = 31 mm
                        """);
        job.headAngle = "24.5";
        return job;
    }
}
