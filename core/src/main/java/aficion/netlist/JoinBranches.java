package aficion.netlist;

import aficion.job.JoinKind;
import aficion.job.Valve;
import aficion.netlist.Conditions.Aspect;

/** The branches of what joins, earths, divides or blocks. */
final class JoinBranches {
    /** One way of a connector, typical, ohms. */
    private static final double CONNECTOR_WAY = 0.002;

    private static final double STABILISER_LEAST = 0.05;

    /** What a silicon rectifier drops at its rating, volts, typical. */
    private static final double RATED_DROP = 0.95;

    /**
     * k·T/q at 300 K from the exact constants of the SI, times an ideality of 1.8 for a silicon
     * rectifier.
     */
    static final double DIODE_THERMAL = 1.8 * 1.380649e-23 * 300 / 1.602176634e-19;

    private JoinBranches() {}

    static void add(PartBuilder part, JoinKind join) {
        switch (join) {
            case JoinKind.Splice() -> {}
            case JoinKind.Connector connector ->
                    connector
                            .passes()
                            .forEach(way ->
                                    part.fixed(way.role(), way.one(), way.other(), CONNECTOR_WAY));
            case JoinKind.EarthPoint(var mass, var joint) ->
                    part.fixed(
                            "joint",
                            part.node("E"),
                            mass == JoinKind.Mass.BODY ? 0 : part.net().engine,
                            joint.value());
            case JoinKind.Resistor(var resistance) ->
                    part.fixed("body", "1", "2", resistance.value());
            case JoinKind.Diode(var rating) ->
                    part.bending("A-K", diode(part.node("A"), part.node("K"), rating.value()));
            case JoinKind.Capacitor(var capacitance) ->
                    part.bending(
                            "body",
                            new Branch.Capacitance(
                                    part.node("+"), part.node("31"), capacitance.value()));
            case JoinKind.Stabiliser(var mean) -> {
                part.bending(
                        "body",
                        new Branch.ControlledResistance(
                                part.node("B"),
                                part.node("I"),
                                STABILISER_LEAST,
                                new Branch.Law.MeanVolts(part.node("31"), mean.value())));
                part.fixed("heater", "I", "31", SourceCurves.STABILISER_HEATER);
            }
            case JoinKind.Sender sender -> {
                int a = part.node("T");
                int b = part.node("31");
                part.following(
                        "body",
                        a,
                        b,
                        Aspect.LEVELS,
                        conditions ->
                                new Branch.Resistance(
                                        a,
                                        b,
                                        Math.max(
                                                0.01,
                                                sender.at(conditions.level(sender.level()))
                                                        .value())));
            }
        }
    }

    /** A silicon rectifier that drops its rated volts at its rated current. */
    static Branch.Rectifier diode(int anode, int cathode, double rated) {
        return new Branch.Rectifier(
                anode, cathode, rated / Math.expm1(RATED_DROP / DIODE_THERMAL), DIODE_THERMAL);
    }

    /** The same inside a part. */
    static Branch.Rectifier diode(PartBuilder part, Valve valve, double rated) {
        return diode(part.node(valve.anode()), part.node(valve.cathode()), rated);
    }
}
