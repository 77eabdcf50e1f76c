package aficion.netlist;

import aficion.job.Part;
import aficion.netlist.Conditions.Aspect;
import java.util.List;
import java.util.Set;
import java.util.function.Function;

/** The branches of one part as they are added to a netlist. */
final class PartBuilder {
    private final NetlistBuilder net;
    private final Part part;

    PartBuilder(NetlistBuilder net, Part part) {
        this.net = net;
        this.part = part;
    }

    Part part() {
        return part;
    }

    NetlistBuilder net() {
        return net;
    }

    int node(String pin) {
        return net.nodeOf.get(part.terminal(pin));
    }

    /** A node inside the part, without a terminal. */
    int innerNode() {
        return net.nodes++;
    }

    /** A fixed resistance. */
    void fixed(String role, int a, int b, double ohms) {
        var branch = new Branch.Resistance(a, b, ohms);
        straight(role, a, b, Set.of(), List.of(), _ -> branch);
    }

    void fixed(String role, String from, String to, double ohms) {
        fixed(role, node(from), node(to), ohms);
    }

    /** A resistance or contact that follows an aspect of the conditions. */
    void following(String role, int a, int b, Aspect heeds, Function<Conditions, Branch> under) {
        straight(role, a, b, Set.of(heeds), List.of(), under);
    }

    /** A contact that closes when every coil named stands as it should. */
    void contact(String role, int a, int b, double ohms, List<Branch.Need> needs) {
        var contact = new Branch.Driven(a, b, ohms, needs);
        straight(role, a, b, Set.of(), coilsOf(needs), _ -> contact);
    }

    /** A contact that one coil works. */
    void contact(String role, int a, int b, double ohms, int coil, boolean whenPulled) {
        contact(role, a, b, ohms, List.of(new Branch.Need(coil, whenPulled)));
    }

    private void straight(
            String role,
            int a,
            int b,
            Set<Aspect> heeds,
            List<Integer> movedBy,
            Function<Conditions, Branch> under) {
        add(role, new Netlist.Slot(a, b, false, movedBy, heeds, under));
    }

    /** A branch that always bends in the same way. */
    void bending(String role, Branch branch) {
        add(role, new Netlist.Slot(branch.a(), branch.b(), true, List.of(), Set.of(), _ -> branch));
    }

    /** A branch that bends, or changes its resistance from step to step. */
    void bending(String role, int a, int b, Set<Aspect> heeds, Function<Conditions, Branch> under) {
        add(role, new Netlist.Slot(a, b, true, List.of(), heeds, under));
    }

    /** The source that a part is, where every coil named stands as it should. */
    void source(
            int a,
            int b,
            List<Branch.Need> needs,
            Set<Aspect> heeds,
            Function<Conditions, Branch> under) {
        source(Netlist.OUTPUT, a, b, needs, heeds, under);
    }

    /** A source of another name inside a part. */
    void source(
            String role,
            int a,
            int b,
            List<Branch.Need> needs,
            Set<Aspect> heeds,
            Function<Conditions, Branch> under) {
        add(role, new Netlist.Slot(a, b, true, coilsOf(needs), heeds, under));
    }

    private static List<Integer> coilsOf(List<Branch.Need> needs) {
        return needs.stream().map(Branch.Need::coil).toList();
    }

    private void add(String role, Netlist.Slot slot) {
        net.inside(part, role, net.add(slot));
    }

    /** The branch that is added next. */
    int nextBranch() {
        return net.slots.size();
    }

    /** The coil that is added next. */
    int nextCoil() {
        return net.coils.size();
    }

    int coil(Coil coil) {
        return coil(_ -> coil);
    }

    int coil(Function<Conditions, Coil> under) {
        net.coils.add(new Netlist.CoilSlot(part.id(), under));
        return net.coils.size() - 1;
    }
}
