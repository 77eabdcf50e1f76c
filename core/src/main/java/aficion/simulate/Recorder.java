package aficion.simulate;

import aficion.job.PartId;
import aficion.solve.Network;
import java.util.Arrays;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/** Reads its probes at every step. */
final class Recorder {
    private final Network network;
    private final List<Probe> probes;
    private final ToDoubleFunction<PartId> charge;
    private double[] seconds = new double[256];
    private double[][] values;
    private int count;

    Recorder(Network network, List<Probe> probes, ToDoubleFunction<PartId> charge) {
        this.network = network;
        this.probes = List.copyOf(probes);
        this.charge = charge;
        this.values = new double[probes.size()][256];
    }

    void record(double now) {
        if (count == seconds.length) {
            seconds = Arrays.copyOf(seconds, 2 * count);
            for (int i = 0; i < values.length; i++) {
                values[i] = Arrays.copyOf(values[i], 2 * count);
            }
        }
        seconds[count] = now;
        for (int i = 0; i < values.length; i++) {
            values[i][count] = read(probes.get(i));
        }
        count++;
    }

    private double read(Probe probe) {
        var netlist = network.netlist();
        return switch (probe) {
            case Probe.VoltsAt(var terminal) -> volts(netlist.node(terminal));
            case Probe.VoltsBetween(var terminal, var against) ->
                    volts(netlist.node(terminal)) - volts(netlist.node(against));
            case Probe.AmpsIn(var wire) ->
                    network.amps(netlist.branch(netlist.design().wire(wire)));
            case Probe.AmpsInside(var part, var role) -> {
                var branch = netlist.inside(part).get(role);
                if (branch == null) {
                    throw new IllegalArgumentException(part + " has no " + role + " inside");
                }
                yield network.amps(branch);
            }
            case Probe.ChargeOf(var battery) -> charge.applyAsDouble(battery);
        };
    }

    private double volts(int node) {
        return network.floats(node) ? Double.NaN : network.volts(node);
    }

    List<SimulationResult.Trace> traces() {
        var times = Arrays.copyOf(seconds, count);
        return IntStream.range(0, values.length)
                .mapToObj(i ->
                        new SimulationResult.Trace(
                                probes.get(i), times, Arrays.copyOf(values[i], count)))
                .toList();
    }
}
