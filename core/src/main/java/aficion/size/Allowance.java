package aficion.size;

import aficion.job.Design;
import aficion.job.Wire;

/**
 * The volts a way out and back may lose: in its wires alone, and with its joints.
 *
 * @param wires volts
 * @param total volts, joints among them
 */
record Allowance(double wires, double total) {
    /** What is measured in all on a working circuit, volts of 12 (docs/SOURCES.md). */
    private static final double IN_ALL = 0.5;

    /** What a starter's cable may lose while it cranks, volts of 12 (docs/SOURCES.md). */
    private static final double CRANKING = 0.5;

    static Allowance of(Design design, Wire wire, FlowPath path) {
        double system = design.vehicle().system().value();
        if (path.cranks()) {
            double cranking = CRANKING / 12 * system;
            return new Allowance(cranking, cranking);
        }
        double house = design.rules().drop(design.circuit(wire.circuit()).drops()).value() * system;
        double total = Math.max(house, IN_ALL / 12 * system);
        double left = Math.max(total / 2, total - path.joints().value());
        return new Allowance(Math.min(house, left), total);
    }

    /** Whether the wires of a way, and all of it, lose no more. */
    boolean kept(FlowPath path) {
        double lost = path.lost().value();
        return lost <= wires && lost + path.joints().value() <= total;
    }
}
