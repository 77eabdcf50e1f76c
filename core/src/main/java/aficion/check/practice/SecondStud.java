package aficion.check.practice;

import aficion.catalogue.Conductor;
import aficion.catalogue.Conductors;
import aficion.catalogue.FuseType;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.GuardKind;
import aficion.job.JoinKind;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Unguarded;
import aficion.job.Wire;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.CompositeEdit.Reason;
import aficion.job.edit.Edit;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.route.RunLength;
import aficion.size.Assessment;
import aficion.size.GuardChoice;
import aficion.size.HeatBalance;
import aficion.size.WireSizing;
import aficion.verb.Ends;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What takes over where too much hangs on one stud: another earth point, a bus bar beside it, or
 * one behind a main guard.
 */
public final class SecondStud {
    /** How far from the stud it is put (typical). */
    private static final Metres BESIDE = new Metres(0.15);

    private final Assessment assessment;
    private final Design design;

    private SecondStud(Assessment assessment) {
        this.assessment = assessment;
        this.design = assessment.design();
    }

    /**
     * Takes over the thinnest of the wires on a stud.
     *
     * @param most how many the stud keeps at the most
     */
    static Edit beside(Assessment assessment, Terminal stud, int most) {
        return new SecondStud(assessment).beside(stud, most);
    }

    /**
     * Takes over leads that hang on a battery's post; empty where no guard suits all they draw.
     *
     * @param leads some, thickest or not
     */
    static Optional<Edit> behindGuard(Assessment assessment, Terminal post, List<Wire> leads) {
        return new SecondStud(assessment).behindGuard(post, leads);
    }

    private Edit beside(Terminal stud, int most) {
        var rings =
                design.wiresAt(stud).stream()
                        .filter(wire -> wire.at(stud).termination().fitting().family().stacks())
                        .sorted(byCopper().reversed())
                        .toList();
        var at = design.part(stud.part());
        var edits = new ArrayList<Edit>();
        if (at.kind() instanceof JoinKind.EarthPoint earth) {
            var other = NewNames.part(design, "E", at.zone(), earth);
            edits.add(new PartEdit.AddPart(other));
            edits.addAll(moved(rings.subList(most, rings.size()), stud, other.terminal("E")));
        } else {
            var bar = bar(at);
            var taken = rings.subList(most - 1, rings.size());
            edits.add(new PartEdit.AddPart(bar));
            edits.add(new WireEdit.AddWire(link(taken.getFirst(), stud, bar)));
            edits.addAll(moved(taken, stud, bar.terminal("J")));
        }
        return new CompositeEdit(Reason.SECOND_STUD, edits);
    }

    private static Comparator<Wire> byCopper() {
        return Comparator.comparing(wire -> wire.conductor().copper().value());
    }

    private Part bar(Part at) {
        return NewNames.part(design, "J", at.zone(), new JoinKind.Splice());
    }

    private Wire link(Wire like, Terminal stud, Part bar) {
        return like.like(
                        NewNames.wire(design),
                        NewNames.number(design, like.circuit()),
                        like.at(stud),
                        new End(bar.terminal("J"), like.at(stud).termination()))
                .withLength(new RunLength.Assumed(BESIDE));
    }

    /** Wires led to another stud with the ring they have. */
    private static List<Edit> moved(List<Wire> wires, Terminal from, Terminal to) {
        return wires.stream().<Edit>map(wire -> WireEdit.MoveEnd.of(wire, from, to)).toList();
    }

    private Optional<Edit> behindGuard(Terminal post, List<Wire> leads) {
        var thickest = leads.stream().max(byCopper()).orElseThrow();
        return Conductors.of(design.rules().sizes()).stream()
                .filter(size -> size.copper().value() >= thickest.conductor().copper().value())
                .flatMap(size ->
                        marking(leads, thickest, size).stream()
                                .map(marking ->
                                        guarded(
                                                post,
                                                leads,
                                                thickest.withSize(size.size()),
                                                marking)))
                .findFirst();
    }

    /** The main guard that holds what all leads draw and guards a lead as thick as that. */
    private Optional<Amps> marking(List<Wire> leads, Wire thickest, Conductor size) {
        double load =
                leads.stream()
                        .flatMap(wire -> assessment.sizing(wire.id()).stream())
                        .map(WireSizing::steady)
                        .mapToDouble(Amps::value)
                        .sum();
        double carries = HeatBalance.carries(size, thickest, design.rules()).result().value();
        return GuardChoice.of(
                        FuseType.BOLTED,
                        new Amps(load),
                        new Amps(carries),
                        design.rules().fuseLoad())
                .marking();
    }

    private Edit guarded(Terminal post, List<Wire> leads, Wire like, Amps marking) {
        var battery = design.part(post.part());
        var fuse =
                NewNames.part(
                        design, "F", battery.zone(), new GuardKind.Fuse(FuseType.BOLTED, marking));
        var bar = bar(battery);
        var reach =
                like.like(
                                NewNames.wire(design),
                                NewNames.number(design, like.circuit()),
                                Ends.on(battery, post.pin()),
                                Ends.on(fuse, "1"))
                        .withLength(new RunLength.Assumed(BESIDE))
                        .withUnguarded(Optional.of(Unguarded.WITHIN_REACH));
        var feed =
                like.like(
                                NewNames.wire(design, 1),
                                NewNames.number(design, like.circuit(), 1),
                                Ends.on(fuse, "2"),
                                new End(bar.terminal("J"), Termination.RING_M6))
                        .withLength(new RunLength.Assumed(BESIDE))
                        .withUnguarded(Optional.empty());
        var edits = new ArrayList<Edit>();
        edits.add(new PartEdit.AddPart(fuse));
        edits.add(new PartEdit.AddPart(bar));
        edits.add(new WireEdit.AddWire(reach));
        edits.add(new WireEdit.AddWire(feed));
        edits.addAll(moved(leads, post, bar.terminal("J")));
        leads.stream()
                .filter(wire -> wire.unguarded().isPresent())
                .forEach(wire -> edits.add(new WireEdit.Exempt(wire.id(), Optional.empty())));
        return new CompositeEdit(Reason.BUS_BAR, edits);
    }
}
