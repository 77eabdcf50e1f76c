package aficion.check.protection;

import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import aficion.size.Assessment;
import aficion.size.Guard;
import aficion.solve.OperatingPoint;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** What cold lamps and standing motors draw in the moment they are switched on. */
final class Rush {
    /** What a branch resists cold and still, ohms; not a number where that is as ever. */
    private final double[] cold;

    private final Map<Guard.Fitted, int[]> behind = new LinkedHashMap<>();

    private Rush(Assessment assessment) {
        var netlist = assessment.netlist();
        cold = IntStream.range(0, netlist.size()).mapToDouble(i -> cold(netlist, i)).toArray();
        var found = new LinkedHashMap<Guard.Fitted, Set<Integer>>();
        for (var part : assessment.design().parts()) {
            if (part.kind().consumes()) {
                var branches = netlist.inside(part.id()).values();
                part.terminals().stream()
                        .flatMap(terminal -> assessment.design().wiresAt(terminal).stream())
                        .flatMap(wire -> guards(assessment.guard(wire.id())))
                        .forEach(fuse ->
                                found.computeIfAbsent(fuse, _ -> new TreeSet<>()).addAll(branches));
            }
        }
        found.forEach((fuse, loads) -> behind.put(fuse, array(loads)));
    }

    /** That of a design, however its wires are cut. */
    static Rush of(Assessment assessment) {
        return assessment.lasting(Rush.class, () -> new Rush(assessment));
    }

    private static Stream<Guard.Fitted> guards(Guard guard) {
        return guard instanceof Guard.Guarded(var fuses) ? fuses.stream() : Stream.empty();
    }

    private static int[] array(Set<Integer> branches) {
        return branches.stream().mapToInt(branch -> branch).toArray();
    }

    private static double cold(Netlist netlist, int branch) {
        return switch (netlist.branch(branch, Conditions.REST)) {
            case Branch.Filament filament -> filament.coldOhms();
            case Branch.Motor motor -> motor.stall();
            case Branch.Warming warming -> Math.min(warming.first(), warming.ohms());
            case Branch.Resistance _,
                    Branch.Contact _,
                    Branch.Driven _,
                    Branch.Blinker _,
                    Branch.FuseBranch _,
                    Branch.Rectifier _,
                    Branch.Source _,
                    Branch.Limited _,
                    Branch.ControlledResistance _,
                    Branch.Capacitance _ ->
                    Double.NaN;
        };
    }

    /** The branches of the loads that each guard is the next before, by guards that have some. */
    Map<Guard.Fitted, int[]> behindGuards() {
        return behind;
    }

    /** What branches would draw at the volts of a state were they all cold and still, amps. */
    double amps(OperatingPoint point, int[] branches) {
        double amps = 0;
        for (int branch : branches) {
            amps += amps(point, branch);
        }
        return amps;
    }

    /** The same of one branch. */
    double amps(OperatingPoint point, int branch) {
        return Double.isNaN(cold[branch])
                ? Math.abs(point.branchAmps(branch))
                : Math.abs(point.branchVolts(branch)) / cold[branch];
    }
}
