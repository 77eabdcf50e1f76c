package aficion.solve;

import aficion.netlist.Branch;

/**
 * Which nodes hang together, and which have no way to the reference at all. Found by connectivity,
 * never from volts.
 */
final class Islands {
    private final int[] parent;

    Islands(Branch[] branches, State state, int nodes) {
        parent = new int[nodes];
        for (int i = 0; i < nodes; i++) {
            parent[i] = i;
        }
        for (int i = 0; i < branches.length; i++) {
            if (Laws.conducts(branches[i], state, i)) {
                join(branches[i].a(), branches[i].b());
            }
        }
    }

    boolean floats(int node) {
        return root(node) != root(0);
    }

    /** Whether this node stands for its island. */
    boolean leads(int node) {
        return parent[node] == node && node != root(0);
    }

    private void join(int one, int other) {
        parent[root(one)] = root(other);
    }

    private int root(int node) {
        int at = node;
        while (parent[at] != at) {
            parent[at] = parent[parent[at]];
            at = parent[at];
        }
        return at;
    }
}
