package aficion.job;

import java.util.ArrayList;
import java.util.List;

/**
 * The plug leads of a distributor cap, seen from above.
 *
 * @param order the firing order, such as 1-3-4-2
 * @param clockwise whether the rotor turns clockwise, seen from above
 * @param first the tower, counted clockwise from 1, at which the rotor points when cylinder 1 fires
 */
public record Cap(List<Integer> order, boolean clockwise, int first) {
    private static final int MOST = 16;

    /**
     * @throws IllegalArgumentException when a cylinder is missing or stands twice, or there is no
     *     such tower
     */
    public Cap {
        order = List.copyOf(order);
        int count = order.size();
        boolean whole =
                count >= 1
                        && count <= MOST
                        && order.stream().distinct().count() == count
                        && order.stream().allMatch(each -> each >= 1 && each <= count);
        if (!whole) {
            throw new IllegalArgumentException(
                    "a firing order names every cylinder from 1 once, not " + order);
        }
        if (first < 1 || first > count) {
            throw new IllegalArgumentException("there is no tower " + first);
        }
    }

    /** The cylinder that each tower feeds, clockwise from the first tower. */
    public List<Integer> cylinders() {
        int count = order.size();
        var fed = new ArrayList<Integer>();
        for (int tower = 1; tower <= count; tower++) {
            int steps = Math.floorMod(clockwise ? tower - first : first - tower, count);
            fed.add(order.get(steps));
        }
        return fed;
    }

    /** The same half a turn out: set by the mark on the exhaust stroke. */
    public Cap halfOut() {
        int count = order.size();
        return new Cap(order, clockwise, 1 + Math.floorMod(first - 1 + count / 2, count));
    }
}
