package aficion.verb;

import aficion.catalogue.Housings;
import aficion.catalogue.Housings.Housing;
import aficion.catalogue.Terminals;
import aficion.harness.Dress;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.JoinKind.Connector;
import aficion.job.JoinKind.Half;
import aficion.job.JoinKind.Housed;
import aficion.job.Laid;
import aficion.job.Part;
import aficion.job.Wire;
import aficion.job.edit.BodyEdit;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.CompositeEdit.Reason;
import aficion.job.edit.Edit;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Metres;
import aficion.route.RunId;
import aficion.route.RunLength;
import aficion.route.Station;
import aficion.route.StationId;
import aficion.route.Way;
import aficion.size.Assessment;
import aficion.size.WireSizing;
import aficion.verb.Attempt.Possible;
import aficion.verb.Attempt.Refusal;
import aficion.verb.Attempt.Refused;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Puts a separable plug at a station: every wire that passes from one side of it to the other is
 * parted there, and joined again by the bodies that hold them. What no body takes, a starter lead,
 * goes past the plug in one piece.
 */
public final class Plugging {
    private final Assessment assessment;
    private final Design design;
    private final Station station;
    private final Optional<RunId> near;

    private Plugging(Assessment assessment, StationId at) {
        this.assessment = assessment;
        this.design = assessment.design();
        var plan = design.body().orElseThrow().plan();
        this.station = plan.station(at);
        this.near =
                plan.meeting(at).stream()
                        .map(run -> run.id())
                        .max(Comparator.comparingInt(run -> design.riders().get(run).size()));
    }

    /** A wire that passes, and on which side of the plug it begins. */
    private record Passing(Wire wire, Way way, boolean beginsNear) {}

    /** What one connector holds. */
    private record Group(Housing body, List<Passing> wires) {}

    /** Makes a station a plug; every wire that passes is parted there. */
    public static Attempt at(Assessment assessment, StationId station) {
        return new Plugging(assessment, station).edit();
    }

    /** The wires that a plug would part and that pass it in one piece. */
    public static List<Wire> undivided(Assessment assessment, StationId station) {
        return new Plugging(assessment, station)
                .groups().stream()
                        .flatMap(group -> group.wires.stream())
                        .map(Passing::wire)
                        .toList();
    }

    private Attempt edit() {
        var groups = groups();
        var edits = new ArrayList<Edit>();
        if (station.form() != Station.Form.PLUG) {
            edits.add(new BodyEdit.SetStation(station.as(Station.Form.PLUG)));
        }
        var next = design;
        for (var group : groups) {
            for (var edit : joined(next, group)) {
                edits.add(edit);
                next = edit.apply(next);
            }
        }
        return edits.isEmpty()
                ? new Refused(Refusal.NOTHING_TO_DO)
                : new Possible(new CompositeEdit(Reason.PLUG, edits));
    }

    private List<Group> groups() {
        var groups = new ArrayList<Group>();
        gather(
                Dress.passing(design, station).stream()
                        .flatMap(wire -> passing(wire).stream())
                        .sorted(Comparator.comparingDouble(each -> -amps(each)))
                        .toList(),
                groups);
        return groups;
    }

    private Optional<Passing> passing(Wire wire) {
        var way = design.way(wire).orElseThrow();
        int met = way.stations().indexOf(station.id());
        boolean from = near.filter(way.runs().get(met - 1)::equals).isPresent();
        boolean to = near.filter(way.runs().get(met)::equals).isPresent();
        return from || to ? Optional.of(new Passing(wire, way, from)) : Optional.empty();
    }

    /** One body for all where there is one, else halves of them; what no body takes is left out. */
    private void gather(List<Passing> wires, List<Group> groups) {
        if (wires.isEmpty()) {
            return;
        }
        var body = Housings.least(wires.size(), housing -> suits(housing, wires));
        if (body.isPresent()) {
            groups.add(new Group(body.get(), wires));
        } else if (wires.size() > 1) {
            int half = wires.size() / 2;
            gather(wires.subList(0, half), groups);
            gather(wires.subList(half, wires.size()), groups);
        }
    }

