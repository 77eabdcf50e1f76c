package aficion.sweep;

import aficion.catalogue.Zone;
import aficion.fault.Fault;
import aficion.netlist.Branch;
import aficion.netlist.Netlist;
import aficion.solve.Network;

/**
 * A wire that lies bare against the body: what it is then between its ends, and from each to the
 * reference, in siemens.
 *
 * @param half the resistance of each half where it is chafed half way, ohms; else 0
 */
record Chafe(
        int branch, int a, int b, double between, double toEarthA, double toEarthB, double half) {
    private static final double DEAD_SHORT = Fault.DEAD_SHORT.value();

    private static final double NO_VOLTS = 0.02;

    /** How far the engine may stand from the body while it is cranked, share of the volts. */
    private static final double ENGINE_VOLTS = 0.1;

    /** None at all. */
    static final Chafe NONE = new Chafe(Branch.NONE, 0, 0, 0, 0, 0, 0);

    /** A wire of that resistance, chafed there. */
    static Chafe of(Netlist netlist, int branch, double ohms, Fault.Place place) {
        int a = netlist.a(branch);
        int b = netlist.b(branch);
        return switch (place) {
            case FIRST_END -> new Chafe(branch, a, b, 1 / ohms, 1 / DEAD_SHORT, 0, 0);
            case SECOND_END -> new Chafe(branch, a, b, 1 / ohms, 0, 1 / DEAD_SHORT, 0);
            case MIDDLE -> {
                double leg = ohms / 2 + 2 * DEAD_SHORT;
                double link = ohms + ohms * ohms / 4 / DEAD_SHORT;
                yield new Chafe(branch, a, b, 1 / link, 1 / leg, 1 / leg, ohms / 2);
            }
        };
    }

    void disturb(Network network) {
        network.disturb(branch, between, toEarthA, toEarthB);
    }

    /**
     * Whether what it touches has no volts anyway; on the engine, which is earth to what is earthed
     * there.
     *
     * @param system nominal volts of the vehicle
     */
    boolean touchesNothing(Network.Memory state, Zone zone, double system) {
        double none = zone == Zone.ON_ENGINE ? ENGINE_VOLTS * system : NO_VOLTS;
        double atA = toEarthA > 0 ? state.volts(a) : 0;
        double atB = toEarthB > 0 ? state.volts(b) : 0;
        return Math.abs(atA) < none && Math.abs(atB) < none;
    }

    /** Whether the two halves of its wire carry currents of their own. */
    boolean isHalved(Network network) {
        return half > 0 && network.disturbed(branch);
    }

    /** The current of the half that carries more. */
    double halves(Network network) {
        double atA = network.volts(a);
        double atB = network.volts(b);
        double middle = (atA + atB) / (2 + half / DEAD_SHORT);
        return Math.max(Math.abs(atA - middle), Math.abs(atB - middle)) / half;
    }
}
