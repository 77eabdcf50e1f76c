package aficion.bench.reason;

import aficion.fault.Fault;
import aficion.fault.Faulty;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Part;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;
import aficion.solve.OperatingPoint;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a circuit does, state by state, as an eye and an ear tell it. To be used by one thread. */
public final class Functions {
    private final Netlist netlist;
    private final List<Part> loads;
    private final Solver sound;

    /** The same vehicle with every flasher stuck open: what is dark then blinks. */
    private final Optional<Solver> unlit;

    private Functions(Netlist netlist, CircuitId circuit) {
        this.netlist = netlist;
        this.loads = netlist.design().partsOf(circuit);
        this.sound = new Solver(netlist);
        this.unlit = unlit(netlist);
    }

    /** Of a circuit, as it is drawn. */
    public static Functions of(Netlist netlist, CircuitId circuit) {
        return new Functions(netlist, circuit);
    }

    private static Optional<Solver> unlit(Netlist netlist) {
        var flashers =
                netlist.design().parts().stream()
                        .filter(part -> part.kind() instanceof ControlKind.Flasher)
                        .toList();
        if (flashers.isEmpty()) {
            return Optional.empty();
        }
        var dead = netlist;
        for (var flasher : flashers) {
            dead = Faulty.of(dead, new Fault.DeadPart(flasher.id()));
        }
        return Optional.of(new Solver(dead));
    }

    /**
     * A state, and what is seen in it.
     *
     * @param signs of every load of the circuit that shows anything
     */
    public record Function(Conditions state, List<Sign> signs) {
        public Function {
            signs = List.copyOf(signs);
        }

        /** What of it works. */
        private Set<Sign> awake() {
            return signs.stream().filter(Sign::isAwake).collect(Collectors.toSet());
        }

        private boolean worksLike(Function other) {
            return awake().equals(other.awake());
        }
    }

    /** What is seen in a state; empty where nothing shows, or nothing comes to rest. */
    public Optional<Function> in(Conditions state) {
        return sound.solve(state)
                .settled()
                .filter(point -> point.blown().isEmpty())
                .map(point -> new Function(state, signs(point)))
                .filter(function -> !function.signs.isEmpty());
    }

    private List<Sign> signs(OperatingPoint point) {
        var signs = Sign.of(point, loads);
        if (signs.stream().noneMatch(Sign::isAwake)) {
            return signs;
        }
        var without =
                unlit.flatMap(solver -> solver.solve(point.conditions()).settled())
                        .map(dead -> Sign.of(dead, loads))
                        .orElse(signs);
        return signs.stream().map(sign -> blinks(sign, without) ? sign.blinking() : sign).toList();
    }

    private static boolean blinks(Sign sign, List<Sign> without) {
        return sign.isAwake()
                && without.stream().anyMatch(other -> other.isOf(sign) && !other.isAwake());
    }

    /**
     * Those of some states in which something works as in no earlier one, in the order a driver
     * works them.
     */
    public List<Function> unlike(Stream<Conditions> states) {
        return changes(states).stream()
                .filter(function -> function.signs.stream().anyMatch(Sign::isAwake))
                .toList();
    }

    /**
     * The same, and where all goes out after something was on. Two switches that each do with the
     * other what they do alone are nothing new together.
     */
    public List<Function> changes(Stream<Conditions> states) {
        var seen = new ArrayList<Function>();
        states.sorted(DriversOrder.of(netlist.controls()))
                .flatMap(state -> in(state).stream())
                .filter(function -> seen.stream().noneMatch(function::worksLike))
                .filter(function -> !isSum(function, seen))
                .forEach(seen::add);
        return seen.stream().dropWhile(function -> function.awake().isEmpty()).toList();
    }

    /** Whether a function is all that what is switched on in it does by itself. */
    private boolean isSum(Function function, List<Function> seen) {
        var on = on(function.state);
        var awake = function.awake();
        var sum = new HashSet<Sign>();
        seen.stream()
                .filter(each -> on.containsAll(on(each.state)))
                .map(Function::awake)
                .filter(awake::containsAll)
                .forEach(sum::addAll);
        return !sum.isEmpty() && sum.equals(awake);
    }

    /** What is not where it rests. */
    private Set<String> on(Conditions state) {
        var on = new HashSet<String>();
        for (var control : netlist.controls().controls()) {
            var position = Controls.position(control, state);
            if (!position.equals(control.rest())) {
                on.add(control.name() + "=" + position);
            }
        }
        state.levels().forEach((level, at) -> on.add(level + "=" + at));
        return on;
    }
}
