package aficion.bench;

import aficion.bench.TestStep.Stage;
import aficion.bench.reason.DriversOrder;
import aficion.job.Circuit;
import aficion.job.Design;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.netlist.Conditions;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.size.Supply;
import aficion.solve.OperatingPoint;
import aficion.solve.Solver;
import java.util.Comparator;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/**
 * What the battery of a vehicle shows at rest, while the engine is cranked, and while it charges.
 * The figures are the trade's for 12 V (docs/SOURCES.md), in proportion for other systems; where
 * what the design gives lies elsewhere, as of a dynamo at idle, its own figures are expected.
 */
final class BatteryChecks {
    private static final Volts REST_LEAST = new Volts(12.5);
    private static final Volts REST_MOST = new Volts(12.7);
    private static final Volts CRANKING_LEAST = new Volts(9.6);
    private static final Volts CHARGING_LEAST = new Volts(13.8);
    private static final Volts CHARGING_MOST = new Volts(14.6);
    private static final Volts LOADED_LEAST = new Volts(13.2);

    /** What a vehicle may draw at a stand, amps. */
    private static final Amps STANDING = new Amps(0.05);

    private static final double STANDING_OFF = 0.02;

    /** How far off the design's own figure may be, volts of 12. */
    private static final double OWN = 0.4;

    private static final Rpm FAST = new Rpm(2000);

    /** Amps from which something is said to give or take. */
    private static final double SOME = 0.5;

    private final Design design;
    private final Solver solver;
    private final double system;
    private final Optional<Terminal> live;
    private final Optional<Conditions> running;

    BatteryChecks(Solver solver) {
        this.solver = solver;
        this.design = solver.netlist().design();
        this.system = design.vehicle().system().value() / 12;
        this.live = live();
        this.running =
                first(BatteryChecks::charges, this::driven, this::isCharging)
                        .or(() ->
                                most(
                                        BatteryChecks::charges,
                                        this::driven,
                                        point -> Supply.of(point).generated().value()));
    }

