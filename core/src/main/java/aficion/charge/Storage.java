package aficion.charge;

import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.GuardKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Seconds;
import aficion.quantity.Volts;
import aficion.size.Supply;
import aficion.solve.OperatingPoint;
import aficion.solve.Outcome;
import aficion.solve.Solver;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The batteries of a design when the engine is cranked in frost, and what stands between them and
 * everything: isolator and main guards by what they carry then and in the heaviest use.
 *
 * @param each battery, with what it gives while the engine is cranked
 * @param cranking how it cranks; empty where nothing does
 * @param between what everything, or all that cranks, goes through
 * @param stands how long it stands; empty where nothing is drawn
 */
public record Storage(
        List<Gives> each,
        Optional<Cranking> cranking,
        List<Between> between,
        Optional<Seconds> stands) {
    /** Share of the cranking current that is still seen to, at the least. */
    private static final double SOME = 0.5;

    private static final double HEAVY = 10;
    private static final double LITTLE = 1;

    /** A battery, what it gives and its volts while it does. */
    public record Gives(PartId battery, Amps amps, Volts volts) {}

    /**
     * How it cranks.
     *
     * @param amps through the starter
     * @param atStarter volts between its terminals
     * @param lost volts in leads and joints, out and back
     * @param way of cable between battery and starter, out and back
     * @param wants volts that the battery is to hold at the least
     */
    public record Cranking(
            PartId starter,
            Amps amps,
            Volts atBattery,
            Volts atStarter,
            Volts lost,
            Metres way,
            Volts wants) {
        /** Whether the battery holds what it is to. */
        public boolean holds() {
            return atBattery.value() >= wants.value();
        }
    }

    /**
     * A contact or a fuse.
     *
     * @param way of the part: of a fuse box or a switch; empty for a single fuse
     * @param cranking what it carries while the engine is cranked
     * @param use what it carries at the most in use
     * @param rating what it is made for; empty where it says nothing
     */
    public record Between(PartId part, String way, Amps cranking, Amps use, Optional<Amps> rating) {
        /** Whether it carries more in use than it is made for. */
        public boolean isOverloaded() {
            return rating.filter(made -> use.value() > made.value()).isPresent();
        }
    }

    public Storage {
        each = List.copyOf(each);
        between = List.copyOf(between);
    }

    /** The batteries of a design, by its situations. */
    public static Storage of(Design design, List<Situation> situations) {
        var solver = new Solver(Netlist.of(design));
        var cranked = point(solver, situations, Situation.CRANKING);
        var used = point(solver, situations, Situation.WET_NIGHT);
        return new Storage(
                cranked.or(() -> used).map(point -> each(design, point)).orElse(List.of()),
                cranked.flatMap(point -> cranking(design, point)),
                between(design, cranked, used),
                situations.stream()
                        .filter(situation -> situation.name().equals(Situation.PARKED))
                        .findFirst()
                        .map(situation -> Balance.of(design, situation))
                        .flatMap(rest -> rest.points().stream().findFirst().flatMap(rest::lasts)));
    }

    private static Optional<OperatingPoint> point(
            Solver solver, List<Situation> situations, String name) {
        return situations.stream()
                .filter(situation -> situation.name().equals(name) && !situation.own())
                .findFirst()
                .flatMap(situation ->
                        solver.solve(situation.conditions()) instanceof Outcome.Solved(var point)
                                ? Optional.of(point)
                                : Optional.empty());
    }

    private static List<Gives> each(Design design, OperatingPoint point) {
        return design.parts().stream()
                .filter(part -> part.kind() instanceof SourceKind.Battery)
                .map(part ->
                        new Gives(
                                part.id(),
                                new Amps(-amps(point, part, "output")),
                                point.across(part.id(), "output").orElse(new Volts(0))))
                .toList();
    }

    private static Optional<Cranking> cranking(Design design, OperatingPoint point) {
        var starter =
                design.parts().stream()
                        .filter(part -> LoadKind.cranks(part.kind()))
                        .max(Comparator.comparingDouble(part -> motor(point, part)));
        var across = Supply.of(point).volts();
        if (starter.isEmpty() || across.isEmpty() || motor(point, starter.get()) < HEAVY) {
            return Optional.empty();
        }
        double amps = motor(point, starter.get());
        double at = acrossMotor(point, starter.get());
        double poles = Math.abs(across.get().value());
        return Optional.of(
                new Cranking(
                        starter.get().id(),
                        new Amps(amps),
                        new Volts(poles),
                        new Volts(at),
                        new Volts(poles - at),
                        cable(design, point, amps),
                        design.vehicle().cranking()));
    }

    private static String role(Part part) {
        return part.kind() instanceof LoadKind.Starter ? "motor" : "body";
    }

    private static double motor(OperatingPoint point, Part part) {
        return Math.abs(amps(point, part, role(part)));
    }

    private static double acrossMotor(OperatingPoint point, Part part) {
        return Math.abs(point.across(part.id(), role(part)).map(Volts::value).orElse(0.0));
    }

    private static double amps(OperatingPoint point, Part part, String role) {
        return point.through(part.id(), role).map(Amps::value).orElse(0.0);
    }

    /** All the cable that carries the better part of the current. */
    private static Metres cable(Design design, OperatingPoint point, double amps) {
        return new Metres(
                design.wires().stream()
                        .filter(wire -> Math.abs(point.through(wire).value()) > SOME * amps)
                        .mapToDouble(wire -> wire.length().metres().value())
                        .sum());
    }

    private static List<Between> between(
            Design design, Optional<OperatingPoint> cranked, Optional<OperatingPoint> used) {
        var found = new ArrayList<Between>();
        for (var part : design.parts()) {
            switch (part.kind()) {
                case GuardKind guard ->
                        guard.seats()
                                .forEach(seat ->
                                        found.add(
                                                between(
                                                        part,
                                                        seat.way(),
                                                        Optional.of(
                                                                seat.type()
                                                                        .carries(seat.marking())),
                                                        cranked,
                                                        used)));
                case ControlKind.Switch hand ->
                        hand.passes()
                                .forEach(pass ->
                                        found.add(
                                                between(
                                                        part,
                                                        pass.role(),
                                                        pass.rating(),
                                                        cranked,
                                                        used)));
                default -> {}
            }
        }
        double most = found.stream().mapToDouble(each -> each.use().value()).max().orElse(0);
        return found.stream()
                .filter(each ->
                        each.cranking().value() > HEAVY
                                || each.use().value() > Math.max(LITTLE, SOME * most))
                .sorted(Comparator.comparingDouble((Between each) -> each.use().value()).reversed())
                .toList();
    }

    private static Between between(
            Part part,
            String way,
            Optional<Amps> rating,
            Optional<OperatingPoint> cranked,
            Optional<OperatingPoint> used) {
        return new Between(
                part.id(),
                way,
                new Amps(cranked.map(point -> Math.abs(amps(point, part, way))).orElse(0.0)),
                new Amps(used.map(point -> Math.abs(amps(point, part, way))).orElse(0.0)),
                rating);
    }
}