    private boolean suits(Housing housing, List<Passing> wires) {
        return housing.sealed() == station.zone().isWet()
                && wires.stream()
                        .allMatch(each ->
                                amps(each) <= housing.carries().value()
                                        && fits(housing.sockets(), each.wire)
                                        && fits(housing.pins(), each.wire));
    }

    private static boolean fits(String terminal, Wire wire) {
        var fitting = Terminals.find(terminal).orElseThrow();
        return fitting.takes(wire.conductor().copper()) && fitting.grips(wire.conductor().copper());
    }

    private double amps(Passing passing) {
        return assessment.sizing(passing.wire.id()).map(Plugging::most).orElse(0.0);
    }

    private static double most(WireSizing sizing) {
        return Math.max(sizing.steady().value(), sizing.held().value());
    }

    /** The half that stays live when it is parted is the one most wires come from. */
    private static Half sockets(Group group) {
        long near = group.wires.stream().filter(Passing::beginsNear).count();
        return 2 * near >= group.wires.size() ? Half.A : Half.B;
    }

    private List<Edit> joined(Design before, Group group) {
        var housed = new Housed(group.body.key(), sockets(group), group.body.sealed());
        var ways = IntStream.rangeClosed(1, group.wires.size()).mapToObj(String::valueOf).toList();
        var kind = new Connector(ways, group.body.carries(), Optional.of(housed));
        var part = NewNames.part(before, "X", station.zone(), kind);
        var edits = new ArrayList<Edit>();
        edits.add(new PartEdit.AddPart(part));
        edits.add(new BodyEdit.Stand(part.id(), station.id()));
        var numbered = new HashMap<CircuitId, Integer>();
        for (int i = 0; i < ways.size(); i++) {
            edits.addAll(parted(before, group.wires.get(i), part, housed, i, numbered));
        }
        return edits;
    }

    private List<Edit> parted(
            Design before,
            Passing passing,
            Part part,
            Housed housed,
            int index,
            Map<CircuitId, Integer> numbered) {
        var wire = passing.wire;
        var in = passing.beginsNear ? Half.A : Half.B;
        int taken = numbered.merge(wire.circuit(), 1, Integer::sum) - 1;
        var first =
                wire.like(
                                NewNames.wire(before, index),
                                NewNames.number(before, wire.circuit(), taken),
                                wire.from(),
                                end(part, housed, in, index))
                        .withLaid(laid(passing, true));
        return List.of(
                new WireEdit.MoveEnd(wire.id(), true, end(part, housed, in.mate(), index)),
                new WireEdit.Lay(wire.id(), laid(passing, false)),
                new WireEdit.AddWire(first));
    }

    private static End end(Part part, Housed housed, Half half, int index) {
        return new End(part.terminal(half.pin(String.valueOf(index + 1))), housed.takes(half));
    }

    /** A piece along the body where the wire is laid so; else its share of the stated length. */
    private Laid laid(Passing passing, boolean first) {
        var stations = passing.way.stations();
        int met = stations.indexOf(station.id());
        return switch (passing.wire.laid()) {
            case Laid.Routed routed -> {
                var piece =
                        first
                                ? stations.subList(0, met)
                                : stations.subList(met + 1, stations.size());
                yield Laid.Routed.by(routed.via().filter(piece::contains), routed.slack());
            }
            case Laid.Stated stated -> stated.along(share(passing.way, met, first, stated));
        };
    }

    private RunLength share(Way way, int met, boolean first, Laid.Stated stated) {
        var plan = design.body().orElseThrow().plan();
        double before =
                way.runs().subList(0, met).stream()
                        .mapToDouble(run -> plan.length(plan.run(run)).metres().value())
                        .sum();
        double share = before / way.length().metres().value();
        double metres = stated.length().metres().value() * (first ? share : 1 - share);
        return new RunLength.Assumed(new Metres(metres));
    }
}
