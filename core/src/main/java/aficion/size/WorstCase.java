package aficion.size;

import aficion.job.PartId;
import aficion.job.Position;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.netlist.Conditions;
import aficion.netlist.Controls;
import aficion.netlist.Netlist;
import aficion.netlist.OperatingStates;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.solve.Answers;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What is asked of every branch over the operating states of all circuits, with every guard held
 * closed: a guard that opens must not hide what opened it. Once for what may last, once for what a
 * hand has to hold, once for what goes on with the key off.
 *
 * <p>States of a circuit: {@link OperatingStates#of}, with all other switches at rest and again
 * with all others where they load the source most, each with battery alone, with the engine on the
 * road, and so with a flat battery; and what each of the heaviest leaves behind ({@link
 * OperatingStates#aftermath}). A state in which bare metal shorts a battery asks nothing of the
 * wires: it is a {@link Short}, and what its guards leave of it is judged.
 */
public final class WorstCase {
    private final Answers answers;
    private final Set<Conditions> heaviest;
    private final List<Asked> states;
    private final Netlist netlist;
    private final List<Warming> bundles;
    private final Metal metal;
    private final Peaks steady;
    private final Peaks held;
    private final Peaks off;
    private final Peaks rest;
    private final List<Trouble> troubles;
    private final List<Short> shorts;
    private final List<OperatingPoint> bases;
    private final double[] leastVolts;
    private final double[] mostVolts;
    private final Set<Metal.Joined> joined;
    private final BitSet live;
    private final BitSet earthed;
    private final BitSet together;
    private volatile @Nullable Set<Integer> returning;
    private final List<OperatingPoint> points;

    /** The largest current of a branch, with its direction, and the state it flows in. */
    public record Peak(Amps amps, OperatingPoint point) {
        /** Whether it is the same current in the same state, be it of another netlist. */
        boolean isSameAs(Peak other) {
            return amps.equals(other.amps) && point.isSameAs(other.point);
        }
    }

    /** A state that has no operating point. */
    public record Trouble(Conditions conditions, Outcome outcome) {}

    /** A state in which bare metal joins the poles of a battery, by those branches. */
    public record Short(Conditions conditions, List<Integer> way, OperatingPoint point) {
        public Short {
            way = List.copyOf(way);
        }
    }

    /** The least and the most volts across a branch, over all states. */
    public record Span(Volts least, Volts most) {
        /** The most, either way round. */
        public double largest() {
            return Math.max(most.value(), -least.value());
        }
    }

    /** A state that is asked, and where the controls are in it. */
    private record Asked(Conditions conditions, boolean isHeld, boolean isOff, boolean isAtRest) {
        static Asked of(Controls controls, Conditions state) {
            return new Asked(
                    state,
                    OperatingStates.isHeld(controls, state),
                    OperatingStates.isOff(controls, state),
                    OperatingStates.isAtRest(controls, state));
        }
    }

    /** A state that was solved, and what metal joins in it. */
    private record State(OperatingPoint point, Metal.Bond bond) {}

    /** The wires of a bundle, each with what a metre of it resists, and when they lose most. */
    private static final class Warming {
        private final Bundle.Mates mates;
        private final int[] wires;
        private final double[] perMetre;
        private double most = -1;
        private @Nullable OperatingPoint warmest;

        Warming(Netlist netlist, Bundle.Mates mates) {
            this.mates = mates;
            this.wires = mates.wires().stream().mapToInt(netlist::branch).toArray();
            this.perMetre =
                    mates.wires().stream()
                            .mapToDouble(wire -> wire.conductor().perMetre().value())
                            .toArray();
        }

        void take(OperatingPoint point) {
            double lost = lost(point);
            if (lost > most) {
                most = lost;
                warmest = point;
            }
        }

        /** What they lose in a state, watts a metre. */
        private double lost(OperatingPoint point) {
            double lost = 0;
            for (int i = 0; i < wires.length; i++) {
                double amps = point.branchAmps(wires[i]);
                lost += amps * amps * perMetre[i];
            }
            return lost;
        }
    }

    private WorstCase(Answers answers, Metal metal, Set<Conditions> heaviest, List<Asked> states) {
        this.answers = answers;
        this.heaviest = heaviest;
        this.states = states;
        this.netlist = answers.netlist();
        this.bundles =
                Bundle.of(netlist.design()).stream()
                        .map(mates -> new Warming(netlist, mates))
                        .toList();
        this.metal = metal;
        this.steady = new Peaks(netlist.size());
        this.held = new Peaks(netlist.size());
        this.off = new Peaks(netlist.size());
        this.rest = new Peaks(netlist.size());
        this.troubles = new ArrayList<>();
        this.shorts = new ArrayList<>();
        this.bases = new ArrayList<>();
        this.points = new ArrayList<>();
        this.leastVolts = new double[netlist.size()];
        this.mostVolts = new double[netlist.size()];
        this.joined = new HashSet<>();
        this.live = new BitSet();
        this.earthed = new BitSet();
        this.together = new BitSet();
    }

    /** Asks every state of a design. */
    static WorstCase of(Answers answers) {
        var metal = new Metal(answers.netlist());
        var heaviest = heaviest(answers, metal);
        return new WorstCase(answers, metal, heaviest, asked(answers.netlist(), heaviest)).taken();
    }

    /** The same of answers for another netlist of the same topology. */
    WorstCase after(Answers next) {
        var heaviest = heaviest(next, metal);
        return new WorstCase(
                        next,
                        metal,
                        heaviest,
                        heaviest.equals(this.heaviest) ? states : asked(next.netlist(), heaviest))
                .taken();
    }

    private static List<Asked> asked(Netlist netlist, Set<Conditions> heaviest) {
        return states(netlist, heaviest).stream()
                .map(state -> Asked.of(netlist.controls(), state))
                .toList();
    }

    private WorstCase taken() {
        for (var base : heaviest) {
            for (var state : OperatingStates.withSources(netlist.controls(), base)) {
                demanded(state, answers.demand(state)).map(State::point).ifPresent(bases::add);
            }
        }
        for (var asked : states) {
            var demand = answers.demand(asked.conditions);
            demand.settled().ifPresent(points::add);
            demanded(asked.conditions, demand).ifPresent(state -> take(asked, state));
        }
        for (var trouble : List.copyOf(troubles)) {
            takeBuzzing(trouble);
        }
        rate();
        return this;
    }

    /** What is asked in a state; what the guards leave of it where metal shorts a battery. */
    private Optional<State> demanded(Conditions conditions, Outcome demand) {
        var asked = believed(conditions, demand);
        var way = asked.flatMap(state -> state.bond.way());
        if (way.isEmpty()) {
            return asked;
        }
        if (shorts.stream().noneMatch(known -> known.way().equals(way.get()))) {
            shorts.add(new Short(conditions, way.get(), asked.orElseThrow().point));
        }
        return believed(conditions, answers.solve(conditions))
                .filter(state -> !state.bond.shorted());
    }

    /** Takes what is asked while relays that buzz are in, and while they are out. */
    private void takeBuzzing(Trouble trouble) {
        if (trouble.outcome() instanceof Outcome.Chattering(var relays)) {
            for (boolean in : List.of(true, false)) {
                if (answers.demand(trouble.conditions(), relays, in)
                        instanceof Outcome.Solved(var point)) {
                    var state = new State(point, metal.in(point));
                    if (!state.bond.shorted()) {
                        take(Asked.of(netlist.controls(), trouble.conditions()), state);
                    }
                }
            }
        }
    }

    private Optional<State> believed(Conditions conditions, Outcome outcome) {
        if (outcome instanceof Outcome.Solved(var point)) {
            return Optional.of(new State(point, metal.in(point)));
        }
        troubles.add(new Trouble(conditions, outcome));
        return Optional.empty();
    }

    private void take(Asked asked, State solved) {
        var point = solved.point;
        if (asked.isHeld) {
            held.take(point);
        } else if (steady.take(point)) {
            bundles.forEach(bundle -> bundle.take(point));
        }
        if (asked.isOff) {
            off.take(point);
        }
        if (asked.isAtRest && !point.holdsForAWhile()) {
            rest.take(point);
        }
        for (int branch = netlist.wires(); branch < leastVolts.length; branch++) {
            double volts = point.branchVolts(branch);
            if (volts < leastVolts[branch]) {
                leastVolts[branch] = volts;
            } else if (volts > mostVolts[branch]) {
                mostVolts[branch] = volts;
            }
        }
        if (joined.add(solved.bond.joined())) {
            take(solved.bond.joined());
        }
    }

    private void take(Metal.Joined metal) {
        for (int node = 0; node < netlist.nodes(); node++) {
            if (metal.earthed(node)) {
                earthed.set(node);
            } else if (metal.live(node)) {
                live.set(node);
            }
        }
        for (int i = 0; i < netlist.size(); i++) {
            int a = netlist.a(i);
            int b = netlist.b(i);
            if (metal.live(a) && metal.earthed(b) || metal.earthed(a) && metal.live(b)) {
                together.set(i);
            }
        }
    }

    /**
     * Asks of the way from each source to the battery what the source is rated for, whatever
     * happened to flow: a flat battery takes it all.
     */
    private void rate() {
        for (var source : netlist.design().parts()) {
            Charger.of(netlist.design(), source).ifPresent(this::rate);
        }
    }

    private void rate(Charger charger) {
        for (var base : bases) {
            var bond = metal.in(base);
            for (var battery : charger.batteries()) {
                int out = netlist.node(charger.output());
                int pole = netlist.node(battery);
                if (base.conditions().engine().value() > 0 && bond.together(out, pole)) {
                    bond.way(out, pole)
                            .forEach(branch -> steady.raise(branch, charger.rated(), base));
                    returning(charger, bond)
                            .forEach(branch -> steady.raise(branch, charger.rated(), base));
                    return;
                }
            }
        }
    }

    /** The way back from the earthed poles of the batteries to the case of what charges. */
    private List<Integer> returning(Charger charger, Metal.Bond bond) {
        int back = netlist.node(charger.back());
        return charger.earthed().stream()
                .map(netlist::node)
                .filter(pole -> bond.together(pole, back))
                .findFirst()
                .map(pole -> bond.way(pole, back))
                .orElse(List.of());
    }

    /** Whether a wire lies on the way by which the body leads back to a battery. */
    public boolean returns(int branch) {
        var known = returning;
        if (known == null) {
            known = returning();
            returning = known;
        }
        return known.contains(branch);
    }

    private Set<Integer> returning() {
        var ways = new HashSet<Integer>();
        any().ifPresent(point -> {
            var bond = metal.in(point);
            for (var part : netlist.design().parts()) {
                if (part.kind() instanceof SourceKind.Battery) {
                    for (var pole : part.terminals()) {
                        int node = netlist.node(pole);
                        if (bond.earthed(node)) {
                            ways.addAll(bond.way(0, node));
                        }
                    }
                }
            }
        });
        return ways;
    }

    /** Every state a design is judged in, each once. */
    public static Set<Conditions> states(Netlist netlist) {
        return states(netlist, heaviest(new Answers(netlist), new Metal(netlist)));
    }

    private static Set<Conditions> states(Netlist netlist, Set<Conditions> bases) {
        var design = netlist.design();
        var controls = netlist.controls();
        var states = new LinkedHashSet<Conditions>();
        for (var circuit : design.circuits()) {
            for (var basis : bases) {
                OperatingStates.of(design, circuit.id(), basis)
                        .forEach(state ->
                                states.addAll(OperatingStates.withSources(controls, state)));
            }
        }
        for (var state : before(controls, bases)) {
            states.addAll(OperatingStates.aftermath(controls, state));
        }
        return states;
    }

    /** The states whose aftermath is judged: the heaviest, and each pulse of a hand. */
    private static Set<Conditions> before(Controls controls, Set<Conditions> bases) {
        var before = new LinkedHashSet<>(bases);
        before.remove(Conditions.REST);
        for (var control : controls.controls()) {
            control.positions().stream()
                    .filter(Position::springs)
                    .forEach(position -> {
                        for (var key : OperatingStates.keys(controls, Conditions.REST)) {
                            before.add(key.with(control.name(), position.name()));
                        }
                    });
        }
        return before;
    }

    /** At rest; and for each position of the key everything else where it loads the source most. */
    private static Set<Conditions> heaviest(Answers answers, Metal metal) {
        var netlist = answers.netlist();
        var heaviest = new LinkedHashSet<>(List.of(Conditions.REST));
        heaviest.addAll(
                OperatingStates.heaviest(
                        netlist.design(),
                        OperatingStates.keys(netlist.controls(), Conditions.REST),
                        state -> drawn(answers, metal, state)));
        return heaviest;
    }

    /** What is asked of the sources in a state; nothing where it is a short. */
    private static double drawn(Answers answers, Metal metal, Conditions state) {
        return answers.demand(state) instanceof Outcome.Solved(var point)
                        && !metal.in(point).shorted()
                ? Supply.of(point).drawn().value()
                : 0;
    }

    /** The wires of a bundle, and the lasting state in which they get warmest. */
    public record Warmest(Bundle.Mates mates, OperatingPoint point) {}

    /** Of each bundle when it gets warmest; without those never solved. */
    public List<Warmest> warmest() {
        return bundles.stream()
                .flatMap(each ->
                        Stream.ofNullable(each.warmest)
                                .map(point -> new Warmest(each.mates, point)))
                .toList();
    }

    /** Any state that could be solved. */
    Optional<OperatingPoint> any() {
        return steady.any().or(held::any);
    }

    /** Every state that could be solved, as it is asked for, a short among them. */
    public List<OperatingPoint> points() {
        return Collections.unmodifiableList(points);
    }

    /** What metal joins. */
    public Metal metal() {
        return metal;
    }

    /** States in which metal shorts a battery, each way once. */
    public List<Short> shorts() {
        return List.copyOf(shorts);
    }

    /** Whether more shorts a battery than before. */
    public boolean isShortedMoreThan(WorstCase before) {
        return shorts.size() > before.shorts.size();
    }

    /** Whether metal leads from a terminal to a live pole in some state. */
    public boolean everLive(Terminal terminal) {
        return live.get(netlist.node(terminal));
    }

    /** Whether metal leads from a terminal to the vehicle's earth in some state. */
    public boolean everEarthed(Terminal terminal) {
        return earthed.get(netlist.node(terminal));
    }

    /**
     * Whether in some state metal leads one end of a branch inside a part to a live pole and the
     * other to earth.
     */
    public boolean everTogether(PartId part, String role) {
        var branch = netlist.inside(part).get(role);
        return branch != null && together.get(branch);
    }

    /** The largest current of a branch inside a part with everything off and the engine still. */
    public Optional<Peak> atRest(PartId part, String role) {
        return Optional.ofNullable(netlist.inside(part).get(role)).flatMap(rest::of);
    }

    /** The largest current of a branch inside a part while the key is off. */
    public Optional<Peak> keyOff(PartId part, String role) {
        return Optional.ofNullable(netlist.inside(part).get(role)).flatMap(off::of);
    }

    /** States that could not be solved; nothing is known of them. */
    public List<Trouble> troubles() {
        return List.copyOf(troubles);
    }

    /**
     * The states with most on: at rest, and for each position of the key everything else where it
     * loads the source most; each with the sources it may meet.
     */
    public List<OperatingPoint> bases() {
        return List.copyOf(bases);
    }

    /** What volts a branch inside a part sees, over all states. */
    public Optional<Span> volts(PartId part, String role) {
        return Optional.ofNullable(netlist.inside(part).get(role)).map(this::volts);
    }

    /** What volts a branch inside a part sees, over all states. */
    public Span volts(int branch) {
        return new Span(new Volts(leastVolts[branch]), new Volts(mostVolts[branch]));
    }

    /** The largest lasting current of a wire; empty when no state could be solved. */
    public Optional<Peak> steady(Wire wire) {
        return steady.of(netlist.branch(wire));
    }

    /** The largest current of a wire while a hand holds something. */
    public Optional<Peak> held(Wire wire) {
        return held.of(netlist.branch(wire));
    }

    /** The largest lasting current of a branch inside a part. */
    public Optional<Peak> steady(PartId part, String role) {
        return Optional.ofNullable(netlist.inside(part).get(role)).flatMap(steady::of);
    }

    /** The largest current of a branch inside a part while a hand holds something. */
    public Optional<Peak> held(PartId part, String role) {
        return Optional.ofNullable(netlist.inside(part).get(role)).flatMap(held::of);
    }

    /** The largest current of a branch inside a part, lasting or held. */
    public Optional<Peak> largest(PartId part, String role) {
        var held = held(part, role);
        var steady = steady(part, role);
        return held.isPresent()
                        && (steady.isEmpty()
                                || Math.abs(held.get().amps().value())
                                        > Math.abs(steady.get().amps().value()))
                ? held
                : steady;
    }
}
