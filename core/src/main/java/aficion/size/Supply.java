package aficion.size;

import aficion.job.Design;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * What the sources do at an operating point.
 *
 * @param drawn what the vehicle takes: what the batteries give and the alternators give, less what
 *     charges a battery
 * @param generated what the alternators give
 * @param battery what the batteries give; below zero when they are charged
 * @param volts at the battery's poles, of batteries in series at the first and the last; empty
 *     without
 */
public record Supply(Amps drawn, Amps generated, Amps battery, Optional<Volts> volts) {
    /** Into a battery on the road, amps; less comes by way of a lamp (typical). */
    public static final double FILLS = 0.5;

    /** Whether the batteries are charged. */
    public boolean charges() {
        return battery.value() < -FILLS;
    }

    /** The sources of a design, and those of its batteries whose currents add up. */
    private record Sources(List<Part> all, List<Part> first) {
        static Sources of(Design design) {
            return new Sources(
                    design.parts().stream()
                            .filter(part -> part.kind() instanceof SourceKind)
                            .toList(),
                    firstOfStrings(design));
        }
    }

    /** What sources give and batteries take in a state. */
    public static Supply of(OperatingPoint point) {
        double battery = 0;
        double across = 0;
        int strings = 0;
        double generated = 0;
        var sources = point.asSwitched(Sources.class, () -> Sources.of(point.netlist().design()));
        for (var part : sources.all) {
            switch ((SourceKind) part.kind()) {
                case SourceKind.Battery _, SourceKind.BenchSupply _ -> {
                    across += point.across(part.id(), "output").map(Volts::value).orElse(0.0);
                    if (sources.first.contains(part)) {
                        battery -= through(point, part, "output");
                        strings++;
                    }
                }
                case SourceKind.Alternator _, SourceKind.Dynamo _ ->
                        generated += Math.abs(through(point, part, "output"));
                case SourceKind.Flywheel(var winding, _, _, _)
                        when winding == SourceKind.Flywheel.Winding.LIGHTING ->
                        generated += Math.abs(through(point, part, "output"));
                case SourceKind.RegulatorRectifier rectifier ->
                        generated += rectified(point, part, rectifier);
                case SourceKind.FieldRegulator _,
                        SourceKind.ControlBox _,
                        SourceKind.Flywheel _ -> {}
            }
        }
        return new Supply(
                new Amps(battery + generated),
                new Amps(generated),
                new Amps(battery),
                strings == 0 ? Optional.empty() : Optional.of(new Volts(across / strings)));
    }

    /**
     * The batteries whose currents add up: of those in series, which carry one and the same, the
     * one at the earthed end.
     */
    private static List<Part> firstOfStrings(Design design) {
        var batteries = new ArrayList<Part>();
        for (var part : design.parts()) {
            if (part.kind().hasPoles()) {
                batteries.add(part);
            }
        }
        if (batteries.size() < 2) {
            return batteries;
        }
        var live =
                batteries.stream().map(each -> each.terminal(design.vehicle().livePin())).toList();
        var first =
                batteries.stream()
                        .filter(each ->
                                Collections.disjoint(
                                        Netlist.joined(
                                                design,
                                                each.terminal(design.vehicle().earthedPin())),
                                        live))
                        .toList();
        return first.isEmpty() ? batteries : first;
    }

    /** What its bridge gives, less what its regulator takes. */
    private static double rectified(
            OperatingPoint point, Part part, SourceKind.RegulatorRectifier rectifier) {
        var vehicle = point.netlist().design().vehicle();
        String live = "B" + vehicle.livePin();
        double bridge =
                rectifier.valves(vehicle.earthed()).stream()
                        .filter(valve -> valve.anode().equals(live) || valve.cathode().equals(live))
                        .mapToDouble(valve -> through(point, part, valve.role()))
                        .sum();
        return bridge - through(point, part, "shunt");
    }

    private static double through(OperatingPoint point, Part part, String role) {
        return point.through(part.id(), role).map(Amps::value).orElse(0.0);
    }
}
