package aficion.make;

import aficion.job.Design;
import aficion.job.Wire;
import aficion.job.Work;
import aficion.make.EndWork.Act;
import aficion.route.Station;
import aficion.route.StationId;
import aficion.route.Way;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The harness made wire by wire, in the order of hands: from one reel after another, the longest
 * wire of each first, each cut and then made at both ends.
 *
 * @param wires in the order they are made
 */
public record Making(List<WireWork> wires) {
    /**
     * One step of one wire.
     *
     * @param end the end it is done at; empty for the cut
     */
    public record Step(Wire wire, Optional<EndWork> end, Act act) {}

    /** A wire with all that is done to it. */
    public record WireWork(CutLength cut, List<EndWork> ends) {
        public WireWork {
            ends = List.copyOf(ends);
        }

        /** The wire. */
        public Wire wire() {
            return cut.wire();
        }

        /** What is done to it, in order. */
        public List<Step> steps() {
            var steps = new ArrayList<>(List.of(new Step(wire(), Optional.empty(), Act.CUT)));
            for (var end : ends) {
                end.acts().forEach(act -> steps.add(new Step(wire(), Optional.of(end), act)));
            }
            return List.copyOf(steps);
        }

        /** How many of its steps are done, by the work. */
        public int done(Work work) {
            return Math.min(work.made(wire().id()), steps().size());
        }

        /** Whether all of it is done. */
        public boolean isMade(Work work) {
            return done(work) == steps().size();
        }
    }

    public Making {
        wires = List.copyOf(wires);
    }

    /** How the harness of a design is made. */
    public static Making of(Design design) {
        return new Making(
                design.wires().stream()
                        .map(wire ->
                                new WireWork(
                                        CutLength.of(design, wire),
                                        List.of(
                                                EndWork.of(design, wire, wire.from()),
                                                EndWork.of(design, wire, wire.to())
                                                        .through(holes(design, wire)))))
                        .sorted(
                                Comparator.comparing((WireWork work) -> reel(work.wire()))
                                        .thenComparing(
                                                Comparator.comparingDouble((WireWork work) ->
                                                                work.cut().cut().value())
                                                        .reversed()))
                        .toList());
    }

    /**
     * The grommets that a wire is led through: before its second end is crimped, so that none is
     * left to go over a plug.
     */
    private static List<StationId> holes(Design design, Wire wire) {
        return design.way(wire).map(Way::passed).orElse(List.of()).stream()
                .filter(station ->
                        design.body().orElseThrow().plan().station(station).form()
                                == Station.Form.HOLE)
                .toList();
    }

    /** What a wire is cut from: wires of one reel are made one after another. */
    static String reel(Wire wire) {
        return String.format(
                Locale.ROOT,
                "%08.3f %s %s %s",
                wire.conductor().copper().value(),
                wire.size(),
                wire.colour(),
                wire.insulation());
    }

    /** The same of some of its wires. */
    public Making of(Collection<Wire> some) {
        var ids = some.stream().map(Wire::id).collect(Collectors.toSet());
        return new Making(wires.stream().filter(work -> ids.contains(work.wire().id())).toList());
    }

    /** The same without the wires that are made. */
    public Making left(Work work) {
        return new Making(wires.stream().filter(wire -> !wire.isMade(work)).toList());
    }

    /** The first wire that is not made yet; empty when all are. */
    public Optional<WireWork> next(Work work) {
        return wires.stream().filter(wire -> !wire.isMade(work)).findFirst();
    }

    /** How many wires are made. */
    public int made(Work work) {
        return (int) wires.stream().filter(wire -> wire.isMade(work)).count();
    }
}
