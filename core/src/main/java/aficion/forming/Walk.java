package aficion.forming;

import aficion.harness.Board.At;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * Looks for a place for one limb: many ways at once, step by step, straight on or by an eighth of a
 * turn, of which the cheapest are followed (a beam search; B. Lowerre, "The Harpy speech
 * recognition system", 1976). Dear is a bend, a slanting way, and what gets into the way of limbs
 * still to come. Metres.
 *
 * @param self room kept from its own earlier course
 */
record Walk(Lain lain, Space space, double self, Price price, Random random) {
    private static final int FOLLOWED = 32;
    private static final double CHECKED = 0.016;

    /** Its own course is so far apart at its corners that every third look is enough. */
    private static final int LOOKS_BACK = 3;

    private static final double BEND = 45;
    private static final double SLANT = 5;
    private static final double WHIM = 12;

    /**
     * The board to lie on.
     *
     * @param room kept between strands
     * @param near the same close to where they part, as a share of the way between them
     * @param edge kept from the edge of the board
     * @param beyond kept free at an end
     * @param turns how many directions there are all round
     */
    record Space(
            double wide,
            double high,
            double room,
            double near,
            double edge,
            double beyond,
            int turns) {
        boolean holds(double x, double y) {
            return x >= edge && y >= edge && x <= wide - edge && y <= high - edge;
        }
    }

    /** What it costs to be somewhere, for each step. */
    interface Price {
        double at(double x, double y);
    }

    /** Where a way has come to. */
    private record Stride(double x, double y, int turn, double come, double cost, Stride before) {}

    /**
     * A way of a length from a place.
     *
     * @param step how long it lies straight between two bends
     * @param from the directions it may set out in
     * @return its corners, both ends among them; empty where there is no room
     */
    Optional<List<At>> find(At start, double length, double step, List<Integer> from) {
        List<Stride> ways = new ArrayList<>();
        var root = new Stride(start.x(), start.y(), -1, 0, 0, null);
        double first = Math.min(length, step);
        for (int turn : from) {
            stride(root, turn, first, 0).ifPresent(ways::add);
        }
        double come = first;
        while (!ways.isEmpty() && come < length - 1e-9) {
            double next = Math.min(step, length - come);
            var further = new ArrayList<Stride>();
            for (var way : ways) {
                int eighth = space.turns / 8;
                for (int bend : new int[] {0, -eighth, eighth}) {
                    stride(way, Math.floorMod(way.turn + bend, space.turns), next, BEND)
                            .ifPresent(further::add);
                }
            }
            ways = best(further, step);
            come += next;
        }
        return ways.stream()
                .filter(this::ends)
                .min((one, other) -> Double.compare(one.cost, other.cost))
                .map(Walk::corners);
    }

    private Optional<Stride> stride(Stride way, int turn, double far, double bend) {
        double angle = 2 * Math.PI * turn / space.turns;
        double cos = Math.cos(angle);
        double sin = Math.sin(angle);
        int looks = (int) Math.ceil(far / CHECKED);
        for (int i = 1; i <= looks; i++) {
            double on = far * i / looks;
            double x = way.x + cos * on;
            double y = way.y + sin * on;
            boolean looksBack = i == looks || i % LOOKS_BACK == 0;
            if (!space.holds(x, y)
                    || !lain.isFree(x, y, way.come + on, space.room, space.near)
                    || looksBack && !keepsFromItself(way, x, y, way.come + on)) {
                return Optional.empty();
            }
        }
        double x = way.x + cos * far;
        double y = way.y + sin * far;
        boolean slants = turn % (space.turns / 4) != 0;
        double cost =
                way.cost
                        + (way.turn == turn ? 0 : bend + WHIM * random.nextDouble())
                        + (slants ? SLANT : 0)
                        + price.at(x, y);
        return Optional.of(new Stride(x, y, turn, way.come + far, cost, way));
    }

    private boolean keepsFromItself(Stride way, double x, double y, double come) {
        for (var past = way; past != null; past = past.before) {
            double kept = Math.min(self, space.near * (come - past.come));
            double dx = x - past.x;
            double dy = y - past.y;
            if (dx * dx + dy * dy < kept * kept) {
                return false;
            }
        }
        return true;
    }

    private boolean ends(Stride way) {
        double angle = 2 * Math.PI * way.turn / space.turns;
        for (double on = CHECKED; on <= space.beyond; on += CHECKED) {
            double x = way.x + Math.cos(angle) * on;
            double y = way.y + Math.sin(angle) * on;
            if (!space.holds(x, y)
                    || !lain.isFree(x, y, way.come + on, space.room, space.near)
                    || !keepsFromItself(way, x, y, way.come + on)) {
                return false;
            }
        }
        return true;
    }

    private List<Stride> best(List<Stride> ways, double step) {
        ways.sort((one, other) -> Double.compare(one.cost, other.cost));
        var taken = new HashSet<List<Long>>();
        var best = new ArrayList<Stride>();
        for (var way : ways) {
            var where =
                    List.of(
                            Math.round(2 * way.x / step),
                            Math.round(2 * way.y / step),
                            (long) way.turn);
            if (best.size() < FOLLOWED && taken.add(where)) {
                best.add(way);
            }
        }
        return best;
    }

    private static List<At> corners(Stride end) {
        var corners = new ArrayList<At>();
        int turn = -1;
        for (var way = end; way != null; way = way.before) {
            if (way.turn != turn || way.before == null) {
                corners.addFirst(new At(way.x, way.y));
            }
            turn = way.turn;
        }
        return corners;
    }
}
