package aficion.forming;

import aficion.harness.Board.At;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What lies on a forming board so far, as points two centimetres apart, found by where they lie.
 * Metres.
 */
final class Lain {
    private static final double APART = 0.02;

    private final Tree tree;
    private final double cell;
    private final int across;
    private final int[][] cells;
    private final List<List<At>> ways = new ArrayList<>();
    private double[] x = new double[256];
    private double[] y = new double[256];
    private int[] strand = new int[256];
    private double[] along = new double[256];
    private double[] away = new double[0];
    private int points;

    /**
     * @param room the farthest anything is looked for
     */
    Lain(Tree tree, double wide, double high, double room) {
        this.tree = tree;
        this.cell = room;
        this.across = cell(wide) + 2;
        this.cells = new int[across * (cell(high) + 2)][0];
        tree.strands().forEach(_ -> ways.add(List.of()));
    }

    /** The way of each strand from its first knot to its last; empty while it does not lie. */
    List<List<At>> ways() {
        return ways;
    }

    /**
     * Lays a strand.
     *
     * @param way from its first knot to its last
     * @param beyond room kept at the end of it, in the direction it ends; 0 for none
     * @param end whether that is the end of {@link Tree.Strand#to}
     */
    void lay(int number, List<At> way, double beyond, boolean end) {
        ways.set(number, List.copyOf(way));
        double length = tree.strands().get(number).length();
        double passed = 0;
        for (int i = 1; i < way.size(); i++) {
            double far = way.get(i - 1).to(way.get(i));
            for (double on = 0; on < far; on += APART) {
                add(number, way.get(i - 1).towards(way.get(i), on), passed + on);
            }
            passed += far;
        }
        add(number, way.getLast(), length);
        var tip = end ? way.getLast() : way.getFirst();
        double outward = (end ? way.get(way.size() - 2) : way.get(1)).angle(tip);
        for (double more = APART; more <= beyond; more += APART) {
            add(number, tip.moved(outward, more), end ? length + more : -more);
        }
    }

    private void add(int number, At at, double on) {
        if (points == x.length) {
            x = Arrays.copyOf(x, 2 * points);
            y = Arrays.copyOf(y, 2 * points);
            strand = Arrays.copyOf(strand, 2 * points);
            along = Arrays.copyOf(along, 2 * points);
        }
        x[points] = at.x();
        y[points] = at.y();
        strand[points] = number;
        along[points] = on;
        int place = cell(at.y()) * across + cell(at.x());
        var there = cells[place];
        cells[place] = Arrays.copyOf(there, there.length + 1);
        cells[place][there.length] = points++;
    }

    /** Cells are counted from one, so that every one has neighbours. */
    private int cell(double metres) {
        return 1 + (int) (metres / cell);
    }

    /** Tells how far everything is from a knot along the strands, for what is laid from there. */
    void from(int knot) {
        var far = tree.distances(knot);
        away = new double[points];
        for (int i = 0; i < points; i++) {
            var on = tree.strands().get(strand[i]);
            away[i] = Math.min(far[on.from()] + along[i], far[on.to()] + on.length() - along[i]);
        }
    }

    /**
     * Whether a place is free for what has come so far from the knot told last.
     *
     * @param room kept from all else
     * @param near the same close to where strands part, as a share of the way between them along
     *     the strands
     */
    boolean isFree(double px, double py, double come, double room, double near) {
        int place = cell(py) * across + cell(px);
        for (int down = -across; down <= across; down += across) {
            for (int at = place + down - 1; at <= place + down + 1; at++) {
                for (int i : cells[at]) {
                    double dx = px - x[i];
                    double dy = py - y[i];
                    double kept = Math.min(room, near * (away[i] + come));
                    if (dx * dx + dy * dy < kept * kept) {
                        return false;
                    }
                }
            }
        }
        return true;
    }
}
