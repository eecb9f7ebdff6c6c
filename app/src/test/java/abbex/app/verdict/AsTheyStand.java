package abbex.app.verdict;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import abbex.app.arrive.Job;
import abbex.app.measure.Sheets;
import abbex.app.support.Shop;
import abbex.core.clearance.ClearanceFinding;
import abbex.core.figure.Finding;
import abbex.core.figure.Severity;
import abbex.core.heights.HeightFinding;
import abbex.core.heights.MeasuringPoint;
import abbex.core.verdict.Found;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * Drawn stays of one kind of vehicle through the application itself, by two people and in an order that nobody planned: kits on
 * trial, other wheels, turns, remedies, cards half done, forms sent twice, a misread inch. After each act the stations agree;
 * a plan ends no stop; what was done on purpose is blamed for nothing.
 */
final class AsTheyStand {
    /** A quarter of those that were promised; fewer for who is at it. */
    private static final int STAYS = Integer.getInteger("abbex.stays", 500) / 4;

    /** One of them by its number, for who looks for a cause. */
    static final int ONLY = Integer.getInteger("abbex.stay", -1);

    private final String kind;
    private final long seed;
    private final DrawnStay.Hands hands = new DrawnStay.Hands();
    private final Agreement agreement = hands.agreement();
    private final JobVerdicts verdicts = Shop.bean(JobVerdicts.class);
    private int clean;
    private int accused;
    private int planted;
    private int named;

    AsTheyStand(String kind, long seed) {
        this.kind = kind;
        this.seed = seed;
    }

    void run() {
        for (int i = Math.max(0, ONLY); i < (ONLY < 0 ? STAYS : ONLY + 1); i++) {
            Random random = new Random(seed + i);
            DrawnStay stay = new DrawnStay(hands, kind, random, i % 3 != 0);
            work(stay, random, kind + " " + i);
            // Off the floor: what stands there is drawn again for everybody.
            Shop.bean(abbex.app.arrive.Jobs.class)
                    .move(
                            stay.job().shop(),
                            UUID.fromString(stay.id),
                            new Job.Where(Job.Place.GONE, ""),
                            null,
                            null,
                            Optional.empty());
        }
        System.out.printf(
                "as they stand: %d stays, %s; %d of %d clean ones accused, %d of %d planted inches named%n",
                STAYS, kind, accused, clean, named, planted);
        assertTrue(accused <= Math.max(1, clean / 20), accused + " of " + clean + " clean stays are accused");
        assertTrue(named >= 0.9 * planted, named + " of " + planted + " are named");
    }

    private void work(DrawnStay stay, Random random, String at) {
        int ways = 2 + random.nextInt(2);
        if (random.nextBoolean()) {
            stay.wheels();
        }
        stay.measure(ways);
        agreement.check(stay, at + ", measured");
        if (random.nextInt(3) == 0) {
            stay.card(3 + random.nextInt(stay.twoWheels() ? 8 : 20));
            agreement.check(stay, at + ", card begun");
        }
        stay.wheels();
        stay.probe(2 + random.nextInt(60));
        agreement.check(stay, at + ", probed");
        stay.lower();
        stay.measure(ways);
        agreement.check(stay, at + ", lowered");
        int acts = 1 + random.nextInt(4);
        for (int act = 0; act < acts; act++) {
            act(stay, random, ways, at);
        }
        if (stay.careful) {
            clean++;
            List<Finding> blames = blames(stay);
            if (!blames.isEmpty()) {
                accused++;
                System.out.printf("accused: %s, %s%n", at, blames);
            }
        } else {
            misread(stay, random, at);
        }
        leave(stay, at);
        agreement.walk(stay, at + ", walked round");
    }

    private void misread(DrawnStay stay, Random random, String at) {
        MeasuringPoint spot = stay.body.plain(random);
        stay.misread(spot);
        agreement.check(stay, at + ", misread");
        planted++;
        named += named(stay, spot) ? 1 : 0;
    }

    /** Nobody without a lead's hand takes away what has a stop, and nobody by a tap what is to be answered. */
    private void leave(DrawnStay stay, String at) {
        Job.Place before = stay.job().where().place();
        boolean asked = !verdicts.of(stay.job()).toAnswer().isEmpty();
        boolean stops = verdicts.of(stay.job()).stops();
        if (asked) {
            stay.leave();
        }
        if (stops) {
            assertEquals(before, stay.job().where().place(), at + ": a stop left");
        }
    }

    private void act(DrawnStay stay, Random random, int ways, String number) {
        Set<String> stops = stops(stay.job());
        switch (random.nextInt(7)) {
            case 0 -> {
                if (!stay.twoWheels() && stay.turn()) {
                    agreement.check(stay, number + ", turned");
                }
                stay.measure(ways);
                agreement.check(stay, number + ", measured again");
            }
            case 1 -> {
                stay.remedy();
                kept(stay, stops, number + ": a plan ended a stop");
                agreement.check(stay, number + ", remedy planned");
                if (random.nextBoolean()) {
                    stay.fit();
                    kept(stay, stops, number + ": fitted and not measured ended a stop");
                    agreement.check(stay, number + ", remedy fitted");
                }
            }
            case 2 -> {
                stay.probe(2 + random.nextInt(70));
                agreement.check(stay, number + ", probed again");
            }
            case 3 -> {
                stay.trial();
                agreement.check(stay, number + ", other springs");
                stay.measure(ways);
                agreement.check(stay, number + ", trial");
            }
            case 4 -> {
                stay.otherWheels();
                agreement.check(stay, number + ", other wheels");
                stay.measure(ways);
                agreement.check(stay, number + ", measured on other wheels");
            }
            case 5 -> {
                stay.back();
                kept(stay, stops, number + ": Back ended a stop");
                agreement.check(stay, number + ", back");
            }
            default -> {
                stay.measure(ways);
                agreement.check(stay, number + ", read again");
            }
        }
    }

    private void kept(DrawnStay stay, Set<String> stops, String at) {
        assertTrue(stops(stay.job()).containsAll(stops), at);
    }

    private Set<String> stops(Job job) {
        return verdicts.of(job).found().stream()
                .filter(f -> f.finding() instanceof ClearanceFinding.Touches)
                .map(Found::key)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** Something of the work is blamed, or a reading, in a stay where all went well. */
    private List<Finding> blames(DrawnStay stay) {
        return verdicts.of(stay.job()).found().stream()
                .map(Found::finding)
                .filter(f -> f instanceof HeightFinding
                        && f.severity() == Severity.LOOK
                        && !f.open()
                        // What was said of load, wheels and stage, and a side that hung before, is not of the work.
                        && !(f instanceof HeightFinding.StateDiffers
                                || f instanceof HeightFinding.StagesOutOfOrder
                                || f instanceof HeightFinding.LeftRightAsBefore))
                .toList();
    }

    /** The spot's corner is among what is to be read again; on two wheels two ways are said to disagree there. */
    private boolean named(DrawnStay stay, MeasuringPoint spot) {
        Job job = stay.job();
        return stay.twoWheels()
                ? verdicts.of(job).found().stream()
                        .anyMatch(f -> f.finding() instanceof HeightFinding.WaysDisagree w
                                && w.place().equals(spot.place()))
                : Shop.bean(Sheets.class).of(job.shop(), job.id()).judge(job).suspects().stream()
                        .anyMatch(s -> s.spot().corner() == spot.corner());
    }
}
