package abbex.app.web;

import java.util.List;
import org.springframework.web.bind.annotation.RequestMethod;

/**
 * A form or a page with its fields: those that are typed come back as they were typed, the others are chosen or secret.
 * A weight below 1 makes what costs a password's slow hash rarer.
 */
record Ask(RequestMethod how, String path, double weight, List<String> typed, List<String> chosen) {
    static final List<Ask> ALL = List.of(
            post(
                    "/arrive",
                    1,
                    "plate name tyreFront tyreRear customer contact wish usage odometer worn changed kit WHEELBASE TRACK_FRONT"
                            + " promiseFRONT promiseToFRONT promiseREAR promiseToREAR promiseSEAT headAngle",
                    "kind shape outline archFront archRear dualRear job known another"),
            post(
                    "/jobs/{id}/arrive",
                    1,
                    "plate name tyreFront tyreRear customer contact wish usage odometer worn changed kit WHEELBASE FRAME_BASE",
                    "kind shape archFront dualRear headAngle"),
            post("/jobs/{id}/move", 1, "", "place bay holder due"),
            post("/jobs/{id}/blank-customer", 0.2, "", "gone"),
            post("/jobs/{id}/set-down", 0.2, "", "stage"),
            post(
                    "/jobs/{id}/set",
                    0.5,
                    "wantedFRONT wantedREAR pitchFRONT upFRONT downREAR sizesREAR thereREAR ratioFRONT weightLF weightRR cross",
                    "kindFRONT kindREAR partsFRONT links policy"),
            post(
                    "/jobs/{id}/return",
                    0.3,
                    "watch-TYRE-EDGES_why watch-DRIVER_why",
                    "watch-TYRE-EDGES watch-DRIVER edition"),
            post("/jobs/{id}/return/driven", 0.2, "perDay", "edition"),
            post("/jobs/{id}/left", 0.3, "threadLF clicksFRONT spares stays", "edition"),
            post(
                    "/jobs/{id}/align",
                    0.3,
                    "camberAfterLF toeBeforeLR toeAfterRR casterAfterRF toeLeastREAR toeMostREAR expectedFRONT diameter srcCAMERA",
                    "reachREAR each hasCAMERA didCAMERA edition"),
            post("/jobs/{id}/parts", 0.5, "", "line why what mark"),
            post("/jobs/{id}/parts/add", 0.5, "name pieces", ""),
            post("/jobs/{id}/parts/tools", 0.3, "", "tool what"),
            post("/jobs/{id}/parts/bench", 0.5, "wireFRONT outsideFRONT freeFRONT coilsFRONT", "end take"),
            post("/jobs/{id}/set/turned", 0.5, "", "LF RF RR LR locked done"),
            post("/jobs/{id}/set/measured", 0.5, "readLF readRF readRR readLR", "client"),
            post("/jobs/{id}/set/{move}/take-back", 0.2, "", ""),
            post("/jobs/{id}/hand-over", 0.2, "", "answer-HEIGHTS-x"),
            post("/jobs/{id}/hand-over/undo", 0.2, "", "version"),
            post("/jobs/{id}/sheet/printed", 0.2, "", "version"),
            post("/jobs/{id}/sheets/{sheetId}/readings", 2, "raw", "corner method round client"),
            post("/jobs/{id}/sheets/{sheetId}/undo", 1, "", "corner method round"),
            post(
                    "/jobs/{id}/sheets/{sheetId}/state",
                    1,
                    "LOAD FUEL WHEEL_SET BAY",
                    // Which of these a page has depends on the kind of vehicle.
                    "STAGE STAND_IN ARCHES PRESSURE_LF PRESSURE_RR PRESSURE_front PRESSURE_RRI NOSE_LIFT STAND_LEAN"),
            post(
                    "/jobs/{id}/sheets/{sheetId}/points",
                    0.3,
                    "pointName",
                    "pointWhere pointTyre pointFloor pointFor method"),
            post("/jobs/{id}/sheets/{sheetId}/points/{code}/withdraw", 0.2, "", ""),
            post(
                    "/jobs/{id}/fitment/sets",
                    1,
                    "name TYRE_FRONT WHEEL_FRONT SPACER_FRONT BORE_FRONT SPIGOT_FRONT THREAD_FRONT TURNS_FRONT TYRE_REAR",
                    "use set"),
            post("/jobs/{id}/fitment/sets/{set}/withdraw", 0.2, "", ""),
            post("/jobs/{id}/prove/probes", 1, "clock gap", "corner place face"),
            post("/jobs/{id}/prove/probes/{probe}/withdraw", 0.2, "", "corner"),
            post(
                    "/jobs/{id}/prove/range",
                    1,
                    "lower stop crush droop inner outer roll camber camber_rate steer_rate axis",
                    "corner chains"),
            post("/jobs/{id}/prove/remedies", 0.5, "", "corner doses"),
            post("/jobs/{id}/prove/remedies/{remedy}/withdraw", 0.2, "", "corner"),
            post("/jobs/{id}/prove/road", 0.7, "lean note", "bumpLF bumpRF bumpRR bumpLR locks hung"),
            post("/jobs/{id}/prove/road/{drive}/withdraw", 0.2, "", ""),
            post("/jobs/{id}/prove/road/marks", 0.5, "clock", "corner place face on"),
            post("/jobs/{id}/prove/road/marks/{mark}/withdraw", 0.2, "", ""),
            post(
                    "/jobs/{id}/plan",
                    1,
                    "NAME CONDITION PRICE FRONT_OLD_RATE FRONT_OLD_FREE FRONT_NEW_RATE FRONT_NEW_FREE FRONT_BOX FRONT_BOX_TO"
                            + " REAR_BOX REAR_PERCH FRONT_ROD FRONT_OLD_STOP FRONT_LOAD REAR_RATIO REAR_BLOCK edition",
                    ""),
            post("/jobs/{id}/plan/kits", 0.3, "another", ""),
            post("/jobs/{id}/plan/choose", 0.3, "reason kit", ""),
            post("/jobs/{id}/fit", 0.3, "", "lift wired notch"),
            post(
                    "/jobs/{id}/fit/{step}",
                    1,
                    "reason limit seen price tip",
                    "what item client fate source why angle reference"),
            post("/jobs/{id}/ground/points", 1, "name away height", "kind from"),
            post("/jobs/{id}/ground/own", 1, "called points", ""),
            post("/jobs/{id}/ground/{item}/withdraw", 0.2, "", ""),
            post("/account", 1, "zone", "unit tape theme keys"),
            post("/account/theme", 0.5, "", "theme"),
            post("/account/password", 0.1, "", "present fresh again"),
            post("/account/pin", 0.1, "", "present pin"),
            post("/account/elsewhere", 0.1, "", ""),
            post("/account/second", 0.1, "", "present code"),
            post("/account/second/codes", 0.1, "", "present code"),
            post("/account/second/off", 0.1, "", "present code"),
            post("/hands", 0.5, "", "to pin back"),
            post("/people", 0.3, "display name initials", "role"),
            post("/people/{person}/reset", 0.1, "", ""),
            post("/people/{person}/sign-out", 0.1, "", ""),
            post("/people/{person}/deactivate", 0.1, "", ""),
            post("/keys", 0.3, "name", ""),
            post("/keys/{key}/revoke", 0.2, "", ""),
            post("/rules/limits", 0.3, "SIDES_GOOD SIDES_ACCEPT TWIST_CAR RIM TREAD", ""),
            post("/rules/walk", 0.2, "", "walk"),
            post("/rules/bays", 0.3, "bays", ""),
            post("/rules/floors", 0.5, "bay since LF RF RR LR", ""),
            post("/rules/floors/take-back", 0.2, "bay", ""),
            post("/gaps/set", 0.3, "FENDER_LIP LINER_FRONT STRUT HOSE HUGGER", ""),
            get("/jobs/{id}/sheets/{sheetId}/unfold", "open method"),
            get("/gaps", "kept"),
            get("/rules", "kept"),
            get("/about", ""),
            get("/js/words.mjs", ""),
            get("/app.css", ""),
            get("/no-network", ""),
            get("/find", "q"),
            get("/jobs/{id}/move", "x"),
            get("/", "mine moving moved was bay"),
            get("/account", "must kept second"),
            get("/account/second", ""),
            get("/jobs/{id}/blank-customer", ""),
            get("/jobs/{id}/return", ""),
            get("/jobs/{id}/return.ics", ""),
            get("/jobs/{id}/left", ""),
            get("/jobs/{id}/align", ""),
            get("/returns", ""),
            get("/memory", "kit kind"),
            post("/memory/{id}/strike", 0.2, "", "kit kind"),
            post("/memory/{id}/put-back", 0.2, "", "kit kind"),
            get("/returns.ics", ""),
            get("/jobs/{id}/parts", ""),
            get("/jobs/{id}/set", "LF RR"),
            get("/jobs/{id}/set/at", "LF RF RR LR"),
            get("/people", ""),
            get("/audit", "person what text before check"),
            get("/keys", ""),
            get("/sign-in", "error"),
            get("/hands", "back"),
            get("/arrive", "plate"),
            get("/arrive/known", "plate"),
            get("/jobs/{id}/arrive", "x"),
            get("/jobs/{id}/measure", "method"),
            get("/jobs/{id}/sheets/{sheetId}", "method against"),
            get("/jobs/{id}/sheets/{sheetId}/news", "method stamp against"),
            get("/jobs/{id}/fitment", "set edit"),
            get("/jobs/{id}/prove", "corner set bump steer roll"),
            get("/jobs/{id}/prove/cut", "corner set bump steer roll"),
            get("/jobs/{id}/prove/road", "x"),
            get("/jobs/{id}/plan", "kit"),
            get("/jobs/{id}/plan/at", "kit FRONT_PERCH FRONT_BOX REAR_OLD_RATE"),
            get("/jobs/{id}/plan/kits", ""),
            get("/jobs/{id}/fit", "x"),
            get("/jobs/{id}/fit/{step}", "item arm reach turn"),
            post("/jobs/{id}/fit/round", 0.2, "", "rounds now-front now-rear"),
            post("/jobs/{id}/fit/newer", 0.2, "", ""),
            get("/rules/steps", "step kept"),
            post(
                    "/rules/steps",
                    0.5,
                    "title why minutes bolt thread tools holds writes",
                    "step edition client architecture kind span footing after before hands locks cautions"),
            post("/rules/steps/take-back", 0.2, "", "step"),
            get("/rules/steps/file", ""),
            post("/rules/steps/file", 0.2, "", "file"),
            get("/jobs/{id}/photos/{item}", ""),
            post("/jobs/{id}/fit/{step}/photo", 0.2, "", "item"),
            get("/jobs/{id}/ground", "ground along"),
            get("/jobs/{id}/ground/at", "ground along"),
            get("/jobs/{id}/ground/drawn", "points"),
            get("/proven", "q"),
            get("/jobs/{id}/hand-over", "x"),
            get("/jobs/{id}/sheet", "version unit"),
            get("/jobs/{id}/sheet.pdf", "size version"));

    private static Ask post(String path, double weight, String typed, String chosen) {
        return new Ask(RequestMethod.POST, path, weight, words(typed), words(chosen));
    }

    private static Ask get(String path, String chosen) {
        return new Ask(RequestMethod.GET, path, 0.5, List.of(), words(chosen));
    }

    private static List<String> words(String text) {
        return text.isEmpty() ? List.of() : List.of(text.split(" "));
    }
}
