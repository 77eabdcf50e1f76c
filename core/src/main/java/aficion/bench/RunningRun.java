package aficion.bench;

import aficion.bench.TestStep.Stage;
import aficion.bench.TestStep.Topic;
import aficion.bench.reason.DriversOrder;
import aficion.bench.reason.FaultTable;
import aficion.bench.reason.Forbidden;
import aficion.bench.reason.Functions;
import aficion.bench.reason.Sign;
import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.netlist.OperatingStates;
import aficion.quantity.Volts;
import aficion.size.Metal;
import aficion.solve.OperatingPoint;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Makes the run that only a running engine shows, and the few readings that prove a change. */
final class RunningRun {
    /** What is read at a load below that is no feed of it, volts. */
    private static final double FED = 1;

    private final RunMaker with;
    private final FaultTable table;
    private final Design design;
    private final Functions functions;
    private final BatteryChecks battery;
    private final StepList list;
    private final Metal metal;

    RunningRun(RunMaker with) {
        this.with = with;
        this.table = with.table();
        this.design = with.design();
        this.functions = with.functions();
        this.battery = with.battery();
        this.list = with.list();
        this.metal = new Metal(table.netlist());
    }

    /** What only a running engine shows: at the battery, and in every function at speed. */
    void make() {
        battery.rest(list);
        battery.standing(list, Stage.BATTERY);
        battery.cranking(list);
        battery.charging(list);
        battery.running()
                .ifPresent(state -> {
                    var all = inState(state);
                    functions
                            .changes(Stream.concat(Stream.of(standing(state)), all.stream()))
                            .forEach(function -> list.works(function, Stage.RUNNING));
                    atWork(all);
                    turning(all);
                    around(state);
                });
        battery.standing(list, Stage.AFTER);
    }

    /** The same with the engine still: which lamps prove themselves. */
    private static Conditions standing(Conditions running) {
        return running.withEngine(Conditions.REST.engine());
    }

    /** The states of the circuit with the key where it is while the engine runs. */
    private List<Conditions> inState(Conditions running) {
        var idle = running.withEngine(OperatingStates.IDLE);
        var controls = table.netlist().controls();
        return OperatingStates.of(design, with.circuit(), idle).stream()
                .filter(state -> OperatingStates.isSameKey(controls, state, running))
                .filter(state -> !OperatingStates.isHeld(controls, state))
                .toList();
    }

    /** Volts where most is drawn, in the state in which most is. */
    private void atWork(List<Conditions> states) {
        var load = heaviest(states);
        load.ifPresent(
                found -> list.volts(found.at, found.state, Stage.RUNNING, near(found.volts)));
    }

    private Expected near(Volts volts) {
        return new Expected.Near(volts, table.nearVolts(volts.value()));
    }

    private record Loaded(Conditions state, Terminal at, Volts volts, double amps) {}

    /**
     * The load of the circuit that draws most, where its lead ends, in the first state that a
     * driver comes to in which it draws nearly that.
     */
    private Optional<Loaded> heaviest(List<Conditions> states) {
        var loaded =
                states.stream()
                        .sorted(with.order())
                        .flatMap(state -> with.demand(state).stream())
                        .filter(point -> Forbidden.of(point, metal).isEmpty())
                        .flatMap(this::loads)
                        .toList();
        return DriversOrder.firstOfMost(loaded, Loaded::amps);
    }

    private Stream<Loaded> loads(OperatingPoint point) {
        return list.wires().stream()
                .flatMap(wire ->
                        wire.terminals().stream()
                                .filter(at -> design.part(at.part()).kind() instanceof LoadKind)
                                .flatMap(at ->
                                        point.voltsAt(at).stream()
                                                .map(volts ->
                                                        new Loaded(
                                                                point.conditions(),
                                                                at,
                                                                volts,
                                                                Math.abs(
                                                                        point.through(wire)
                                                                                .value())))))
                .filter(each -> Math.abs(each.volts.value()) > FED);
    }

    /** Which way a motor turns, in a state in which it does. */
    private void turning(List<Conditions> states) {
        var checked = new HashSet<PartId>();
        for (var function :
                states.stream().flatMap(state -> functions.in(state).stream()).toList()) {
            function.signs().stream()
                    .filter(Sign::isAwake)
                    .map(Sign::part)
                    .filter(part -> !design.part(part).kind().turning().isEmpty())
                    .filter(checked::add)
                    .forEach(part ->
                            list.check(Topic.TURNING, part, function.state(), Stage.RUNNING));
        }
    }

    /** How fast a source turns, and what gets warm. */
    private void around(Conditions running) {
        with.parts().stream()
                .filter(part -> part.kind().chargingPin().isPresent())
                .forEach(part -> {
                    list.check(Topic.RATIO, part.id(), running, Stage.RUNNING);
                    list.check(Topic.WARMTH, part.id(), running, Stage.RUNNING);
                });
    }

    /** Key off nothing, on battery volts, running, and that it does what it is there for. */
    void prove() {
        table.feed().ifPresent(with::quiet);
        var states = table.standing();
        heaviest(states)
                .ifPresent(found ->
                        list.volts(found.at, found.state, Stage.STATES, near(found.volts)));
        functions.unlike(states.stream()).forEach(function -> list.works(function, Stage.STATES));
        battery.running().ifPresent(state -> atWork(inState(state)));
        with.leave();
    }
}
