package aficion.solve.linear;

import java.util.Arrays;
import java.util.BitSet;

/**
 * The order in which the nodes of a network are eliminated and the fill that follows, worked out
 * once for its pattern.
 *
 * <p>Minimum degree: the node with the fewest neighbours goes first, its neighbours become each
 * other's neighbours, and so on [1]. Nodes whose conductances stay from step to step come first as
 * long as they have at most two neighbours, which costs no fill: this head is then eliminated once
 * and kept. (All of them first would join the rest into one dense block.) Everything numeric refers
 * to fixed positions afterwards, so that refactoring allocates nothing.
 *
 * <p>[1] A. George, J. W. H. Liu, "The evolution of the minimum degree ordering algorithm", SIAM
 * Review 31 (1989).
 */
public final class Elimination {
    private static final int MOST_NEIGHBOURS = 2;

    final int size;
    final int head;
    final int[] rank;
    final int[] start;
    final int[] row;
    final int[] pairStart;
    final int[] pairTarget;

    private Elimination(int head, int[] rank, int[][] columns) {
        this.size = rank.length;
        this.head = head;
        this.rank = rank;
        this.start = new int[size + 1];
        this.pairStart = new int[size + 1];
        for (int k = 0; k < size; k++) {
            int length = columns[k].length;
            start[k + 1] = start[k] + length;
            pairStart[k + 1] = pairStart[k] + length * (length - 1) / 2;
        }
        this.row = new int[start[size]];
        for (int k = 0; k < size; k++) {
            System.arraycopy(columns[k], 0, row, start[k], columns[k].length);
        }
        this.pairTarget = new int[pairStart[size]];
        for (int k = 0; k < size; k++) {
            findPairs(k);
        }
    }

    /** Both lists are sorted, so each column is walked once. */
    private void findPairs(int k) {
        int next = pairStart[k];
        for (int p = start[k]; p < start[k + 1]; p++) {
            int at = start[row[p]];
            for (int q = p + 1; q < start[k + 1]; q++) {
                while (row[at] != row[q]) {
                    at++;
                }
                pairTarget[next++] = at;
            }
        }
    }

    /**
     * @param size number of nodes, the reference not counted
     * @param one for each link one of its nodes, 0 to size − 1
     * @param other for each link the other; links of a node with itself are ignored
     */
    public static Elimination of(int size, int[] one, int[] other) {
        return of(size, one, other, new BitSet());
    }

    /**
     * @param changing nodes whose conductances change from step to step, which must be in the tail
     */
    public static Elimination of(int size, int[] one, int[] other, BitSet changing) {
        var graph = new Graph(size, one, other);
        var rank = new int[size];
        var columns = new int[size][];
        for (int node = 0; node < size; node++) {
            if (!changing.get(node)) {
                graph.offer(node);
            }
        }
        int head = size;
        for (int step = 0; step < size; step++) {
            if (head == size && !graph.offers(MOST_NEIGHBOURS)) {
                head = step;
                changing.stream().forEach(graph::offer);
            }
            int node = graph.takeFewest();
            rank[node] = step;
            columns[step] = graph.eliminate(node);
        }
        for (var column : columns) {
            for (int i = 0; i < column.length; i++) {
                column[i] = rank[column[i]];
            }
            Arrays.sort(column);
        }
        return new Elimination(head, rank, columns);
    }

    /** Number of nodes, the reference not counted. */
    public int size() {
        return size;
    }

    /** Number of links the factors have. */
    public int entries() {
        return row.length;
    }

    /** Where the link between two nodes is kept. */
    int entry(int one, int other) {
        int a = Math.min(rank[one], rank[other]);
        int b = Math.max(rank[one], rank[other]);
        int at = Arrays.binarySearch(row, start[a], start[a + 1], b);
        if (at < 0) {
            throw new IllegalArgumentException("no link between nodes " + one + " and " + other);
        }
        return at;
    }

    /** What is left of the network while it is eliminated, with the nodes on offer by degree. */
    private static final class Graph {
        private final int[][] neighbours;
        private final int[] degree;
        private final int[] first;
        private final int[] next;
        private final int[] previous;
        private final boolean[] offered;
        private final int[] mark;
        private int marks;
        private int fewest;

        Graph(int size, int[] one, int[] other) {
            neighbours = new int[size][4];
            degree = new int[size];
            first = new int[size + 1];
            next = new int[size];
            previous = new int[size];
            offered = new boolean[size];
            mark = new int[size];
            Arrays.fill(first, -1);
            for (int link = 0; link < one.length; link++) {
                if (one[link] != other[link]) {
                    add(one[link], other[link]);
                    add(other[link], one[link]);
                }
            }
            for (int node = 0; node < size; node++) {
                keepDistinct(node);
            }
        }

        private void add(int node, int neighbour) {
            if (degree[node] == neighbours[node].length) {
                neighbours[node] = Arrays.copyOf(neighbours[node], 2 * degree[node]);
            }
            neighbours[node][degree[node]++] = neighbour;
        }

        private void keepDistinct(int node) {
            marks++;
            int kept = 0;
            for (int i = 0; i < degree[node]; i++) {
                int neighbour = neighbours[node][i];
                if (mark[neighbour] != marks) {
                    mark[neighbour] = marks;
                    neighbours[node][kept++] = neighbour;
                }
            }
            degree[node] = kept;
        }

        void offer(int node) {
            offered[node] = true;
            int at = degree[node];
            previous[node] = -1;
            next[node] = first[at];
            if (first[at] >= 0) {
                previous[first[at]] = node;
            }
            first[at] = node;
            fewest = Math.min(fewest, at);
        }

        private void withdraw(int node) {
            if (previous[node] >= 0) {
                next[previous[node]] = next[node];
            } else {
                first[degree[node]] = next[node];
            }
            if (next[node] >= 0) {
                previous[next[node]] = previous[node];
            }
        }

        /** Whether a node with no more neighbours than that is on offer. */
        boolean offers(int most) {
            while (fewest < first.length && first[fewest] < 0) {
                fewest++;
            }
            return fewest <= most && fewest < first.length;
        }

        int takeFewest() {
            while (first[fewest] < 0) {
                fewest++;
            }
            int node = first[fewest];
            withdraw(node);
            offered[node] = false;
            return node;
        }

        /** Takes a node out and joins its neighbours to each other; returns them. */
        int[] eliminate(int node) {
            var column = Arrays.copyOf(neighbours[node], degree[node]);
            for (int neighbour : column) {
                if (offered[neighbour]) {
                    withdraw(neighbour);
                }
                joinTo(neighbour, column, node);
                if (offered[neighbour]) {
                    offer(neighbour);
                }
            }
            return column;
        }

        private void joinTo(int node, int[] column, int without) {
            marks++;
            mark[node] = marks;
            mark[without] = marks;
            int kept = 0;
            for (int i = 0; i < degree[node]; i++) {
                int neighbour = neighbours[node][i];
                if (neighbour != without) {
                    mark[neighbour] = marks;
                    neighbours[node][kept++] = neighbour;
                }
            }
            degree[node] = kept;
            for (int neighbour : column) {
                if (mark[neighbour] != marks) {
                    add(node, neighbour);
                }
            }
        }
    }
}
