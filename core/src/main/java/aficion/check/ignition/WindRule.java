package aficion.check.ignition;

import aficion.check.finding.Finding;
import aficion.check.finding.Rule;
import aficion.check.finding.SourceFinding;
import aficion.check.function.Wants;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.size.Assessment;
import aficion.solve.Network;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Permanent-magnet motors as the sources they are while the wind of the road turns them: an
 * ignition they keep fed with the key off, and whatever else works by them alone. Judged in every
 * state of the motor's own circuits, levels included.
 */
public final class WindRule implements Rule {
    /** Share of its speed at which a fan turns in the wind, typical. */
    private static final double WIND = 0.6;

    /** Amps from which a motor counts as a source. */
    private static final double GIVES = 0.01;

    /** A state as it is and as it is with a motor turned. */
    private record Turned(OperatingPoint still, OperatingPoint turned) {}

    @Override
    public Stream<Finding> check(Assessment assessment) {
        var wants = Wants.of(assessment);
        return assessment.design().parts().stream()
                .filter(part -> part.zone().meetsWind() && part.kind().hasMagnet())
                .flatMap(part -> {
                    var turned = turned(assessment, part);
                    return Stream.concat(
                            keepsFed(assessment, turned), feeds(part, wants, turned).stream());
                });
    }

    /** The states in which a motor that is turned gives current. */
    private static List<Turned> turned(Assessment assessment, Part motor) {
        var solver = assessment.answers().solver();
        var network = solver.network();
        var found = new ArrayList<Turned>();
        for (var state : states(assessment.design(), motor)) {
            if (solver.demand(state) instanceof Outcome.Solved(var still)) {
                turn(assessment, network, motor);
                if (solver.movesCoils() && gives(assessment, network, motor)) {
                    OperatingPoint.of(state, network)
                            .map(point -> new Turned(still, point))
                            .ifPresent(found::add);
                }
                branches(network, motor).forEach(network::refresh);
            }
        }
        return found;
    }

    private static Iterable<Conditions> states(Design design, Part motor) {
        var road = Conditions.REST.withEngine(OperatingStates.ROAD);
        var states = new LinkedHashSet<Conditions>();
        for (var circuit : design.circuits()) {
            if (design.partsOf(circuit.id()).contains(motor)) {
                states.addAll(OperatingStates.of(design, circuit.id(), road));
            }
        }
        return states;
    }

    private static List<Integer> branches(Network network, Part motor) {
        return network.netlist().inside(motor.id()).values().stream()
                .filter(branch -> network.branch(branch) instanceof Branch.Motor)
                .toList();
    }

    private static void turn(Assessment assessment, Network network, Part part) {
        for (int branch : branches(network, part)) {
            var motor = (Branch.Motor) network.branch(branch);
            double emf = WIND * motor.backEmf() * direction(assessment, branch);
            network.straighten(branch, 1 / motor.stall(), -emf / motor.stall());
        }
    }

    /** The way it is driven: the wind turns it the same way. */
    private static double direction(Assessment assessment, int branch) {
        var span = assessment.worst().volts(branch);
        return span.most().value() >= -span.least().value() ? 1 : -1;
    }

    private static boolean gives(Assessment assessment, Network network, Part motor) {
        return branches(network, motor).stream()
                .anyMatch(branch -> network.amps(branch) * direction(assessment, branch) < -GIVES);
    }

    /** Ignitions that get current with the key off, and would get none did the motor stand. */
    private static Stream<Finding> keepsFed(Assessment assessment, List<Turned> states) {
        var design = assessment.design();
        var controls = assessment.netlist().controls();
        if (controls.key().isEmpty()) {
            return Stream.empty();
        }
        var off =
                states.stream()
                        .filter(state -> OperatingStates.isOff(controls, state.turned.conditions()))
                        .toList();
        return design.parts().stream()
                .filter(part -> part.kind().ignites())
                .flatMap(part -> keptFed(assessment, part, off).stream());
    }

    private static Optional<Finding> keptFed(
            Assessment assessment, Part ignition, List<Turned> states) {
        int branch = assessment.netlist().inside(ignition.id()).get("body");
        return states.stream()
                .filter(state -> Math.abs(state.still.branchAmps(branch)) <= OffRule.SPARKS)
                .mapToDouble(state -> Math.abs(state.turned.branchAmps(branch)))
                .filter(amps -> amps > OffRule.SPARKS)
                .boxed()
                .findFirst()
                .map(amps -> new Finding.KeepsRunning(ignition.id(), new Amps(amps), List.of()));
    }

    private static Optional<Finding> feeds(Part motor, List<Wants> wants, List<Turned> states) {
        var fed = new LinkedHashSet<PartId>();
        Conditions when = null;
        for (var state : states) {
            for (var want : wants) {
                if (!want.part().equals(motor)
                        && !want.part().kind().hasMagnet()
                        && !want.part().kind().ignites()
                        && !want.metIn(state.still)
                        && want.metIn(state.turned)) {
                    fed.add(want.part().id());
                    when = when == null ? state.turned.conditions() : when;
                }
            }
        }
        return Optional.ofNullable(when)
                .map(first -> new SourceFinding.FedByWind(motor.id(), List.copyOf(fed), first));
    }
}
