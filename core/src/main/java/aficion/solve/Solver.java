package aficion.solve;

import aficion.job.PartId;
import aficion.netlist.Branch;
import aficion.netlist.Conditions;
import aficion.netlist.Netlist;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Finds the operating point of a netlist. Coils begin at rest and move until none wants to move;
 * then settling resistances and sensing sources meet their law; then the fuse that is overloaded
 * most opens and all begins again. A state of the coils that comes back is tried once more with one
 * coil at a time, and if it comes back then it is chatter.
 *
 * <p>One solver serves one netlist and one thread. It keeps the network of the last state, so that
 * the next one is found from there; the result does not depend on it.
 */
public final class Solver {
    private static final int MOST_PASSES = 600;

    /** After so many passes a resistance that creeps along a kink has settled well enough. */
    private static final int PATIENT = 60;

    private static final double ROUGHLY = 1e-6;

    /** Amps that no resistance is settled for. */
    private static final double NEXT_TO_NOTHING = 1e-5;

    /** What a stabiliser resists that has no need to feed, ohms. */
    private static final double OPEN = 1e6;

    /** Behind so many ohms there is nothing to feed. */
    private static final double BLIND = 1e8;

    /** After so many times a step that has been shortened does not grow again. */
    private static final int MOST_OVERSHOT = 8;

    private static final double GROWTH = 1.2;

    /** Below it a series of four terms is exact to the last digits. */
    private static final double SMALL = 0.01;

    /** How far above its set point a sensing source may go to make up for its lead, in volts. */
    private static final double MOST_RAISED = 2;

    private final Network network;
    private final int[] settling;
    private final int[] fuses;
    private final double[] gain;
    private final double[] missed;
    private final int[] overshot;
    private final Set<BitSet> seen = new HashSet<>();
    private final BitSet restless = new BitSet();

    /** The coils that what was before has left pulled in, for as long as they hold. */
    private final BitSet holding = new BitSet();

    /** The coils that stay as they are, whatever they want. */
    private final BitSet frozen = new BitSet();

    private boolean oneAtATime;

    /** What is noted on the way to rest, where something is. */
    private @Nullable Track track;

    public Solver(Netlist netlist) {
        this(new Network(netlist, Conditions.REST));
    }

    /** A solver that goes on with a network where it stands. */
    public Solver(Network network) {
        this.network = network;
        this.settling = network.netlist().bending().toArray();
        this.gain = new double[network.netlist().size()];
        this.missed = new double[gain.length];
        this.overshot = new int[gain.length];
        this.fuses =
                IntStream.range(0, network.netlist().size())
                        .filter(i -> network.branch(i) instanceof Branch.FuseBranch)
                        .toArray();
    }

    /** A solver of another netlist of the same topology, which is not ordered anew. */
    Solver of(Netlist next) {
        return new Solver(
                new Network(next, Conditions.REST, network.accuracy(), network.pattern()));
    }

    /** Notes from now on what happens at rest and on the way to it. */
    void note(Track track) {
        this.track = track;
    }

    /** What it solves. */
    public Netlist netlist() {
        return network.netlist();
    }

    /** The network it works on. */
    public Network network() {
        return network;
    }

    /** The operating point under the conditions, or why there is none. */
    public Outcome solve(Conditions conditions) {
        return solve(conditions, true);
    }

    /**
     * The same with every guard that is in held closed, whatever it carries: what the vehicle asks
     * for, not what its guards leave of it.
     */
    public Outcome demand(Conditions conditions) {
        return solve(conditions, false);
    }

    /**
     * The demand while relays that cannot come to rest are in, or are out: what they switch is
     * asked for in one of the two.
     */
    public Outcome demand(Conditions conditions, List<PartId> restless, boolean in) {
        arrive(conditions, false);
        for (int coil = 0; coil < network.coils(); coil++) {
            if (restless.contains(netlist().coilPart(coil))) {
                network.pull(coil, in);
                frozen.set(coil);
            }
        }
        try {
            return settle(false) == Rest.SETTLED
                    ? OperatingPoint.checked(conditions, network)
                    : new Outcome.Unsolvable(Outcome.Reason.NOT_SETTLED, List.of());
        } finally {
            frozen.clear();
        }
    }

    /**
     * The demand under the conditions of a point that was found for wires a little otherwise, from
     * there; empty where a coil would move, and where nothing is found that can be believed.
     */
    Optional<OperatingPoint> demandNear(OperatingPoint near) {
        stand(near);
        return settle(false) == Rest.SETTLED && restless.isEmpty()
                ? OperatingPoint.near(near, network)
                : Optional.empty();
    }

    /** The operating point under conditions as they were come to, told without what was before. */
    public Outcome follow(Conditions conditions) {
        var outcome = solve(conditions, true);
        return outcome instanceof Outcome.Solved
                ? OperatingPoint.checked(conditions.alone(), network)
                : outcome;
    }

