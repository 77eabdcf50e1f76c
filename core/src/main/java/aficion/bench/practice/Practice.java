package aficion.bench.practice;

import aficion.bench.Meter;
import aficion.bench.practice.Round.Done;
import aficion.bench.reason.Belief;
import aficion.bench.reason.Diagnosis;
import aficion.bench.reason.Evidence;
import aficion.bench.reason.FaultTable;
import aficion.bench.reason.Measure;
import aficion.bench.reason.NextReading.Advice;
import aficion.bench.reason.Reading;
import aficion.bench.reason.Sign;
import aficion.bench.reason.Telltale;
import aficion.fault.Fault;
import aficion.job.CircuitId;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.WireId;
import aficion.netlist.Conditions;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.solve.OperatingPoint;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.random.RandomGenerator;
import java.util.stream.Stream;

/**
 * What a person sees and reads of a circuit with something wrong in it, what each act costs, and
 * the way the reasoner would have gone. To be used by one thread.
 */
public final class Practice {
    /** What a reading at hand takes, minutes. */
    private static final double READ = 1;

    private static final double GLANCE = 0.2;
    private static final double LOOK = 1.5;
    private static final double WIGGLE = 1;

    /** A fuse out and a meter in its place. */
    private static final double SERIES = 2;

    /** What it takes to get at a part, of one that is hard to reach at all. */
    private static final double REACH = 10;

    /** A switch that is thrown. */
    private static final double MOVE = 0.2;

    private static final int MOST = 25;

    private final FaultTable table;
    private final CircuitId circuit;
    private final RandomGenerator random;

    /**
     * @param random whether what comes and goes is there when it is looked at
     */
    public Practice(FaultTable table, CircuitId circuit, RandomGenerator random) {
        this.table = table;
        this.circuit = circuit;
        this.random = random;
    }

    /** Does something, with everything as it stands. */
    public Round does(Round round, Act act, Conditions state) {
        var before = round.done().isEmpty() ? Conditions.REST : round.done().getLast().state();
        double moved = MOVE * table.moved(before, state);
        return round.with(new Done(act, state, answer(round, act, state), moved + cost(act)));
    }

    private double cost(Act act) {
        return switch (act) {
            case Act.Volts(var at) -> READ + reach(at.part());
            case Act.Lamp(var at) -> READ + reach(at.part());
            case Act.Amps _ -> SERIES;
            case Act.Glance _ -> GLANCE;
            case Act.Look(var part) -> LOOK + reach(part);
            case Act.Wiggle(var part) -> WIGGLE + reach(part);
        };
    }

    private double reach(PartId part) {
        return REACH * table.reach(part);
    }

    private Answer answer(Round round, Act act, Conditions state) {
        boolean there = !round.hidden().comesAndGoes() || random.nextBoolean();
        var wrong = there ? round.left() : List.<Fault>of();
        return switch (act) {
            case Act.Look(var part) -> new Answer.Seen(seen(round.left(), part));
            case Act.Wiggle(var part) -> new Answer.Changes(moves(round, part));
            case Act.Lamp(var at) -> lamp(wrong, state, at);
            case Act.Volts(var at) ->
                    read(wrong, state, point -> new Answer.ShowsVolts(volts(point, at)));
            case Act.Amps(var feed) ->
                    read(wrong, state, point -> new Answer.ShowsAmps(amps(point, feed)));
            case Act.Glance _ ->
                    read(wrong, state, point -> new Answer.Does(Sign.of(point, parts())));
        };
    }

    private Answer read(
            List<Fault> wrong, Conditions state, Function<OperatingPoint, Answer> shown) {
        return new Solver(table.with(wrong))
                .solve(state)
                .settled()
                .map(shown)
                .orElseGet(Answer.Restless::new);
    }

    private static Volts volts(OperatingPoint point, Terminal at) {
        return new Volts(Meter.shown(point.voltsAt(at).map(Volts::value).orElse(0.0)));
    }

    private Amps amps(OperatingPoint point, WireId feed) {
        var wire = table.netlist().design().wire(feed);
        return new Amps(Meter.shown(Math.abs(point.through(wire).value())));
    }

    /** The lamp's clip is on an earth of the body. */
    private Answer lamp(List<Fault> wrong, Conditions state, Terminal at) {
        var design = table.netlist().design();
        return design.parts().stream()
                .filter(part -> part.kind() instanceof JoinKind.EarthPoint)
                .map(part -> part.terminals().getFirst())
                .findFirst()
                .flatMap(earth -> Meter.lamp(design, wrong, state, at, earth))
                .<Answer>map(lit -> new Answer.Burns(lit.light()))
                .orElseGet(Answer.Restless::new);
    }

    private List<Part> parts() {
        return table.netlist().design().partsOf(circuit);
    }

    /** What shows at the ends of a part when it is looked at closely and tugged. */
    private List<Fault> seen(List<Fault> left, PartId part) {
        return left.stream()
                .filter(fault -> shows(fault))
                .filter(fault -> places(fault).anyMatch(part::equals))
                .toList();
    }

    private boolean shows(Fault fault) {
        return switch (fault) {
            case Fault.Dead(var part, _) ->
                    table.netlist().design().part(part).kind() instanceof LoadKind.Lamp;
            case Fault.Broken _,
                    Fault.BadJoint _,
                    Fault.Chafed _,
                    Fault.Exchanged _,
                    Fault.Touching _,
                    Fault.EarthLost _,
                    Fault.PoorEarth _,
                    Fault.Blown _,
                    Fault.Another _ ->
                    true;
            case Fault.DeadCoil _, Fault.DeadPart _, Fault.Stuck _, Fault.Burnt _ -> false;
        };
    }

