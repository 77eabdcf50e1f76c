package aficion.solve;

/**
 * Which nodes hang together: a forest in which each node points towards the least of its island.
 */
public final class Islands {
    private final int[] parent;

    public Islands(int nodes) {
        parent = new int[nodes];
        part();
    }

    /** The same islands, to be joined further. */
    public Islands(Islands same) {
        parent = same.parent.clone();
    }

    /** The number of nodes. */
    int size() {
        return parent.length;
    }

    /** Parts every node from every other. */
    void part() {
        for (int node = 0; node < parent.length; node++) {
            parent[node] = node;
        }
    }

    /** Joins the islands of two nodes. */
    public void join(int one, int other) {
        int first = root(one);
        int second = root(other);
        parent[Math.max(first, second)] = Math.min(first, second);
    }

    /** The least node of the island of a node. */
    public int root(int node) {
        int at = node;
        while (parent[at] != at) {
            parent[at] = parent[parent[at]];
            at = parent[at];
        }
        return at;
    }

    /** The least node of the island of each node. */
    public int[] roots() {
        var roots = parent.clone();
        for (int node = 0; node < roots.length; node++) {
            roots[node] = roots[roots[node]];
        }
        return roots;
    }

    /** Whether a node is the least of its island. */
    boolean isLeast(int node) {
        return parent[node] == node;
    }

    /** Whether a node has no way to node 0, the reference. */
    boolean floats(int node) {
        return root(node) != 0;
    }
}