    private Outcome solve(Conditions conditions, boolean fusesOpen) {
        arrive(conditions, fusesOpen);
        return switch (settle(fusesOpen)) {
            case SETTLED -> OperatingPoint.checked(conditions, network);
            case CHATTERING -> new Outcome.Chattering(restlessParts());
            case LOST -> new Outcome.Unsolvable(Outcome.Reason.NOT_SETTLED, List.of());
        };
    }

    /** Puts everything where conditions begin: at rest, or as what was before has left it. */
    public void arrive(Conditions conditions) {
        arrive(conditions, true);
    }

    private void arrive(Conditions conditions, boolean fusesOpen) {
        var held = new BitSet();
        conditions
                .before()
                .ifPresent(earlier -> {
                    arrive(earlier, fusesOpen);
                    settle(fusesOpen);
                    held.or(coils());
                });
        network.meet(conditions);
        network.rest();
        holding.clear();
        held.stream()
                .forEach(coil -> {
                    network.pull(coil, true);
                    holding.set(coil, network.coil(coil).holds() > 0);
                });
    }

    /** Puts everything where it is at a point of the same netlist, or one of other wires. */
    public void stand(OperatingPoint point) {
        network.stand(point);
        holding.clear();
    }

    /** Moves everything until it rests, from where it stands; whether it could. */
    public boolean comesToRest() {
        return settle(true) == Rest.SETTLED;
    }

    /**
     * Moves coils and resistances until they rest, and leaves the fuses alone; whether it could.
     */
    public boolean movesCoils() {
        return settle(false) == Rest.SETTLED;
    }

    /** Brings settling resistances and sensing sources one step closer to their law. */
    public void relax() {
        resistancesMoved(tolerance());
    }

    /** What became of {@link #settle}. */
    enum Rest {
        SETTLED,
        CHATTERING,
        LOST
    }

    private Rest settle(boolean fusesOpen) {
        Arrays.fill(gain, 1);
        Arrays.fill(missed, 0);
        Arrays.fill(overshot, 0);
        oneAtATime = false;
        restless.clear();
        seen.clear();
        seen.add(coils());
        for (int pass = 0; pass < MOST_PASSES; pass++) {
            if (!network.solve()) {
                return Rest.LOST;
            }
            if (track != null) {
                track.note(network);
            }
            if (coilsMoved()) {
                if (!seen.add(coils())) {
                    if (oneAtATime) {
                        return Rest.CHATTERING;
                    }
                    oneAtATime = true;
                    seen.clear();
                    restless.clear();
                }
            } else if (!resistancesMoved(
                            pass < PATIENT ? tolerance() : Math.max(tolerance(), ROUGHLY))
                    && !(fusesOpen && fuseOpened())) {
                return Rest.SETTLED;
            }
        }
        return Rest.LOST;
    }

    private double tolerance() {
        return network.accuracy().share;
    }

    /** The coils that are pulled in. */
    public BitSet coils() {
        var bits = new BitSet(network.coils());
        for (int i = 0; i < network.coils(); i++) {
            bits.set(i, network.pulled(i));
        }
        return bits;
    }

    private boolean coilsMoved() {
        boolean moved = false;
        for (int i = 0; i < network.coils() && !(moved && oneAtATime); i++) {
            boolean wanted = network.wantsIn(i);
            if (wanted != network.pulled(i) && !holding.get(i) && !frozen.get(i)) {
                network.pull(i, wanted);
                restless.set(i);
                moved = true;
            }
        }
        return moved;
    }

    private List<PartId> restlessParts() {
        return restless.stream().mapToObj(netlist()::coilPart).toList();
    }

    private boolean resistancesMoved(double tolerance) {
        boolean moved = false;
        for (int i : settling) {
            double before = network.settled(i);
            double wanted =
                    switch (network.branch(i)) {
                        case Branch.ControlledResistance branch ->
                                Math.max(branch.least(), damped(i, aimed(branch, before)));
                        case Branch.Limited source ->
                                source.sense()
                                        .map(sense -> raised(i, source, sense))
                                        .orElse(before);
                        case Branch.Source source ->
                                source.sense()
                                        .map(sense -> raised(i, source, sense))
                                        .orElse(before);
                        default -> before;
                    };
            if (Math.abs(wanted - before) > tolerance * Math.abs(before)
                    && !(network.branch(i) instanceof Branch.ControlledResistance
                            && fades(i, wanted))) {
                network.settle(i, wanted);
                moved = true;
            }
        }
        return moved;
    }

    /** Whether a settling resistance passes next to nothing, before and after. */
    private boolean fades(int branch, double wanted) {
        double volts = Math.abs(network.across(branch));
        return volts < NEXT_TO_NOTHING * Math.min(wanted, network.settled(branch));
    }