    /** Where a fault shows: of a lead at the end it is at, of a break or a bad joint the first. */
    private Stream<PartId> places(Fault fault) {
        var design = table.netlist().design();
        if (!(fault instanceof Fault.OfWire of)) {
            return fault.parts(design);
        }
        var wire = design.wire(of.wire());
        var second = fault instanceof Fault.Chafed(_, var place) && place == Fault.Place.SECOND_END;
        return Stream.of((second ? wire.to() : wire.from()).terminal().part());
    }

    private boolean moves(Round round, PartId part) {
        return round.hidden().comesAndGoes()
                && round.left().stream()
                        .flatMap(fault -> fault.parts(table.netlist().design()))
                        .anyMatch(part::equals);
    }

    /**
     * One reading of a way.
     *
     * @param left how many of all that may be wrong still explain what is known
     */
    public record Step(Reading reading, int left) {}

    /**
     * What each reading of a round ruled out; a close look and a test lamp rule out too, but are no
     * reading.
     */
    public List<Step> way(Round round) {
        return way(
                round.done().stream().flatMap(done -> reading(done).stream()).toList(),
                round.hidden().comesAndGoes());
    }

    private List<Step> way(List<Reading> readings, boolean comesAndGoes) {
        var steps = new ArrayList<Step>();
        for (int i = 1; i <= readings.size(); i++) {
            var belief = Belief.of(table, new Evidence(readings.subList(0, i), comesAndGoes));
            steps.add(new Step(readings.get(i - 1), belief.living()));
        }
        return steps;
    }

    private Optional<Reading> reading(Done done) {
        var state = done.state();
        if (done.answer() instanceof Answer.Restless) {
            return Optional.of(told(state, new Telltale.Restless(), true));
        }
        return switch (done.act()) {
            case Act.Volts(var at) when done.answer() instanceof Answer.ShowsVolts(var volts) ->
                    Optional.of(new Reading(state, new Measure.VoltsAt(at), volts.value()));
            case Act.Amps(var feed) when done.answer() instanceof Answer.ShowsAmps(var amps) ->
                    Optional.of(new Reading(state, new Measure.AmpsIn(feed), amps.value()));
            case Act.Glance _ when done.answer() instanceof Answer.Does(var signs) ->
                    Optional.of(
                            told(state, new Telltale.AsDrawn(circuit), signs.equals(sound(state))));
            case Act.Wiggle(var part) when done.answer() instanceof Answer.Changes(var so) ->
                    Optional.of(told(state, new Telltale.Moves(part), so));
            case Act.Volts _, Act.Amps _, Act.Lamp _, Act.Glance _, Act.Look _, Act.Wiggle _ ->
                    Optional.empty();
        };
    }

    private static Reading told(Conditions state, Telltale what, boolean so) {
        return new Reading(state, new Measure.Told(what), so ? 1 : 0);
    }

    /** What the loads do while all is well. */
    private List<Sign> sound(Conditions state) {
        return new Solver(table.netlist())
                .solve(state)
                .settled()
                .map(point -> Sign.of(point, parts()))
                .orElse(List.of());
    }

    /**
     * The way the reasoner goes by volts, and by moving leads where the trouble comes and goes,
     * until it is as good as sure or knows no more.
     */
    public List<Step> reasoned(Hidden hidden) {
        var round = Round.of(Difficulty.FAIR, hidden);
        var readings = new ArrayList<Reading>();
        var state = Conditions.REST;
        var diagnosis = diagnosis(readings, hidden, state);
        while (diagnosis.named().isEmpty() && readings.size() < MOST) {
            var act = next(diagnosis);
            if (act.isEmpty()) {
                break;
            }
            state = diagnosis.next().map(Advice::state).orElse(state);
            readings.add(reading(does(round, act.get(), state).done().getFirst()).orElseThrow());
            diagnosis = diagnosis(readings, hidden, state);
        }
        return way(readings, hidden.comesAndGoes());
    }

    /** Leads are moved before anything is read of what comes and goes. */
    private static Optional<Act> next(Diagnosis diagnosis) {
        return diagnosis
                .wiggle()
                .<Act>map(wiggle -> new Act.Wiggle(wiggle.part()))
                .or(() -> diagnosis.next().map(advice -> new Act.Volts(advice.at())));
    }

    private Diagnosis diagnosis(List<Reading> readings, Hidden hidden, Conditions state) {
        return Diagnosis.of(
                table, new Evidence(readings, hidden.comesAndGoes()), state, () -> true);
    }

    /** What it costs to read those, from rest on. */
    public double minutes(List<Step> way) {
        double minutes = 0;
        var before = Conditions.REST;
        for (var step : way) {
            var reading = step.reading();
            minutes += MOVE * table.moved(before, reading.state()) + cost(reading.what());
            before = reading.state();
        }
        return minutes;
    }

    private double cost(Measure what) {
        return switch (what) {
            case Measure.VoltsAt(var at) -> cost(new Act.Volts(at));
            case Measure.AmpsIn(var wire) -> cost(new Act.Amps(wire));
            case Measure.Told(Telltale.Moves(var part)) -> cost(new Act.Wiggle(part));
            case Measure.Told _, Measure.LightOf _ -> cost(new Act.Glance());
        };
    }
}
