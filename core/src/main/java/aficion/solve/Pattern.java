package aficion.solve;

import aficion.netlist.Conditions.Aspect;
import aficion.netlist.Netlist;
import aficion.solve.linear.Conductances;
import aficion.solve.linear.Elimination;
import java.util.Arrays;
import java.util.BitSet;

/**
 * What of a netlist does not change with its state: between which nodes each branch lies, where it
 * stands in the matrix, which branches bend, and which follow an aspect of the conditions or a
 * coil.
 */
final class Pattern {
    final int[] a;
    final int[] b;
    final Elimination order;

    /** The place of each node in the order of elimination; −1 for the reference. */
    final int[] rank;

    /** Where the link of each branch is kept; −1 where one of its ends is the reference. */
    final int[] entry;

    /** The branches that bend, and for each branch its place among them or −1. */
    final int[] bending;

    final int[] bendOf;
    final int[] bendA;
    final int[] bendB;
    final int[] bendEntry;

    /** By aspect, the branches that heed it. */
    final int[][] heeding;

    /** By coil, the branches it moves. */
    final int[][] movedBy;

    Pattern(Netlist netlist) {
        int size = netlist.size();
        a = new int[size];
        b = new int[size];
        for (int i = 0; i < size; i++) {
            a[i] = netlist.a(i);
            b[i] = netlist.b(i);
        }
        order = order(netlist);
        var places = new Conductances(order);
        rank = new int[netlist.nodes()];
        rank[0] = -1;
        for (int node = 1; node < rank.length; node++) {
            rank[node] = places.rank(node - 1);
        }
        entry = new int[size];
        for (int i = 0; i < size; i++) {
            boolean inner = a[i] > 0 && b[i] > 0 && a[i] != b[i];
            entry[i] = inner ? places.entry(a[i] - 1, b[i] - 1) : -1;
        }
        bending = netlist.bending().toArray();
        bendOf = new int[size];
        Arrays.fill(bendOf, -1);
        bendA = new int[bending.length];
        bendB = new int[bending.length];
        bendEntry = new int[bending.length];
        for (int k = 0; k < bending.length; k++) {
            bendOf[bending[k]] = k;
            bendA[k] = rank[a[bending[k]]];
            bendB[k] = rank[b[bending[k]]];
            bendEntry[k] = entry[bending[k]];
        }
        var aspects = Aspect.values();
        heeding = new int[aspects.length][];
        for (var aspect : aspects) {
            heeding[aspect.ordinal()] = netlist.heeding(aspect).toArray();
        }
        movedBy = new int[netlist.coils()][];
        for (int coil = 0; coil < movedBy.length; coil++) {
            movedBy[coil] = netlist.movedBy(coil).toArray();
        }
    }

    private static Elimination order(Netlist netlist) {
        var one = new int[netlist.size()];
        var other = new int[netlist.size()];
        for (int i = 0; i < one.length; i++) {
            boolean inner = netlist.a(i) > 0 && netlist.b(i) > 0;
            one[i] = inner ? netlist.a(i) - 1 : 0;
            other[i] = inner ? netlist.b(i) - 1 : 0;
        }
        var tail = new BitSet();
        netlist.bending()
                .forEach(i -> {
                    if (netlist.a(i) > 0) {
                        tail.set(netlist.a(i) - 1);
                    }
                    if (netlist.b(i) > 0) {
                        tail.set(netlist.b(i) - 1);
                    }
                });
        return Elimination.of(netlist.nodes() - 1, one, other, tail);
    }
}