    /** Of batteries in series the post that all of them stand behind. */
    private Optional<Terminal> live() {
        var rest = point(Conditions.REST);
        return design.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Battery)
                .map(part -> part.terminal(design.vehicle().livePin()))
                .max(
                        Comparator.comparingDouble(at ->
                                rest.flatMap(point -> point.voltsAt(at))
                                        .map(volts -> Math.abs(volts.value()))
                                        .orElse(0.0)));
    }

    private boolean isCharging(OperatingPoint point) {
        return Supply.of(point)
                .volts()
                .filter(volts -> volts.value() >= scaled(LOADED_LEAST).value())
                .isPresent();
    }

    /** The same on the road: the key is on, and no hand holds anything. */
    private Optional<Conditions> driven(Conditions state) {
        var controls = solver.netlist().controls();
        boolean off = controls.key().isPresent() && OperatingStates.isOff(controls, state);
        return Optional.of(state.withEngine(OperatingStates.ROAD))
                .filter(_ -> !off && !OperatingStates.isHeld(controls, state));
    }

    private static boolean charges(Part part) {
        return part.kind().chargingPin().isPresent();
    }

    /**
     * How everything stands while the engine runs and the source charges; empty where nothing
     * charges.
     */
    Optional<Conditions> running() {
        return running;
    }

    /**
     * The first state that a driver comes to of those in which some parts give or take the most, or
     * nearly so: nobody cranks with the horn on as well. Empty where they never do.
     */
    private Optional<Conditions> most(
            Predicate<Part> parts,
            Function<Conditions, Optional<Conditions>> moved,
            ToDoubleFunction<OperatingPoint> amps) {
        return DriversOrder.firstOfMost(points(parts, moved).toList(), amps)
                .filter(point -> amps.applyAsDouble(point) > SOME)
                .map(OperatingPoint::conditions);
    }

    /** The first state that a driver comes to in which something holds. */
    private Optional<Conditions> first(
            Predicate<Part> parts,
            Function<Conditions, Optional<Conditions>> moved,
            Predicate<OperatingPoint> holds) {
        return points(parts, moved).filter(holds).findFirst().map(OperatingPoint::conditions);
    }

    /** The states of the circuits that have such parts, as a driver comes to them. */
    private Stream<OperatingPoint> points(
            Predicate<Part> parts, Function<Conditions, Optional<Conditions>> moved) {
        return design.circuits().stream()
                .map(Circuit::id)
                .filter(id -> design.partsOf(id).stream().anyMatch(parts))
                .flatMap(id -> OperatingStates.of(design, id, Conditions.REST).stream())
                .flatMap(state -> moved.apply(state).stream())
                .distinct()
                .sorted(DriversOrder.of(solver.netlist().controls()))
                .flatMap(state -> point(state).stream());
    }

    private Optional<OperatingPoint> point(Conditions state) {
        return solver.solve(state).settled();
    }

    private Volts scaled(Volts of12) {
        return new Volts(system * of12.value());
    }

    /** Against the body, below it where the positive pole is earthed. */
    private Expected between(Volts least, Volts most) {
        return design.vehicle().livePin().equals("-")
                ? new Expected.Between(scaled(negative(most)), scaled(negative(least)))
                : new Expected.Between(scaled(least), scaled(most));
    }

    private static Volts negative(Volts volts) {
        return new Volts(-volts.value());
    }

    /** Volts before anything is switched on. */
    void rest(StepList list) {
        live.ifPresent(at ->
                list.volts(at, Conditions.REST, Stage.BATTERY, between(REST_LEAST, REST_MOST)));
    }

    /** Volts while the starter turns. */
    void cranking(StepList list) {
        most(
                        part -> part.kind() instanceof LoadKind.Starter,
                        Optional::of,
                        point -> Supply.of(point).drawn().value())
                .ifPresent(state ->
                        live.ifPresent(at ->
                                list.volts(
                                        at,
                                        state,
                                        Stage.CRANKING,
                                        between(CRANKING_LEAST, REST_MOST))));
    }

    /** Volts at idle, faster, and faster with all on that stays on. */
    void charging(StepList list) {
        running.ifPresent(state -> {
            charging(list, state.withEngine(OperatingStates.IDLE), CHARGING_LEAST);
            charging(list, state.withEngine(FAST), CHARGING_LEAST);
            charging(list, loaded(state.withEngine(FAST)), LOADED_LEAST);
        });
    }

    /** The same with all on that stays on by itself. */
    private Conditions loaded(Conditions state) {
        return OperatingStates.heaviest(
                design,
                state,
                tried -> point(tried).map(point -> Supply.of(point).drawn().value()).orElse(0.0));
    }

    private void charging(StepList list, Conditions state, Volts least) {
        live.ifPresent(at ->
                point(state)
                        .flatMap(point -> point.voltsAt(at))
                        .ifPresent(volts ->
                                list.volts(at, state, Stage.RUNNING, charging(volts, least))));
    }

    private Expected charging(Volts design, Volts least) {
        double volts = Math.abs(design.value());
        boolean usual = volts >= scaled(least).value() && volts <= scaled(CHARGING_MOST).value();
        return usual ? between(least, CHARGING_MOST) : new Expected.Near(design, OWN * system);
    }

    /** What is drawn with everything off, in the lead to the battery's earthed pole. */
    void standing(StepList list, Stage stage) {
        point(Conditions.REST)
                .ifPresent(point ->
                        lead().ifPresent(wire ->
                                list.standing(wire.id(), stage, standing(point.through(wire)))));
    }

    private static Expected standing(Amps through) {
        double drawn = Math.abs(through.value());
        return drawn <= STANDING.value()
                ? new Expected.AtMost(STANDING)
                : new Expected.Near(new Amps(drawn), STANDING_OFF);
    }

    private Optional<Wire> lead() {
        return design.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Battery)
                .map(part -> part.terminal(design.vehicle().earthedPin()))
                .flatMap(at -> design.wiresAt(at).stream())
                .findFirst();
    }
}
