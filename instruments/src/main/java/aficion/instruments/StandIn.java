package aficion.instruments;

import aficion.bench.Meter;
import aficion.fault.Fault;
import aficion.fault.Faulty;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.edit.PartEdit;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import aficion.solve.Solver;
import java.util.List;
import java.util.Optional;
import java.util.random.RandomGenerator;

/**
 * A job on the bench with something wrong in it: a supply in place of its battery, and a meter
 * whose probes are put somewhere. May be used by several threads.
 */
public final class StandIn {
    /** What a meter shows that is over its range (IEC 60488-2 instruments mostly answer so). */
    private static final double OVER_RANGE = 9.9e37;

    private static final double NOISE_SHARE = 0.005;
    private static final double NOISE_VOLTS = 0.02;

    private final Design design;
    private final List<Fault> faults;
    private final Optional<RandomGenerator> noise;
    private Volts set;
    private Amps limit = new Amps(1);
    private boolean on;
    private Conditions state = Conditions.REST;
    private Optional<Terminal> red = Optional.empty();
    private Optional<Terminal> black = Optional.empty();

    /**
     * @param faults what is wrong with it
     * @param noise what makes its readings unsteady, where they shall be
     */
    public StandIn(Design design, List<Fault> faults, Optional<RandomGenerator> noise) {
        this.design = design;
        this.faults = List.copyOf(faults);
        this.noise = noise;
        this.set = design.vehicle().system();
    }

    /** The job. */
    public Design design() {
        return design;
    }

    synchronized void set(Volts volts) {
        set = volts;
    }

    synchronized void limit(Amps most) {
        limit = most;
    }

    synchronized Volts set() {
        return set;
    }

    synchronized Amps limit() {
        return limit;
    }

    synchronized void output(boolean switched) {
        on = switched;
    }

    /** Whether the supply gives. */
    public synchronized boolean output() {
        return on;
    }

    synchronized void state(Conditions changed) {
        state = changed;
    }

    synchronized void probes(Terminal first, Terminal second) {
        red = Optional.of(first);
        black = Optional.of(second);
    }

    /** Volts at the supply's terminals. */
    synchronized double supplyVolts() {
        return noisy(
                battery()
                        .filter(_ -> on)
                        .flatMap(source -> point().flatMap(found -> across(found, source)))
                        .orElse(0.0));
    }

    private static Optional<Double> across(OperatingPoint point, Part source) {
        return point.voltsAt(source.terminal("+"))
                .flatMap(plus ->
                        point.voltsAt(source.terminal("-"))
                                .map(minus -> plus.value() - minus.value()));
    }

    /** Amps that the supply gives. */
    synchronized double supplyAmps() {
        return noisy(
                battery()
                        .filter(_ -> on)
                        .flatMap(source ->
                                point().map(found ->
                                        design.wiresAt(source.terminal("+")).stream()
                                                .mapToDouble(wire ->
                                                        (wire.from()
                                                                                .terminal()
                                                                                .part()
                                                                                .equals(source.id())
                                                                        ? 1
                                                                        : -1)
                                                                * found.through(wire).value())
                                                .sum()))
                        .orElse(0.0));
    }

    /** Volts between the probes; against the body where only one is put somewhere. */
    synchronized double volts() {
        if (!on || red.isEmpty()) {
            return noisy(0);
        }
        return noisy(
                point().map(
                                found -> {
                                    double high = volts(found, red.get());
                                    return high - black.map(at -> volts(found, at)).orElse(0.0);
                                })
                        .orElse(0.0));
    }

    private static double volts(OperatingPoint point, Terminal at) {
        return point.voltsAt(at).map(Volts::value).orElse(0.0);
    }

    /**
     * Amps of a meter put in place of a fuse: in the wire whose ends the probes are at, else all
     * that the supply gives.
     */
    synchronized double amps() {
        return wire().map(wire ->
                        noisy(
                                point().filter(_ -> on)
                                        .map(found -> Math.abs(found.through(wire).value()))
                                        .orElse(0.0)))
                .orElseGet(this::supplyAmps);
    }

    private Optional<Wire> wire() {
        return red.stream()
                .flatMap(at -> design.wiresAt(at).stream())
                .filter(wire -> black.filter(wire.terminals()::contains).isPresent())
                .findFirst();
    }

    /** Ohms between the probes, the supply off; over the range while it is on. */
    synchronized double ohms() {
        if (on || red.isEmpty() || black.isEmpty()) {
            return OVER_RANGE;
        }
        return Meter.ohms(design, faults, state, red.get(), black.get())
                .map(Ohms::value)
                .orElse(OVER_RANGE);
    }

    private double noisy(double value) {
        return noise.map(random ->
                        value
                                + random.nextGaussian()
                                        * (NOISE_SHARE * Math.abs(value) + NOISE_VOLTS))
                .orElse(value);
    }

    private Optional<Part> battery() {
        return design.parts().stream()
                .filter(part ->
                        part.kind() instanceof SourceKind.Battery
                                || part.kind() instanceof SourceKind.BenchSupply)
                .findFirst();
    }

    private Optional<OperatingPoint> point() {
        return battery()
                .flatMap(source -> {
                    var supplied =
                            new PartEdit.Refit(source.id(), new SourceKind.BenchSupply(set, limit))
                                    .apply(design);
                    var netlist = Netlist.of(supplied);
                    for (var fault : faults) {
                        netlist = Faulty.of(netlist, fault);
                    }
                    return new Solver(netlist).solve(state).settled();
                });
    }
}
