package abbex.app.prove;

import abbex.app.arrive.Job;
import abbex.app.measure.RideHeights;
import abbex.app.measure.Standing;
import abbex.app.people.Audit;
import abbex.app.people.Person;
import abbex.core.clearance.ProbePlace;
import abbex.core.clearance.TyreBody;
import abbex.core.vehicle.End;
import abbex.core.vehicle.PerEnd;
import abbex.core.vehicle.WheelPlace;
import abbex.core.wheels.Fitment;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Keeps what is told of drives and of what corners are swept by. */
@Service
public class RoadTests {
    private final MountedWheels mounted;
    private final Drives drives;
    private final SweepPlans plans;
    private final CornerCases cases;
    private final RideHeights heights;

    RoadTests(MountedWheels mounted, Drives drives, SweepPlans plans, CornerCases cases, RideHeights heights) {
        this.heights = heights;
        this.mounted = mounted;
        this.drives = drives;
        this.plans = plans;
        this.cases = cases;
    }

    /** How far was driven: bump of each wheel in mm, whether to both locks, whether it hung before, lean in degrees. */
    public record Far(Map<WheelPlace, Double> bump, boolean locks, boolean hung, double lean, String note) {}

    /** Keeps a drive on the wheels that stand on the vehicle; false when nobody has said which those are. */
    public boolean drove(Person by, Job job, Far far) {
        PerEnd<Optional<Fitment>> on = PerEnd.of(end -> mounted.on(job, end));
        if (on.stream().anyMatch(Optional::isEmpty)) {
            return false;
        }
        Standing standing = heights.of(job);
        drives.add(
                by,
                job.vehicle().id(),
                new Drive(
                        job.id(),
                        far.bump(),
                        far.locks(),
                        far.hung(),
                        far.lean(),
                        far.note(),
                        on.map(Optional::orElseThrow),
                        standing.newest().orElse(null),
                        List.of(),
                        by.initials(),
                        Instant.EPOCH),
                PerEnd.of(standing::now));
        return true;
    }

    Optional<Drive> newest(Job job) {
        return drives.newest(job.shop(), job.vehicle().id());
    }

    /** Keeps a mark of the newest drive; nothing happens when there was none. */
    public void marked(
            Person by, Job job, WheelPlace corner, ProbePlace place, double clock, TyreBody.Face face, String seenOn) {
        newest(job)
                .ifPresent(drive -> drives.mark(
                        by,
                        drive.id(),
                        new Drive.Mark(
                                job.id(),
                                corner,
                                place,
                                clock,
                                face,
                                CornerPages.choice(Drive.SeenOn.values(), seenOn),
                                by.initials())));
    }

    /** The newest drive counts no more; nothing happens when it is another by now. */
    void withdraw(Person by, Job job, UUID drive) {
        newest(job)
                .filter(newest -> newest.id().equals(drive))
                .ifPresent(newest -> drives.withdraw(by, job.vehicle(), drive, Audit.What.DRIVE_DELETED));
    }

    /** A mark of the newest drive counts no more. */
    void withdrawMark(Person by, Job job, UUID mark) {
        newest(job)
                .filter(newest -> newest.marks().stream().anyMatch(m -> m.id().equals(mark)))
                .ifPresent(newest -> drives.withdraw(by, job.vehicle(), mark, Audit.What.MARK_DELETED));
    }

    /** Keeps what was measured of how far an end goes. */
    public void sweep(Person by, Job job, End end, Map<SweepField, Double> measured) {
        SweepPlan plan = cases.plan(job, end);
        Map<SweepField, Double> values = new EnumMap<>(SweepField.class);
        values.putAll(plan.values());
        values.putAll(measured);
        plans.save(by, job.vehicle().id(), end, plan.with(values, plan.chains()));
    }

    /** Plans an end to come down from as arrived by so many mm. */
    public void lower(Person by, Job job, End end, double mm) {
        sweep(by, job, end, Map.of(SweepField.LOWER, mm));
    }
}
