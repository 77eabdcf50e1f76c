package aficion.check.protection;

import aficion.netlist.Branch;
import aficion.size.Assessment;
import aficion.size.Guard;
import aficion.solve.OperatingPoint;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/** What cold lamps and standing motors draw in the moment they are switched on. */
final class Rush {
    private Rush() {}

    /** The branches of the loads that each guard is the next before, by guards that have some. */
    static Map<Guard.Fitted, Set<Integer>> behindGuards(Assessment assessment) {
        return assessment.lasting(Rush.class, () -> found(assessment));
    }

    private static Map<Guard.Fitted, Set<Integer>> found(Assessment assessment) {
        var behind = new LinkedHashMap<Guard.Fitted, Set<Integer>>();
        var design = assessment.design();
        for (var part : design.parts()) {
            if (part.kind().consumes()) {
                var branches = assessment.netlist().inside(part.id()).values();
                part.terminals().stream()
                        .flatMap(terminal -> design.wiresAt(terminal).stream())
                        .flatMap(wire -> guards(assessment.guard(wire.id())))
                        .forEach(fuse ->
                                behind.computeIfAbsent(fuse, _ -> new TreeSet<>())
                                        .addAll(branches));
            }
        }
        return behind;
    }

    private static Stream<Guard.Fitted> guards(Guard guard) {
        return guard instanceof Guard.Guarded(var fuses) ? fuses.stream() : Stream.empty();
    }

    /** What branches would draw at the volts of a state were they all cold and still, amps. */
    static double of(OperatingPoint point, int[] branches) {
        double amps = 0;
        for (int branch : branches) {
            amps += of(point, branch);
        }
        return amps;
    }

    /** The same of one branch. */
    static double of(OperatingPoint point, int branch) {
        double volts = Math.abs(point.branchVolts(branch));
        return switch (point.branch(branch)) {
            case Branch.Filament filament -> volts / filament.coldOhms();
            case Branch.Motor motor -> volts / motor.stall();
            case Branch.Warming warming -> volts / Math.min(warming.first(), warming.ohms());
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
                    Math.abs(point.branchAmps(branch));
        };
    }
}
