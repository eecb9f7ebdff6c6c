package abbex.app.fitment;

import abbex.app.arrive.Job;
import abbex.core.vehicle.End;
import abbex.core.wheels.Fitment;

/** Whoever plans other wheels than a set of the vehicle has, such as a spacer against a part that touches. */
public interface PlannedWheels {
    /** What is to stand at an end once all of it is done; the same wheels where nothing of them is changed. */
    Fitment after(Job job, End end, Fitment wheels);
}
