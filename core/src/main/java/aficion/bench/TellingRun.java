package aficion.bench;

import aficion.bench.BenchPlan.Coverage;
import aficion.bench.TestStep.Stage;
import aficion.bench.reason.FaultTable;
import aficion.bench.reason.Functions.Function;
import aficion.bench.reason.Measure;
import aficion.bench.reason.TestCover;
import aficion.fault.Fault;
import aficion.job.LoadKind;
import aficion.job.PartId;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.size.Supply;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Makes the run of few readings that notice all a meter can notice, function by function as a
 * driver works them.
 */
final class TellingRun {
    private final RunMaker with;
    private final FaultTable table;
    private final StepList list;
    private final TestCover cover;

    TellingRun(RunMaker with) {
        this.with = with;
        this.table = with.table();
        this.list = with.list();
        this.cover = TestCover.of(table);
    }

    /**
     * Adds its steps.
     *
     * @param onVehicle whether there is a battery to read before and while the engine is cranked
     */
    Coverage make(boolean onVehicle) {
        var ours = new LinkedHashSet<PartId>();
        list.wires().forEach(wire -> wire.terminals().forEach(at -> ours.add(at.part())));
        ours.forEach(list::look);
        var unseen = unseen();
        Chains.of(
                        table.netlist().design(),
                        list.wires().stream().filter(wire -> unseen.contains(wire.id())).toList(),
                        OperatingStates.of(
                                table.netlist().design(), with.circuit(), Conditions.REST))
                .forEach(list::through);
        list.isolation();
        if (onVehicle) {
            with.battery().rest(list);
            with.battery().standing(list, Stage.BATTERY);
        }
        var notices = new HashMap<String, Integer>();
        table.feed()
                .ifPresent(feed -> {
                    with.quiet(feed);
                    table.forbidden().forEach(state -> list.forbidden(feed, state));
                    worked(notices);
                });
        if (onVehicle && starts()) {
            with.battery().cranking(list);
        }
        with.leave();
        return new Coverage(cover.noticed(), cover.unnoticed().size(), notices, drawn());
    }

    private boolean starts() {
        return with.parts().stream().anyMatch(part -> part.kind() instanceof LoadKind.Starter);
    }

    /** The wires of which no reading shows that they are broken, or a joint of them bad. */
    private Set<WireId> unseen() {
        return cover.unnoticed().stream()
                .flatMap(suspect -> suspect.faults().stream())
                .filter(Fault.OfWire.class::isInstance)
                .filter(fault -> !(fault instanceof Fault.Chafed))
                .map(fault -> ((Fault.OfWire) fault).wire())
                .collect(Collectors.toSet());
    }

    /** State by state as a driver works them: what shows, then what is read. */
    private void worked(Map<String, Integer> notices) {
        var shown = new HashMap<Conditions, Function>();
        with.functions()
                .unlike(table.standing().stream())
                .forEach(function -> shown.put(function.state(), function));
        Stream.concat(
                        shown.keySet().stream(),
                        cover.readings().stream().map(TestCover.Telling::state))
                .distinct()
                .sorted(with.order())
                .forEach(state -> {
                    Optional.ofNullable(shown.get(state))
                            .ifPresent(function -> list.works(function, Stage.STATES));
                    cover.readings().stream()
                            .filter(reading -> reading.state().equals(state))
                            .forEach(reading -> notices.put(read(reading), reading.notices()));
                });
    }

    private String read(TestCover.Telling reading) {
        var state = reading.state();
        return switch (reading.what()) {
            case Measure.VoltsAt(var at) ->
                    list.volts(at, state, new Volts(reading.expected()), reading.tolerance());
            case Measure.AmpsIn(var wire) ->
                    list.amps(
                            wire,
                            state,
                            new Expected.Near(new Amps(reading.expected()), reading.tolerance()));
            case Measure.LightOf _, Measure.Told _ ->
                    throw new IllegalArgumentException("no meter reads " + reading.what());
        };
    }

    private Amps drawn() {
        return new Amps(
                cover.readings().stream()
                        .map(TestCover.Telling::state)
                        .distinct()
                        .flatMap(state -> with.demand(state).stream())
                        .mapToDouble(point -> Supply.of(point).drawn().value())
                        .max()
                        .orElse(0));
    }
}
