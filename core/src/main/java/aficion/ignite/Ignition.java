package aficion.ignite;

import aficion.job.ControlKind;
import aficion.job.ControlKind.IgnitionBox;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind.IgnitionCoil;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Rpm;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The primary side of a vehicle's ignition as its parts make it: coils in series, their ballast,
 * what makes and breaks their current.
 *
 * @param coils those in series, the one that is fed first
 * @param primary all of them, with the ballast
 * @param ballast the resistor in series; empty without
 * @param breaker points or box
 * @param cylinders that it serves
 * @param dwell share of the time that the current flows
 * @param running volts while the engine runs
 * @param cranking volts while it is cranked
 */
public record Ignition(
        List<Part> coils,
        Primary primary,
        Optional<Part> ballast,
        Optional<Part> breaker,
        int cylinders,
        double dwell,
        Volts running,
        Volts cranking) {
    /** What points stand for good, amps (about 4, with the volts of charging; docs/SOURCES.md). */
    public static final double POINTS_STAND = 5.5;

    /** What the switch in a transistor box stands, amps (typical). */
    public static final double BOX_STANDS = 8;

    /** Where nothing says how many cylinders there are, and how long contacts close (typical). */
    private static final int FOUR = 4;

    private static final double USUAL_DWELL = 0.6;

    /** Below that a spark is weaker than the one it replaces, share of its energy. */
    private static final double WEAKER = 0.75;

    /** What a coil gets rid of, watts, before it boils its oil (typical). */
    private static final double COIL_WARMTH = 45;

    private static final double STEP = 250;

    public Ignition {
        coils = List.copyOf(coils);
    }

    /** The current at a speed, when the contacts open. */
    public record Point(Rpm engine, Amps amps, double joules) {}

    /** How another coil would do. */
    public enum Verdict {
        /** More than points or the box stand. */
        TOO_MUCH,
        /** The coil itself would get too warm. */
        TOO_WARM,
        /** A weaker spark. */
        WEAKER,
        /** As good as the one that is there, or better. */
        GOOD
    }

    /**
     * Another coil, or several, in place of what is there, at the same volts.
     *
     * @param change of the steady current, as a share
     * @param limit what makes and breaks it stands
     * @param warmth of each coil, the engine running
     */
    public record Judged(
            Primary proposed,
            Amps now,
            Amps then,
            double change,
            double joulesNow,
            double joulesThen,
            Optional<Amps> limit,
            Watts warmth,
            Verdict verdict) {}

    /** The ignition of a design; empty where it has no coil that is fed. */
    public static Optional<Ignition> of(Design design) {
        var all =
                design.parts().stream()
                        .filter(part -> part.kind() instanceof IgnitionCoil)
                        .toList();
        return all.stream()
                .filter(coil -> all.stream().noneMatch(other -> follows(design, other, coil)))
                .findFirst()
                .or(() -> all.stream().findFirst())
                .map(first -> of(design, series(design, all, first)));
    }

    /** Whether a coil is fed through another. */
    private static boolean follows(Design design, Part before, Part coil) {
        return Netlist.joined(design, before.terminal("1")).contains(coil.terminal("15"));
    }

    private static List<Part> series(Design design, List<Part> all, Part first) {
        var coils = new ArrayList<Part>();
        var next = Optional.of(first);
        while (next.isPresent()) {
            var last = next.get();
            coils.add(last);
            next =
                    all.stream()
                            .filter(coil -> !coils.contains(coil) && follows(design, last, coil))
                            .findFirst();
        }
        return coils;
    }

    private static Ignition of(Design design, List<Part> coils) {
        var first = coils.getFirst();
        var feed = parts(design, Netlist.joined(design, first.terminal("15")));
        var switched = parts(design, Netlist.joined(design, coils.getLast().terminal("1")));
        var ballast =
                feed.stream().filter(part -> part.kind() instanceof JoinKind.Resistor).findFirst();
        var breaker =
                Stream.concat(switched.stream(), feed.stream())
                        .filter(part -> isBreaker(part.kind()))
                        .findFirst();
        var kind = (IgnitionCoil) first.kind();
        var ohms =
                ballast.map(part -> ((JoinKind.Resistor) part.kind()).resistance())
                        .orElse(new Ohms(0));
        return new Ignition(
                coils,
                new Primary(kind.primary(), kind.inductance(), coils.size(), ohms),
                ballast,
                breaker,
                breaker.map(Ignition::cylinders).orElse(FOUR),
                breaker.map(Ignition::dwell).orElse(USUAL_DWELL),
                design.vehicle().running(),
                design.vehicle().cranking());
    }

    private static List<Part> parts(Design design, Set<Terminal> at) {
        var ids = at.stream().map(Terminal::part).collect(Collectors.toSet());
        return design.parts().stream().filter(part -> ids.contains(part.id())).toList();
    }

    private static boolean isBreaker(Kind kind) {
        return kind instanceof ControlKind.Points || kind instanceof IgnitionBox;
    }

    private static int cylinders(Part breaker) {
        return breaker.kind() instanceof ControlKind.Points points
                ? points.cylinders()
                : ((IgnitionBox) breaker.kind()).cylinders();
    }

    private static double dwell(Part breaker) {
        return breaker.kind() instanceof ControlKind.Points points
                ? points.dwell().value()
                : ((IgnitionBox) breaker.kind()).dwell().value();
    }

    /** Whether a box feeds the coil itself with hundreds of volts, so that no current rises. */
    public boolean discharges() {
        return breaker.filter(part ->
                        part.kind() instanceof IgnitionBox box
                                && box.form() == IgnitionBox.Form.DISCHARGE)
                .isPresent();
    }

    /** What makes and breaks the current stands so much; empty where nothing is known of it. */
    public Optional<Amps> limit() {
        return breaker.filter(_ -> !discharges())
                .map(part ->
                        new Amps(
                                part.kind() instanceof ControlKind.Points
                                        ? POINTS_STAND
                                        : BOX_STANDS));
    }

    /** The current that the contacts break, and its energy, up to a speed of the engine. */
    public List<Point> rise(Primary coil, Rpm top) {
        var points = new ArrayList<Point>();
        for (double rpm = STEP; rpm <= top.value() + STEP; rpm += STEP) {
            points.add(at(coil, new Rpm(rpm)));
        }
        return points;
    }

    /** The current that the contacts break at a speed. */
    public Point at(Primary coil, Rpm engine) {
        var amps = coil.after(running, Primary.closed(engine.value(), cylinders, dwell));
        return new Point(engine, amps, coil.joules(amps));
    }

    /**
     * What flows while it is cranked, at the volts that are left then.
     *
     * @param bypassed whether the ballast is bypassed meanwhile
     */
    public Amps started(boolean bypassed) {
        return primary.behind(bypassed ? new Ohms(0) : primary.ballast()).steady(cranking);
    }

    /** So many coils of another kind behind the ballast that is there. */
    public Primary behindItsBallast(IgnitionCoil kind, int count) {
        return new Primary(kind.primary(), kind.inductance(), count, primary.ballast());
    }

    /** Another coil against what is there, at some volts. */
    public Judged against(Primary proposed, Volts supply) {
        var now = primary.steady(supply);
        var then = proposed.steady(supply);
        double joulesNow = primary.joules(now);
        double joulesThen = proposed.joules(then);
        var warmth = Primary.warmth(proposed.ohms(), then, dwell);
        return new Judged(
                proposed,
                now,
                then,
                then.value() / now.value() - 1,
                joulesNow,
                joulesThen,
                limit(),
                warmth,
                verdict(then, joulesThen / joulesNow, warmth));
    }

    private Verdict verdict(Amps then, double energy, Watts warmth) {
        if (limit().filter(stands -> then.value() > stands.value()).isPresent()) {
            return Verdict.TOO_MUCH;
        }
        if (warmth.value() > COIL_WARMTH) {
            return Verdict.TOO_WARM;
        }
        return energy < WEAKER ? Verdict.WEAKER : Verdict.GOOD;
    }
}
