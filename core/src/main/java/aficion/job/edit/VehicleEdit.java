package aficion.job.edit;

import aficion.job.Design;
import aficion.job.HouseRules;
import aficion.job.Vehicle;

/** A change of the vehicle or of the rules it is built by. */
public sealed interface VehicleEdit extends Edit {

    /** Says otherwise what vehicle it is; its parts stay what they are. */
    record SetVehicle(Vehicle vehicle) implements VehicleEdit {
        @Override
        public Design apply(Design design) {
            return design.withVehicle(vehicle);
        }
    }

    /** Works by other house rules. */
    record SetRules(HouseRules rules) implements VehicleEdit {
        @Override
        public Design apply(Design design) {
            return design.withRules(rules);
        }
    }
}
