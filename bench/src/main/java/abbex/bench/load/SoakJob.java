package abbex.bench.load;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One vehicle's stay with an act of every kind, each sent under an id of its own until it is answered, as a page does. What
 * must stand in the database in the end is known beforehand: {@link #STANDS}.
 */
final class SoakJob {
    /** What is counted a vehicle, by whom it is asked, and how often it must be there. {@code v}, {@code j}: vehicle, stay. */
    static final List<String[]> STANDS = List.of(
            stands("stays", "1", "1"),
            stands(
                    "readings and what undid one",
                    "(select count(*) from reading r join sheet s on s.id = r.sheet_id where s.job_id = j.id)",
                    "10"),
            stands("sheets", "(select count(*) from sheet s where s.job_id = j.id)", "2"),
            stands(
                    "loads said, the last",
                    "(select concat(count(*), ' ', max(if(e.id = (select max(id) from state_entry x where x.sheet_id = e.sheet_id and x.item = 'LOAD'), e.raw, ''))) from state_entry e join sheet s on s.id = e.sheet_id where s.job_id = j.id and e.item = 'LOAD')",
                    "2 full"),
            stands("gaps", "(select count(*) from probe p where p.vehicle_id = v.id)", "2"),
            stands("wheel sets", "(select count(*) from wheel_set p where p.vehicle_id = v.id)", "2"),
            stands("drives", "(select count(*) from road_test p where p.vehicle_id = v.id)", "2"),
            stands(
                    "marks",
                    "(select count(*) from road_mark m join road_test p on p.id = m.road_test_id where p.vehicle_id = v.id)",
                    "2"),
            stands("low points", "(select count(*) from low_point p where p.vehicle_id = v.id)", "2"),
            stands("driveways", "(select count(*) from own_ground p where p.vehicle_id = v.id)", "1"),
            stands("deleted", "(select count(*) from withdrawal p where p.vehicle_id = v.id)", "6"),
            stands("kits", "(select count(*) from kit k where k.job_id = j.id)", "2"),
            stands("sweep ranges", "(select count(*) > 0 from sweep_plan p where p.vehicle_id = v.id)", "1"),
            stands("cards", "(select count(*) from card c where c.job_id = j.id)", "1"),
            stands("ticks", "(select count(*) from card_entry c where c.job_id = j.id and c.what = 'TICKED')", "1"),
            stands("hand-overs", "(select count(*) from handed_over h where h.job_id = j.id)", "2"),
            stands(
                    "printed",
                    "(select count(*) from sheet_printed s join handed_over h on h.id = s.handed_over_id where h.job_id = j.id)",
                    "1"),
            stands("the wish, and a customer blanked", "concat(j.wish, '|', j.customer)", "lower|"),
            stands("where it stands, after so many moves", "concat(j.place, ' ', j.bay, ' ', j.moved)", "BAY Soak 2 5"),
            stands(
                    "moves on record",
                    "(select count(*) from audit a where a.what = 'MOVED' and a.detail like concat(v.plate, ':%'))",
                    "2"));

    private static final String[] CORNERS = {"LF", "RF", "RR", "LR"};

    private final Visit visit;
    private final String plate;
    private final AtomicInteger done;
    private final AtomicInteger repeated;
    private final String job = UUID.randomUUID().toString();
    private final String at = "/jobs/" + job;

    SoakJob(Visit visit, String plate, AtomicInteger done, AtomicInteger repeated) {
        this.visit = visit;
        this.plate = plate;
        this.done = done;
        this.repeated = repeated;
    }

    private static String[] stands(String... what) {
        return what;
    }

    /** Does all of it; every act is answered when it returns. */
    void run() throws InterruptedException {
        act(
                "/arrive",
                "job",
                job,
                "plate",
                plate,
                "name",
                "Soaked hatch",
                "kind",
                "CAR",
                "shape",
                "HATCH",
                "WHEELBASE",
                "2640 mm");
        String sheet = Visit.location(got(at + "/measure"));
        act(
                at + "/arrive",
                "plate",
                plate,
                "name",
                "Soaked hatch",
                "kind",
                "CAR",
                "shape",
                "HATCH",
                "WHEELBASE",
                "2640 mm",
                "wish",
                "lower",
                "customer",
                "Some Body");
        act(at + "/move", "place", "BAY", "bay", "Soak 1");
        act(sheet + "/state", "LOAD", "empty", "FUEL", "half");
        act(sheet + "/state", "LOAD", "full", "FUEL", "half");
        readings(sheet, 370);
        act(sheet + "/undo", "corner", "LF", "method", "HF");
        reading(sheet, "LF", 371);
        act(
                at + "/fitment/sets",
                "name",
                "first",
                "use",
                "NOW",
                "TYRE_FRONT",
                "225/45R17",
                "WHEEL_FRONT",
                "17x7.5 ET45");
        act(
                at + "/fitment/sets",
                "name",
                "second",
                "use",
                "NOW",
                "TYRE_FRONT",
                "205/50R17",
                "WHEEL_FRONT",
                "17x7 ET45");
        act(found(at + "/fitment", "/fitment/sets/[0-9a-f-]{36}/withdraw"));
        act(at + "/prove/probes", "corner", "LF", "clock", "12", "face", "TREAD", "place", "INNER_ARCH", "gap", "3/4");
        act(at + "/prove/probes", "corner", "LF", "clock", "11", "face", "TREAD", "place", "INNER_ARCH", "gap", "5/8");
        act(found(at + "/prove?corner=LF", "/prove/probes/[0-9a-f-]{36}/withdraw"), "corner", "LF");
        act(at + "/prove/range", "corner", "LF", "lower", "40 mm");
        String[] drive = {"note", "soaked", "bumpLF", "20 mm", "bumpRF", "20 mm", "bumpRR", "15 mm", "bumpLR", "15 mm"};
        act(at + "/prove/road", drive);
        act(found(at + "/prove/road", "/prove/road/[0-9a-f-]{36}/withdraw"));
        act(at + "/prove/road", drive);
        for (int clock = 11; clock <= 12; clock++) {
            act(
                    at + "/prove/road/marks",
                    "corner",
                    "LF",
                    "clock",
                    "" + clock,
                    "face",
                    "TREAD",
                    "place",
                    "INNER_ARCH",
                    "on",
                    "CLAY");
        }
        act(found(at + "/prove/road", "/prove/road/marks/[0-9a-f-]{36}/withdraw"));
        act(
                at + "/ground/points",
                "kind",
                "UNDERSIDE",
                "name",
                "one",
                "away",
                "31",
                "from",
                "AHEAD",
                "height",
                "4 7/8");
        act(at + "/ground/points", "kind", "UNDERSIDE", "name", "two", "away", "20", "from", "AHEAD", "height", "5");
        act(found(at + "/ground", "/ground/[0-9a-f-]{36}/withdraw"));
        act(at + "/ground/own", "called", "ramp", "points", "0, 0\n100, 0\n140, 12");
        act(at + "/plan", "NAME", "Soaked kit", "FRONT_BOX", "1", "REAR_BOX", "3/4");
        act(at + "/plan", "NAME", "Soaked kit", "FRONT_BOX", "1 1/4", "REAR_BOX", "3/4");
        act(at + "/plan/kits", "another", "Another");
        act(at + "/fit", "lift", "yes");
        act(
                at + "/fit/chock@vehicle",
                "what",
                "TICKED",
                "client",
                UUID.randomUUID().toString());
        act(at + "/set-down", "stage", "FIRST_SET_DOWN");
        String after = Visit.location(got(at + "/measure"));
        readings(after, 340);
        handOver();
        act(at + "/hand-over/undo", "version", "1");
        handOver();
        act(at + "/sheet/printed", "version", "2");
        act(at + "/move", "place", "BAY", "bay", "Soak 2");
        act(at + "/blank-customer");
    }

    private void readings(String sheet, int mm) throws InterruptedException {
        for (int i = 0; i < CORNERS.length; i++) {
            reading(sheet, CORNERS[i], mm + i);
        }
    }

    private void reading(String sheet, String corner, int mm) throws InterruptedException {
        act(
                sheet + "/readings",
                "corner",
                corner,
                "method",
                "HF",
                "raw",
                mm + " mm",
                "client",
                UUID.randomUUID().toString());
    }

    /** With what is found answered for, as far as anything is. */
    private void handOver() throws InterruptedException {
        List<String> answers = new ArrayList<>();
        Pattern.compile("name=\"(answer-[^\"_]+)\"")
                .matcher(got(at + "/hand-over").body())
                .results()
                .map(m -> m.group(1))
                .distinct()
                .forEach(name -> answers.addAll(List.of(name, "FIXED")));
        act(at + "/hand-over", answers.toArray(String[]::new));
    }

    private String found(String page, String address) throws InterruptedException {
        Matcher found =
                Pattern.compile("/jobs/" + job + address).matcher(got(page).body());
        if (!found.find()) {
            throw new IllegalStateException(page + " leads to no " + address);
        }
        return found.group();
    }

    private HttpResponse<String> got(String page) throws InterruptedException {
        while (true) {
            try {
                HttpResponse<String> answer = visit.get(page);
                if (answer.statusCode() < 400) {
                    return answer;
                }
                if (answer.statusCode() < 500) {
                    throw new IllegalStateException(page + " answered " + answer.statusCode());
                }
            } catch (IOException away) {
                // Asked again.
            }
            Thread.sleep(200);
        }
    }

    private void act(String path, String... fields) throws InterruptedException {
        List<String> all = new ArrayList<>(List.of(fields));
        all.addAll(List.of("_sent", UUID.randomUUID().toString()));
        sent(visit, path, all.toArray(String[]::new), repeated);
        done.incrementAndGet();
    }

    /** Sends it until there is an answer; one that refuses what is right is a fault. */
    static void sent(Visit visit, String path, String[] fields, AtomicInteger repeated) throws InterruptedException {
        while (true) {
            try {
                HttpResponse<String> answer = visit.post(path, fields);
                if (answer.statusCode() < 400 && !Visit.location(answer).contains("/sign-in")) {
                    return;
                }
                if (answer.statusCode() < 500) {
                    throw new IllegalStateException(
                            path + " answered " + answer.statusCode() + " " + Visit.location(answer));
                }
            } catch (IOException away) {
                // The connection ended without an answer: nobody knows whether it is stored, so it is sent again.
            }
            repeated.incrementAndGet();
            Thread.sleep(200);
        }
    }
}
