package abbex.core.electronics;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What a vehicle has and what was done about it.
 *
 * @param systems what was said of each; one that is missing was not spoken of
 */
public record Electronics(Map<VehicleSystem, Said> systems) {
    /**
     * What was said of one.
     *
     * @param source by which it was seen to, or by which it needs nothing
     */
    public record Said(VehicleSystem.Has has, VehicleSystem.Did did, String source) {}

    /** Of a vehicle that was lowered. */
    public List<ElectronicsFinding> findings() {
        List<ElectronicsFinding> found = new ArrayList<>();
        for (VehicleSystem system : VehicleSystem.values()) {
            Said said = systems.get(system);
            if (said != null && said.has() == VehicleSystem.Has.YES && said.did() == VehicleSystem.Did.OPEN) {
                found.add(
                        system.need() == VehicleSystem.Need.CLEARS
                                ? new ElectronicsFinding.PlugOpen(system)
                                : new ElectronicsFinding.ProcedureOpen(system));
            }
        }
        if (systems.values().stream().allMatch(said -> said.has() == VehicleSystem.Has.UNSAID)) {
            found.add(new ElectronicsFinding.SystemsUnsaid());
        }
        return found;
    }
}
