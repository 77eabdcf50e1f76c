package aficion.forming;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Strands that part and never meet again, in metres.
 *
 * @param knots how many places there are where strands end or part, numbered from nought
 */
record Tree(int knots, List<Strand> strands) {

    /**
     * A strand between two knots.
     *
     * @param step how long it lies straight, at the least, between two bends of an eighth turn
     */
    record Strand(int from, int to, double length, double step) {
        int beyond(int knot) {
            return knot == from ? to : from;
        }
    }

    /**
     * Strands laid in one go, one after another from a knot outwards.
     *
     * @param strands by number
     * @param length of them together
     * @param load the length of all that hangs on it, itself included
     */
    record Limb(int start, List<Integer> strands, double length, double load, List<Limb> limbs) {
        /** The strand it begins with, by number: no other limb has it. */
        int first() {
            return strands.getFirst();
        }
    }

    Tree {
        strands = List.copyOf(strands);
        if (strands.size() != knots - 1) {
            throw new IllegalArgumentException(
                    knots + " knots are joined by one strand less, not by " + strands.size());
        }
    }

    /** The strands that meet a knot, by number. */
    List<Integer> meeting(int knot) {
        var meeting = new ArrayList<Integer>();
        for (int i = 0; i < strands.size(); i++) {
            if (strands.get(i).from == knot || strands.get(i).to == knot) {
                meeting.add(i);
            }
        }
        return meeting;
    }

    /** How far every knot is from one of them along the strands. */
    double[] distances(int from) {
        var far = new double[knots];
        walk(from, -1, 0, far);
        return far;
    }

    private void walk(int knot, int by, double along, double[] far) {
        far[knot] = along;
        for (int strand : meeting(knot)) {
            if (strand != by) {
                walk(
                        strands.get(strand).beyond(knot),
                        strand,
                        along + strands.get(strand).length,
                        far);
            }
        }
    }

    /** The longest way through the tree, with all that hangs on it. */
    Limb trunk() {
        int one = farthest(0);
        int other = farthest(one);
        return limb(one, way(one, -1, other));
    }

    private int farthest(int from) {
        var far = distances(from);
        int best = from;
        for (int knot = 0; knot < knots; knot++) {
            if (far[knot] > far[best]) {
                best = knot;
            }
        }
        return best;
    }

    private List<Integer> way(int knot, int by, int to) {
        for (int strand : meeting(knot)) {
            if (strand != by) {
                int next = strands.get(strand).beyond(knot);
                var rest = next == to ? List.<Integer>of() : way(next, strand, to);
                if (next == to || !rest.isEmpty()) {
                    var way = new ArrayList<>(List.of(strand));
                    way.addAll(rest);
                    return way;
                }
            }
        }
        return List.of();
    }

    /** A limb along a way, and what leaves it. */
    private Limb limb(int start, List<Integer> way) {
        double length = 0;
        double load = 0;
        var limbs = new ArrayList<Limb>();
        int knot = start;
        for (int i = 0; i < way.size(); i++) {
            int strand = way.get(i);
            int next = strands.get(strand).beyond(knot);
            length += strands.get(strand).length;
            for (int leaving : meeting(next)) {
                if (leaving != strand && !(i + 1 < way.size() && way.get(i + 1) == leaving)) {
                    var limb = limb(next, longest(next, leaving));
                    limbs.add(limb);
                    load += limb.load;
                }
            }
            knot = next;
        }
        return new Limb(start, way, length, load + length, limbs);
    }

    /** The longest way from a knot that begins with a strand. */
    private List<Integer> longest(int knot, int strand) {
        int next = strands.get(strand).beyond(knot);
        var way = new ArrayList<>(List.of(strand));
        meeting(next).stream()
                .filter(each -> each != strand)
                .map(each -> longest(next, each))
                .max(Comparator.comparingDouble(this::length))
                .ifPresent(way::addAll);
        return way;
    }

    private double length(List<Integer> way) {
        return way.stream().mapToDouble(strand -> strands.get(strand).length).sum();
    }
}
