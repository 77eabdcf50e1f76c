package aficion.netlist;

import aficion.netlist.Conditions.Aspect;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * A netlist as it would be with some branches others, and more beside them. Branches, nodes and
 * coils keep their numbers; what is added comes after them and belongs to no wire and no part.
 */
public final class Variation {
    private final Netlist sound;
    private final List<Netlist.Slot> slots;
    private final List<Netlist.CoilSlot> coils;
    private int nodes;

    public Variation(Netlist sound) {
        this.sound = sound;
        this.slots = new ArrayList<>(sound.slots());
        this.coils = new ArrayList<>(sound.coilSlots());
        this.nodes = sound.nodes();
    }

    /** The netlist with all that was asked for. */
    public Netlist made() {
        return new Netlist(sound, nodes, slots, coils);
    }

    /** A branch that passes nothing. */
    public void open(int branch) {
        become(branch, was -> new Branch.Contact(was.a(), was.b(), 1, false));
    }

    /** A contact that stays closed. */
    public void shut(int branch) {
        become(branch, was -> new Branch.Resistance(was.a(), was.b(), ohms(was)));
    }

    /**
     * A wire, joint or contact that resists so many ohms more.
     *
     * @throws IllegalArgumentException when it is made for a branch of another kind, as soon as it
     *     is asked for
     */
    public void raise(int branch, double more) {
        become(
                branch,
                was ->
                        switch (was) {
                            case Branch.Resistance(var a, var b, var ohms) ->
                                    new Branch.Resistance(a, b, ohms + more);
                            case Branch.Contact(var a, var b, var ohms, var closed) ->
                                    new Branch.Contact(a, b, ohms + more, closed);
                            case Branch.Driven(var a, var b, var ohms, var needs) ->
                                    new Branch.Driven(a, b, ohms + more, needs);
                            case Branch.Blinker(var a, var b, var ohms, var rhythm) ->
                                    new Branch.Blinker(a, b, ohms + more, rhythm);
                            case Branch.FuseBranch _,
                                    Branch.Filament _,
                                    Branch.Rectifier _,
                                    Branch.Source _,
                                    Branch.Limited _,
                                    Branch.ControlledResistance _,
                                    Branch.Motor _,
                                    Branch.Warming _,
                                    Branch.Capacitance _ ->
                                    throw noJoint(branch);
                        });
    }

    private static double ohms(Branch was) {
        return switch (was) {
            case Branch.Resistance(_, _, var ohms) -> ohms;
            case Branch.Contact(_, _, var ohms, _) -> ohms;
            case Branch.Driven(_, _, var ohms, _) -> ohms;
            case Branch.Blinker(_, _, var ohms, _) -> ohms;
            case Branch.ControlledResistance(_, _, var least, _) -> least;
            case Branch.FuseBranch _,
                    Branch.Filament _,
                    Branch.Rectifier _,
                    Branch.Source _,
                    Branch.Limited _,
                    Branch.Motor _,
                    Branch.Warming _,
                    Branch.Capacitance _ ->
                    throw new IllegalArgumentException("no contact: " + was);
        };
    }

    private static IllegalArgumentException noJoint(int branch) {
        return new IllegalArgumentException("branch " + branch + " is no joint");
    }

    /** Two nodes that so many ohms join. */
    public void join(int a, int b, double ohms) {
        var branch = new Branch.Resistance(a, b, ohms);
        slots.add(new Netlist.Slot(a, b, false, List.of(), Set.of(), _ -> branch));
    }

    /**
     * Parts a wire half way.
     *
     * @return the node between its halves; the first keeps the number of the wire
     */
    public int halve(int wire) {
        int middle = nodes++;
        var slot = slots.get(wire);
        slots.add(half(slot, middle, slot.b()));
        slots.set(wire, half(slot, slot.a(), middle));
        return middle;
    }

    private static Netlist.Slot half(Netlist.Slot slot, int a, int b) {
        return new Netlist.Slot(
                a,
                b,
                false,
                List.of(),
                slot.heeds(),
                conditions ->
                        new Branch.Resistance(a, b, ohms(slot.under().apply(conditions)) / 2));
    }

    /** Leads every end of a wire at one node to another. */
    public void lead(int wire, int from, int to) {
        var slot = slots.get(wire);
        int a = slot.a() == from ? to : slot.a();
        int b = slot.b() == from ? to : slot.b();
        slots.set(
                wire,
                new Netlist.Slot(
                        a,
                        b,
                        false,
                        List.of(),
                        Set.of(Aspect.AIR),
                        conditions ->
                                new Branch.Resistance(a, b, ohms(slot.under().apply(conditions)))));
    }

    /** A coil that never pulls in. */
    public void kill(int coil) {
        var slot = coils.get(coil);
        coils.set(
                coil,
                new Netlist.CoilSlot(
                        slot.part(), conditions -> slot.under().apply(conditions).dead()));
    }

    private void become(int branch, UnaryOperator<Branch> other) {
        var slot = slots.get(branch);
        other.apply(slot.under().apply(Conditions.REST));
        slots.set(
                branch,
                new Netlist.Slot(
                        slot.a(),
                        slot.b(),
                        slot.bends(),
                        slot.movedBy(),
                        slot.heeds(),
                        conditions -> other.apply(slot.under().apply(conditions))));
    }
}
