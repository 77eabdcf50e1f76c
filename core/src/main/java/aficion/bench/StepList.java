package aficion.bench;

import aficion.bench.TestStep.Task;
import aficion.bench.reason.Forbidden;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.size.Guard;
import aficion.size.Guards;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The steps of a run of one circuit in the making, each with its key and what is expected. */
final class StepList {
    /** What leads and probes add to a reading of a few milliohms, ohms. */
    private static final double PROBES = 0.3;

    /** Least isolation of a net with its loads unplugged. */
    private static final Ohms ISOLATED = new Ohms(1e6);

    /** What a healthy vehicle of this slice may draw with everything off, amps. */
    private static final double QUIET = 0.02;

    private final Design design;
    private final CircuitId circuit;
    private final List<Wire> wires;
    private final List<TestStep> steps = new ArrayList<>();

    StepList(Design design, CircuitId circuit) {
        this.design = design;
        this.circuit = circuit;
        this.wires = design.wiresOf(circuit);
    }

    List<Wire> wires() {
        return wires;
    }

    List<TestStep> steps() {
        return steps;
    }

    void look(Wire wire) {
        add(StepKey.look(wire.id()), new TestStep.Look(wire.id()), Optional.empty());
    }

    void look(PartId part) {
        add(StepKey.look(part), new TestStep.LookAt(part), Optional.empty());
    }

    void continuity(Wire wire) {
        double ohms =
                wire.conductor().perMetre().value() * wire.length().metres().value()
                        + 2 * design.rules().joint().value();
        add(
                StepKey.ohms(wire.id()),
                new TestStep.Continuity(wire.id()),
                Optional.of(new Expected.AtMost(new Ohms(ohms + PROBES))));
    }

    /** One step for each live net: the first terminal of wires that hang together. */
    void isolation() {
        Map<WireId, Guard> guards = Guards.in(design).ofWires();
        var measured = new HashSet<Terminal>();
        for (var wire : wires) {
            boolean live = !(guards.get(wire.id()) instanceof Guard.EarthSide);
            if (live && wire.terminals().stream().noneMatch(measured::contains)) {
                var at = wire.from().terminal();
                add(
                        StepKey.isolation(at),
                        new TestStep.Isolation(at),
                        Optional.of(new Expected.AtLeast(ISOLATED)));
            }
            measured.addAll(wire.terminals());
        }
    }

    /**
     * Everything off.
     *
     * @param drawn what the design draws then: a clock is no fault
     */
    void quiet(WireId feed, Amps drawn) {
        add(
                "quiet",
                new TestStep.Quiet(feed, Conditions.REST),
                Optional.of(new Expected.Near(drawn, QUIET)));
    }

    void forbidden(WireId feed, Forbidden why) {
        amps(feed, why.state(), new Expected.Opens(why.guard(), why.demand()));
    }

    /** Returns its key. */
    String amps(WireId wire, Conditions state, Expected expected) {
        return add(
                StepKey.amps(wire, StepKey.state(design, circuit, state)),
                new TestStep.AmpsIn(wire, state),
                Optional.of(expected));
    }

    /** Returns its key. */
    String volts(Terminal at, Conditions state, Volts volts, double tolerance) {
        return add(
                StepKey.volts(at, StepKey.state(design, circuit, state)),
                new TestStep.VoltsAt(at, state),
                Optional.of(new Expected.Near(volts, tolerance)));
    }

    private String add(String key, Task task, Optional<Expected> expected) {
        steps.add(new TestStep(key, task, expected));
        return key;
    }
}
