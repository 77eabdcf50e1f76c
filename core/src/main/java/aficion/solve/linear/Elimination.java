package aficion.solve.linear;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The order in which the nodes of a network are eliminated and the fill that follows, worked out
 * once for its pattern.
 *
 * <p>Minimum degree: the node with the fewest neighbours goes first, its neighbours become each
 * other's neighbours, and so on [1]. Everything numeric refers to fixed positions afterwards, so
 * that refactoring allocates nothing.
 *
 * <p>[1] A. George, J. W. H. Liu, "The evolution of the minimum degree ordering algorithm", SIAM
 * Review 31 (1989).
 */
public final class Elimination {
    private final int size;
    private final int[] rank;
    private final int[] start;
    private final int[] row;
    private final int[] pairStart;
    private final int[] pairTarget;

    private Elimination(int size, int[] rank, List<int[]> columns) {
        this.size = size;
        this.rank = rank;
        this.start = new int[size + 1];
        for (int k = 0; k < size; k++) {
            start[k + 1] = start[k] + columns.get(k).length;
        }
        this.row = columns.stream().flatMapToInt(Arrays::stream).toArray();
        this.pairStart = new int[size + 1];
        for (int k = 0; k < size; k++) {
            int length = start[k + 1] - start[k];
            pairStart[k + 1] = pairStart[k] + length * (length - 1) / 2;
        }
        this.pairTarget = new int[pairStart[size]];
        for (int k = 0; k < size; k++) {
            int next = pairStart[k];
            for (int p = start[k]; p < start[k + 1]; p++) {
                for (int q = p + 1; q < start[k + 1]; q++) {
                    pairTarget[next++] = find(row[p], row[q]);
                }
            }
        }
    }

    /**
     * @param size number of nodes, the reference not counted
     * @param one for each link one of its nodes, 0 to size − 1
     * @param other for each link the other; links of a node with itself are ignored
     */
    public static Elimination of(int size, int[] one, int[] other) {
        var neighbours = IntStream.range(0, size).mapToObj(_ -> new BitSet()).toList();
        for (int link = 0; link < one.length; link++) {
            if (one[link] != other[link]) {
                neighbours.get(one[link]).set(other[link]);
                neighbours.get(other[link]).set(one[link]);
            }
        }
        int[] rank = new int[size];
        Arrays.fill(rank, -1);
        var columns = new ArrayList<BitSet>(size);
        for (int step = 0; step < size; step++) {
            int node = fewest(neighbours, rank);
            rank[node] = step;
            var column = neighbours.get(node);
            columns.add(column);
            column.stream()
                    .forEach(i -> {
                        neighbours.get(i).or(column);
                        neighbours.get(i).clear(i);
                        neighbours.get(i).clear(node);
                    });
        }
        return new Elimination(
                size,
                rank,
                columns.stream()
                        .map(column -> column.stream().map(i -> rank[i]).sorted().toArray())
                        .toList());
    }

    private static int fewest(List<BitSet> neighbours, int[] rank) {
        int best = -1;
        int least = Integer.MAX_VALUE;
        for (int node = 0; node < rank.length; node++) {
            if (rank[node] < 0) {
                int degree = neighbours.get(node).cardinality();
                if (degree < least) {
                    least = degree;
                    best = node;
                }
            }
        }
        return best;
    }

    int size() {
        return size;
    }

    int entries() {
        return row.length;
    }

    int rank(int node) {
        return rank[node];
    }

    int start(int column) {
        return start[column];
    }

    int row(int entry) {
        return row[entry];
    }

    int pairStart(int column) {
        return pairStart[column];
    }

    int pairTarget(int pair) {
        return pairTarget[pair];
    }

    /** Where the link between two nodes is kept. */
    int entry(int one, int other) {
        int a = rank[one];
        int b = rank[other];
        return a < b ? find(a, b) : find(b, a);
    }

    private int find(int column, int wanted) {
        int at = Arrays.binarySearch(row, start[column], start[column + 1], wanted);
        if (at < 0) {
            throw new IllegalArgumentException(
                    "no link between ranks " + column + " and " + wanted);
        }
        return at;
    }
}
