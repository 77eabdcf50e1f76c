package aficion.diagram;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Which row everything in every column stands on. The order along a column is improved by medians
 * (Eades and Wormald, 1994) as long as fewer lines cross; then each thing stands as level with what
 * it is joined to as its neighbours allow. A line that passes a column on its way takes a place in
 * it as well, so that it can run straight.
 */
final class Rows {
    private static final int GAP = 3;
    private static final int TOP = 6;
    private static final int BESIDE_LINE = 2;
    private static final int SWEEPS = 6;
    private static final double FAR = 1000;

    private final List<List<Item>> columns;
    private final List<Link> links;
    private final Map<Item, Integer> tops = new HashMap<>();

    /**
     * Something in a column: the body of a part, or a line on its way.
     *
     * @param key what it is
     * @param height its rows; 0 for a line or a joint
     * @param line whether it is a line on its way
     */
    record Item(Object key, int height, boolean line) {}

    /** A line between things of neighbouring columns, with the row of each end inside its thing. */
    record Link(Item left, int leftRow, Item right, int rightRow) {}

    private Rows(List<List<Item>> columns, List<Link> links) {
        this.columns = new ArrayList<>(columns);
        this.links = links;
    }

    /**
     * The top rows.
     *
     * @param columns what stands in each column, in the order of the path
     */
    static Map<Item, Integer> of(List<List<Item>> columns, List<Link> links) {
        var rows = new Rows(columns, links);
        rows.order();
        rows.stack();
        return rows.tops;
    }

    private void order() {
        var best = List.copyOf(columns);
        int least = crossings();
        for (int sweep = 0; sweep < SWEEPS && least > 0; sweep++) {
            boolean rightwards = sweep % 2 == 0;
            for (int i = 1; i < columns.size(); i++) {
                int column = rightwards ? i : columns.size() - 1 - i;
                columns.set(column, byMedians(columns.get(column), rightwards));
            }
            int now = crossings();
            if (now < least) {
                least = now;
                best = List.copyOf(columns);
            }
        }
        for (int i = 0; i < best.size(); i++) {
            columns.set(i, best.get(i));
        }
    }

    /** Those that are joined to the column before in the order of their medians; the rest stay. */
    private List<Item> byMedians(List<Item> column, boolean fromLeft) {
        var medians = new HashMap<Item, Double>();
        column.forEach(item -> median(item, fromLeft).ifPresent(at -> medians.put(item, at)));
        var sorted =
                column.stream()
                        .filter(medians::containsKey)
                        .sorted(Comparator.comparingDouble(medians::get))
                        .iterator();
        return column.stream()
                .map(item -> medians.containsKey(item) ? sorted.next() : item)
                .toList();
    }

    private Optional<Double> median(Item item, boolean fromLeft) {
        var at =
                links.stream()
                        .filter(link -> (fromLeft ? link.right : link.left).equals(item))
                        .map(link -> fromLeft ? left(link) : right(link))
                        .sorted()
                        .toList();
        return at.isEmpty() ? Optional.empty() : Optional.of(at.get((at.size() - 1) / 2));
    }

    private double left(Link link) {
        return place(link.left) * FAR + link.leftRow;
    }

    private double right(Link link) {
        return place(link.right) * FAR + link.rightRow;
    }

    private int place(Item item) {
        return columns.get(column(item)).indexOf(item);
    }

    /** How many lines between neighbouring columns cross, by the order of their ends. */
    private int crossings() {
        var lefts = links.stream().mapToDouble(this::left).toArray();
        var rights = links.stream().mapToDouble(this::right).toArray();
        var gaps = links.stream().mapToInt(link -> column(link.left)).toArray();
        int crossings = 0;
        for (int i = 0; i < lefts.length; i++) {
            for (int j = i + 1; j < lefts.length; j++) {
                if (gaps[i] == gaps[j] && (lefts[i] - lefts[j]) * (rights[i] - rights[j]) < 0) {
                    crossings++;
                }
            }
        }
        return crossings;
    }

    private int column(Item item) {
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).contains(item)) {
                return i;
            }
        }
        throw new IllegalStateException("no column holds " + item);
    }

    private void stack() {
        columns.forEach(this::stack);
        for (int pass = 0; pass < 2; pass++) {
            for (int column = columns.size() - 1; column >= 0; column--) {
                straighten(columns.get(column));
            }
        }
    }

    private void stack(List<Item> column) {
        int least = Integer.MIN_VALUE;
        Item above = null;
        for (var item : column) {
            int free = above == null ? TOP : least + gap(above, item);
            int top = Math.max(free, level(item, true).orElse(free));
            tops.put(item, top);
            least = top + item.height;
            above = item;
        }
    }

    private static int gap(Item above, Item below) {
        if (above.line && below.line) {
            return BESIDE_LINE;
        }
        return above.line || below.line ? BESIDE_LINE + (below.line ? 0 : 1) : GAP;
    }

    /** The top row that is level with what is joined on one side; the topmost neighbour decides. */
    private Optional<Integer> level(Item item, boolean fromLeft) {
        return links.stream()
                .filter(link -> (fromLeft ? link.right : link.left).equals(item))
                .filter(link -> tops.containsKey(fromLeft ? link.left : link.right))
                .map(link ->
                        fromLeft
                                ? tops.get(link.left) + link.leftRow - link.rightRow
                                : tops.get(link.right) + link.rightRow - link.leftRow)
                .min(Comparator.naturalOrder());
    }

    /** Moves things down to be level with what they feed, the lowest first, where there is room. */
    private void straighten(List<Item> column) {
        Item below = null;
        for (var item : column.reversed()) {
            int now = tops.get(item);
            int lowest =
                    below == null
                            ? Integer.MAX_VALUE
                            : tops.get(below) - gap(item, below) - item.height;
            int top =
                    level(item, false)
                            .filter(row -> row > now)
                            .map(row -> Math.min(row, lowest))
                            .orElse(now);
            tops.put(item, Math.max(top, now));
            below = item;
        }
    }
}
