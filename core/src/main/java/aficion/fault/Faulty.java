package aficion.fault;

import aficion.job.JoinKind;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.edit.PartEdit;
import aficion.netlist.Netlist;
import aficion.netlist.Variation;
import java.util.List;
import java.util.Set;

/** What becomes of a netlist when something gives way. */
public final class Faulty {
    /** An earth point that holds no more; what is bolted together there stays together, ohms. */
    private static final double LOST = 1e6;

    private Faulty() {}

    /**
     * The netlist with a fault in it. Its terminals, wires and parts are found in it as before.
     *
     * @throws java.util.NoSuchElementException when the design has no such wire or part
     * @throws IllegalArgumentException when a part has no such branch inside, or another part has
     *     other pins
     */
    public static Netlist of(Netlist sound, Fault fault) {
        var design = sound.design();
        var change = new Variation(sound);
        switch (fault) {
            case Fault.Broken(var wire) -> change.open(sound.branch(design.wire(wire)));
            case Fault.Chafed(var wire, var place) ->
                    chafed(change, sound, sound.branch(design.wire(wire)), place);
            case Fault.BadJoint(var wire, var more) ->
                    change.raise(sound.branch(design.wire(wire)), more.value());
            case Fault.Exchanged(var one, var other) -> exchanged(change, sound, one, other);
            case Fault.Touching(var one, var other) ->
                    change.join(sound.node(one), sound.node(other), Fault.DEAD_SHORT.value());
            case Fault.EarthLost(var earth) -> change.raise(inside(sound, earth, "joint"), LOST);
            case Fault.PoorEarth(var earth, var more) ->
                    change.raise(inside(sound, earth, "joint"), more.value());
            case Fault.Blown(var guard) -> change.open(inside(sound, guard.part(), guard.way()));
            case Fault.DeadCoil(var part) -> deadCoil(change, sound, part);
            case Fault.Stuck(var part, var contact) -> change.shut(inside(sound, part, contact));
            case Fault.Burnt(var part, var contact, var more) ->
                    change.raise(inside(sound, part, contact), more.value());
            case Fault.Dead(var part, var role) -> change.open(inside(sound, part, role));
            case Fault.DeadPart(var part) -> dead(change, sound, part);
            case Fault.Another(var part, var kind) -> {
                if (!Set.copyOf(design.part(part).kind().pins()).equals(Set.copyOf(kind.pins()))) {
                    throw new IllegalArgumentException("other pins than those of " + part);
                }
                return Netlist.of(new PartEdit.Refit(part, kind).apply(design));
            }
        }
        return change.made();
    }

    private static int inside(Netlist netlist, PartId part, String role) {
        netlist.design().part(part);
        var branch = netlist.inside(part).get(role);
        if (branch == null) {
            throw new IllegalArgumentException("no " + role + " in " + part);
        }
        return branch;
    }

    private static void chafed(Variation change, Netlist netlist, int wire, Fault.Place place) {
        double touch = Fault.DEAD_SHORT.value();
        switch (place) {
            case FIRST_END -> change.join(netlist.a(wire), 0, touch);
            case SECOND_END -> change.join(netlist.b(wire), 0, touch);
            case MIDDLE -> change.join(change.halve(wire), 0, touch);
        }
    }

    private static void exchanged(Variation change, Netlist netlist, Terminal one, Terminal other) {
        var design = netlist.design();
        for (var at : List.of(one, other)) {
            var instead = netlist.node(at.equals(one) ? other : one);
            for (var wire : design.wiresAt(at)) {
                change.lead(netlist.branch(wire), netlist.node(at), instead);
            }
        }
    }

    private static void deadCoil(Variation change, Netlist netlist, PartId part) {
        int coil =
                netlist.coilOf(part)
                        .orElseThrow(() -> new IllegalArgumentException("no coil in " + part));
        change.kill(coil);
        netlist.inside(part)
                .forEach((role, branch) -> {
                    if (role.equals("coil") || role.equals("set")) {
                        change.open(branch);
                    }
                });
    }

    /** A part that has come off; an earth point holds together what is bolted there. */
    private static void dead(Variation change, Netlist netlist, PartId part) {
        if (netlist.design().part(part).kind() instanceof JoinKind.EarthPoint) {
            change.raise(inside(netlist, part, "joint"), LOST);
        } else {
            netlist.inside(part).values().forEach(change::open);
        }
    }
}
