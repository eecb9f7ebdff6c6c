package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.fitment.Fitments;
import abbex.app.page.Reader;
import abbex.app.page.Words;
import abbex.core.clearance.Motion;
import abbex.core.vehicle.Corner;
import abbex.core.vehicle.End;
import abbex.core.vehicle.VehicleKind;
import abbex.core.wheels.Fitment;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What clears at a stay's corners, for other stations: every probed corner over the usual range. */
@Service
public class Proofs {
    /** The range that a corner is swept over, each by its name. */
    static final List<String> RANGE = List.of("lower", "bump", "droop", "steer", "roll");

    private final Probes probes;
    private final Fitments fitments;
    private final Words words;

    Proofs(Probes probes, Fitments fitments, Words words) {
        this.probes = probes;
        this.fitments = fitments;
        this.words = words;
    }

    /** A corner's places, worst first. */
    public record Proof(String corner, List<ProvePage.Spot> places) {}

    static double usual(String name, Corner corner) {
        Motion.Range usual = Motion.Range.usual(corner.end() == End.FRONT);
        return switch (name) {
            case "bump" -> usual.bump();
            case "droop" -> usual.droop();
            case "steer" -> Math.rint(Math.toDegrees(usual.steer()));
            case "roll" -> Math.rint(Math.toDegrees(usual.roll()));
            default -> 0;
        };
    }

    static Motion.Straight motion(Map<String, Double> range) {
        return new Motion.Straight(
                new Motion.Range(
                        range.get("droop"),
                        range.get("bump"),
                        Math.toRadians(range.get("steer")),
                        Math.toRadians(range.get("roll"))),
                0,
                Motion.Straight.USUAL_AXIS);
    }

    static List<Corner> corners(Job job) {
        return job.vehicle().kind() == VehicleKind.MOTORCYCLE ? List.of(Corner.LF, Corner.LR) : Corner.WALK;
    }

    /** Every corner where something was probed, over the usual range at today's height. */
    public List<Proof> of(Job job, Reader reader) {
        List<ProbeRow> all = probes.of(job.shop(), job.vehicle().id());
        List<Proof> proofs = new ArrayList<>();
        for (Corner corner : corners(job)) {
            List<ProbeRow> here = all.stream().filter(p -> p.corner() == corner).toList();
            Optional<Fitment> planned = fitments.planned(job, corner.end()).or(() -> fitments.now(job, corner.end()));
            if (!here.isEmpty() && planned.isPresent()) {
                Map<String, Double> range = new LinkedHashMap<>();
                RANGE.forEach(name -> range.put(name, usual(name, corner)));
                ProvePage page = ProvePage.of(here, planned.get(), 0, motion(range), reader, words);
                proofs.add(new Proof(Words.capital(words.word(corner, reader)), page.places()));
            }
        }
        return proofs;
    }

    /** Every probe, by name, as typed. */
    public Map<String, String> inputs(Job job) {
        Map<String, String> inputs = new LinkedHashMap<>();
        probes.of(job.shop(), job.vehicle().id())
                .forEach(p -> inputs.merge(
                        "probe " + p.corner() + " "
                                + words.say("probe." + p.probe().place()) + " "
                                + p.probe().clock(),
                        p.raw().replaceAll("\\s+", " ") + " "
                                + words.say("face." + p.probe().face()),
                        (a, b) -> a + " and " + b));
        return inputs;
    }
}
