package aficion.make;

import aficion.catalogue.Coverings;
import aficion.catalogue.Ends;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Wire;
import aficion.quantity.Metres;
import aficion.quantity.SquareMillimetres;
import aficion.route.StationId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How one end of a wire is made.
 *
 * @param copper all that is crimped into the terminal together
 * @param with the wires that are crimped into it with this one
 * @param label the sleeve its label is printed on
 * @param shrink what is shrunk over the crimp, where it is
 * @param through the holes that it is led through, in order, before this end is crimped
 * @param pull newtons it must stand; empty where no hand pulls enough
 */
public record EndWork(
        Wire wire,
        Terminal at,
        Termination termination,
        Ends.Making making,
        SquareMillimetres copper,
        List<Wire> with,
        Optional<Coverings.Size> label,
        Optional<Coverings.Size> shrink,
        List<StationId> through,
        Optional<Double> pull) {
    /** A shrink over a terminal goes over half as much again as its wire, typical. */
    private static final double OVER_TERMINAL = 1.5;

    /** What hands do, in the only order that traps nothing. */
    public enum Act {
        CUT,
        SLIDE_ON,
        STRIP,
        LOOK,
        CRIMP,
        PULL,
        SHRINK,
        PLACE
    }

    public EndWork {
        with = List.copyOf(with);
        through = List.copyOf(through);
    }

    /** How an end of a wire of a design is made. */
    public static EndWork of(Design design, Wire wire, End end) {
        var fitting = end.termination().fitting();
        var making = Ends.of(fitting.family());
        var with =
                fitting.family().isBarrel()
                        ? design.wiresAt(end.terminal()).stream()
                                .filter(other -> !other.equals(wire))
                                .toList()
                        : List.<Wire>of();
        double copper =
                wire.conductor().copper().value()
                        + with.stream()
                                .mapToDouble(other -> other.conductor().copper().value())
                                .sum();
        var outside = wire.conductor().outside();
        return new EndWork(
                wire,
                end.terminal(),
                end.termination(),
                making,
                new SquareMillimetres(copper),
                with,
                Coverings.over(Coverings.Sort.SHRINK, outside, 1),
                making.shrink()
                        ? Coverings.over(
                                Coverings.Sort.SHRINK,
                                new Metres(OVER_TERMINAL * outside.value()),
                                1)
                        : Optional.empty(),
                List.of(),
                Ends.pull(new SquareMillimetres(copper)));
    }

    /** The same, led through some holes first. */
    EndWork through(List<StationId> holes) {
        return new EndWork(wire, at, termination, making, copper, with, label, shrink, holes, pull);
    }

    /** The other end of its wire. */
    public End other() {
        return wire.from().terminal().equals(at) ? wire.to() : wire.from();
    }

    /** Whether a bare terminal wears a boot. */
    public boolean booted() {
        return making.boot() && !termination.fitting().sealed();
    }

    /** Whether a seal goes on before the terminal. */
    public boolean sealed() {
        return termination.fitting().sealed() && termination.fitting().family().isBarrel();
    }

    /**
     * What hands do at this end, in order: whatever goes over the wire is slid on before there is a
     * terminal that it does not pass.
     */
    public List<Act> acts() {
        var acts = new ArrayList<>(List.of(Act.SLIDE_ON, Act.STRIP, Act.LOOK, Act.CRIMP));
        if (pull.isPresent()) {
            acts.add(Act.PULL);
        }
        if (shrink.isPresent() || booted()) {
            acts.add(Act.SHRINK);
        }
        acts.add(Act.PLACE);
        return List.copyOf(acts);
    }
}