    /**
     * Moves towards what is aimed at, by less each time it has been overshot: where the rest of the
     * network has a kink, the aim may jump to and fro for ever.
     */
    private double damped(int branch, double aim) {
        double before = network.settled(branch);
        double missing = aim - before;
        if (missing * missed[branch] < 0) {
            overshot[branch]++;
            gain[branch] /= 2;
        } else if (overshot[branch] < MOST_OVERSHOT) {
            gain[branch] = Math.min(1, GROWTH * gain[branch]);
        }
        missed[branch] = missing;
        return before + gain[branch] * missing;
    }

    /**
     * The volts a source that gives aims at so that its sense lead has what it should have. Where
     * it gives all it can, or nothing, it is taken to the edge of where it regulates first, and
     * left alone when that would not help.
     */
    private double raised(int branch, Branch.Limited source, Branch.Sense sense) {
        double before = network.settled(branch);
        double missing = missing(source.emf(), source.sign(), sense);
        double volts = source.sign() * network.across(branch);
        double full = volts + source.limit() * source.ohms();
        if (missing > 0) {
            return full < before
                    ? before
                    : within(source.emf(), damped(branch, Math.max(before, volts) + missing));
        }
        return volts >= before
                ? before
                : within(source.emf(), damped(branch, Math.min(before, full) + missing));
    }

    /** The same for a shunt, which only takes. */
    private double raised(int branch, Branch.Source source, Branch.Sense sense) {
        double before = network.settled(branch);
        double missing = missing(source.emf(), 1, sense);
        double volts = network.across(branch);
        if (missing > 0 && volts < before) {
            return before;
        }
        return within(source.emf(), damped(branch, Math.min(before, volts) + missing));
    }

    private double missing(double emf, int sign, Branch.Sense sense) {
        boolean blind = network.floats(sense.node()) || network.floats(sense.against());
        return blind
                ? emf
                : emf - sign * (network.volts(sense.node()) - network.volts(sense.against()));
    }

    private static double within(double emf, double wanted) {
        return Math.clamp(wanted, emf / 2, emf + MOST_RAISED);
    }

    /**
     * The resistance that would meet the law if the rest of the network were a voltage behind a
     * resistance.
     */
    private double aimed(Branch.ControlledResistance settling, double ohms) {
        double volts = network.volts(settling.a()) - network.volts(settling.b());
        double amps = volts / ohms;
        double seen = network.resistanceBetween(settling.a(), settling.b());
        double behind = 1 / Math.max(1 / seen - 1 / ohms, 1e-9);
        double open = volts + amps * behind;
        return switch (settling.law()) {
            case Branch.Law.Dwell dwell -> dwelling(dwell, behind);
            case Branch.Law.MeanVolts(var sense, var target) -> {
                double out = network.volts(settling.b()) - network.volts(sense);
                double raises =
                        behind / seen * (network.raised(sense) - network.raised(settling.b()));
                boolean blind = network.floats(sense) || behind > BLIND || raises <= 0;
                yield blind
                        ? settling.least()
                        : feeding(target, out, raises, amps, Math.signum(out) * open, behind);
            }
        };
    }

    /**
     * The resistance behind which so many volts come out, be its output fed from elsewhere too;
     * next to none passes where that alone gives as many.
     *
     * @param raises by how many volts each ampere more that passes raises what comes out
     */
    private static double feeding(
            double target, double out, double raises, double amps, double open, double behind) {
        double wanted = Math.signum(out) * amps + (target - Math.abs(out)) / raises;
        return wanted <= Math.abs(open) / OPEN
                ? OPEN
                : Math.max(0, open - wanted * behind) / wanted;
    }

    /**
     * Current that rises as V/R·(1−e^(−t/τ)) while the contact is closed has the mean
     * V/R·share·(1−(1−e^(−x))/x) over the period, x = closed time/τ, τ = L/R; the resistance in
     * series that gives the same mean.
     */
    private static double dwelling(Branch.Law.Dwell dwell, double circuit) {
        double x = dwell.share() * dwell.period() * circuit / Math.max(dwell.henries(), 1e-9);
        return circuit * (1 / (dwell.share() * risen(x)) - 1);
    }

    /** 1−(1−e^(−x))/x; of what is small by its series, which keeps all digits there. */
    private static double risen(double x) {
        return x < SMALL
                ? x * (1 - x * (1 - x * (1 - x / 5) / 4) / 3) / 2
                : 1 - (1 - Math.exp(-x)) / x;
    }

    private boolean fuseOpened() {
        int worst = -1;
        double most = 1;
        for (int i : fuses) {
            if (network.branch(i) instanceof Branch.FuseBranch fuse && network.whole(i)) {
                double overload = Math.abs(network.amps(i)) / fuse.opens();
                if (overload >= most) {
                    most = overload;
                    worst = i;
                }
            }
        }
        if (worst < 0) {
            return false;
        }
        network.fuse(worst, false);
        seen.clear();
        seen.add(coils());
        return true;
    }
}
