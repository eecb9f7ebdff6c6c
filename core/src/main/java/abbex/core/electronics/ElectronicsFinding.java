package abbex.core.electronics;

import abbex.core.figure.Finding;
import abbex.core.figure.Place;
import abbex.core.vehicle.Whole;

/** What is still to be done about a vehicle's electronics after a drop. */
public sealed interface ElectronicsFinding extends Finding {
    /** It has one that needs its maker's procedure, and nobody saw to it. */
    record ProcedureOpen(Place place, VehicleSystem system) implements ElectronicsFinding, Look {
        public ProcedureOpen(VehicleSystem system) {
            this(Whole.VEHICLE, system);
        }

        @Override
        public String which() {
            return system.name();
        }
    }

    /** It has one that clears by itself once it is plugged in: that was not said yet. */
    record PlugOpen(Place place, VehicleSystem system) implements ElectronicsFinding, Look {
        public PlugOpen(VehicleSystem system) {
            this(Whole.VEHICLE, system);
        }

        @Override
        public String which() {
            return system.name();
        }
    }

    /** Nobody said what it has. */
    record SystemsUnsaid(Place place) implements ElectronicsFinding, Note, Open {
        public SystemsUnsaid() {
            this(Whole.VEHICLE);
        }
    }
}
