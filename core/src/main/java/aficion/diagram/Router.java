package aficion.diagram;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.PriorityQueue;
import java.util.Set;

/**
 * Runs strokes along a grid: shortest way first, few bends, few crossings, never through a body and
 * never on top of another stroke. Strokes that share a key share their way from there (a trunk).
 *
 * <p>A* over nodes and headings with the Manhattan distance to the goals as bound. A search that
 * has come to {@value #PATIENCE} places, more than a drawing of fifty wires asks for, goes on
 * greedily: it takes the goal {@value #HURRY} times as seriously as the way behind it (weighted A*,
 * I. Pohl, 1970), so that no stroke costs more than its own length; and it ends at once where the
 * goal is walled in.
 */
final class Router {
    private static final int STEP = 2;
    private static final int BEND = 9;
    private static final int CROSSING = 60;
    private static final int CLOSE = 5;

    private static final int PATIENCE = 20_000;
    private static final int HURRY = 5;

    /** A line before the first column or behind the last leads the eye astray. */
    private static final int OUTSIDE = 2;

    private static final int[] DX = {1, 0, -1, 0};
    private static final int[] DY = {0, 1, 0, -1};

    private final int columns;
    private final int rows;
    private final boolean[] blocked;
    private final int[] across;
    private final int[] along;
    private final Map<Object, Set<Integer>> trunks = new HashMap<>();
    private final int edge;
    private int strokes;

    /** What a search has come to, by place and heading; of an earlier search where the mark is. */
    private final int[] cost;

    private final int[] before;
    private final int[] reached;

    /** The search that went on from a place and heading. */
    private final int[] left;

    /** The search that a place was last a start or a goal of. */
    private final int[] starting;

    private final int[] ending;
    private int searches;
    private int tried;

    /**
     * @param edge the first column of the grid behind everything that is drawn
     */
    Router(int columns, int rows, int edge) {
        this.columns = columns;
        this.rows = rows;
        this.edge = edge;
        this.blocked = new boolean[columns * rows];
        this.across = new int[columns * rows];
        this.along = new int[columns * rows];
        this.cost = new int[columns * rows * 4];
        this.before = new int[columns * rows * 4];
        this.reached = new int[columns * rows * 4];
        this.left = new int[columns * rows * 4];
        this.starting = new int[columns * rows];
        this.ending = new int[columns * rows];
    }

    /** A grid node by column and row. */
    record Node(int column, int row) {}

    /**
     * One end of a stroke: the key of its trunk and the node next to its pin.
     *
     * @param shares whether it may meet its trunk on the way rather than at the pin
     */
    record Anchor(Object key, Node node, boolean shares) {}

    /** A way found, end to end. */
    record Way(List<Node> nodes, boolean startsOnTrunk, boolean endsOnTrunk) {}

    void block(int fromColumn, int toColumn, int fromRow, int toRow) {
        for (int row = Math.max(0, fromRow); row <= Math.min(rows - 1, toRow); row++) {
            for (int column = Math.max(0, fromColumn);
                    column <= Math.min(columns - 1, toColumn);
                    column++) {
                blocked[row * columns + column] = true;
            }
        }
    }

    void free(Node node) {
        blocked[index(node)] = false;
    }

    /** Finds a way and takes it; empty when both ends are walled in. */
    Optional<Way> route(Anchor from, Anchor to) {
        var starts = ends(from);
        var goals = ends(to);
        var found = search(starts, goals);
        found.ifPresent(nodes -> occupy(nodes, from, to));
        return found.map(nodes ->
                new Way(
                        nodes.stream().map(this::node).toList(),
                        trunks.containsKey(from.key()) && nodes.getFirst() != index(from.node()),
                        trunks.containsKey(to.key()) && nodes.getLast() != index(to.node())));
    }

    private Set<Integer> ends(Anchor anchor) {
        var ends =
                new HashSet<>(
                        anchor.shares() ? trunks.getOrDefault(anchor.key(), Set.of()) : Set.of());
        ends.removeIf(
                index -> across[index] != 0 && along[index] != 0 && across[index] != along[index]);
        ends.add(index(anchor.node()));
        return ends;
    }

    private Optional<List<Integer>> search(Set<Integer> starts, Set<Integer> ends) {
        var goals = ends.stream().mapToInt(goal -> goal).toArray();
        var sorted = starts.stream().mapToInt(start -> start).sorted().toArray();
        var found = search(sorted, goals, 1, PATIENCE);
        if (found.isEmpty() && tried >= PATIENCE && !isWalledIn(sorted, goals)) {
            return search(sorted, goals, HURRY, Integer.MAX_VALUE);
        }
        return found;
    }

    private Optional<List<Integer>> search(int[] starts, int[] goals, int weight, int most) {
        searches++;
        tried = 0;
        mark(starts, starting);
        mark(goals, ending);
        var open = new PriorityQueue<long[]>((one, other) -> Long.compare(one[0], other[0]));
        for (int start : starts) {
            for (int heading = 0; heading < 4; heading++) {
                reach(start * 4 + heading, 0, -1);
                open.add(entry(weight * bound(start, goals), start * 4 + heading));
            }
        }
        while (!open.isEmpty() && tried < most) {
            int state = (int) open.remove()[1];
            if (left[state] == searches) {
                continue;
            }
            left[state] = searches;
            tried++;
            int at = state / 4;
            if (isGoal(at)) {
                return Optional.of(trace(state));
            }
            for (int heading = 0; heading < 4; heading++) {
                int next = step(at, heading);
                if (next < 0 || isStart(next)) {
                    continue;
                }
                int price = price(state, next, heading);
                int there = next * 4 + heading;
                if (price >= 0
                        && left[there] != searches
                        && (reached[there] != searches || cost[state] + price < cost[there])) {
                    reach(there, cost[state] + price, state);
                    open.add(entry(cost[there] + weight * bound(next, goals), there));
                }
            }
        }
        return Optional.empty();
    }

    private void mark(int[] places, int[] mark) {
        for (int place : places) {
            mark[place] = searches;
        }
    }

    /** Whether walls and lines part the goals from the starts; both sides are felt for in turn. */
    private boolean isWalledIn(int[] starts, int[] goals) {
        searches++;
        mark(starts, starting);
        mark(goals, ending);
        var here = new ArrayDeque<Integer>();
        var there = new ArrayDeque<Integer>();
        Arrays.stream(starts).forEach(here::add);
        Arrays.stream(goals).forEach(there::add);
        while (!here.isEmpty() && !there.isEmpty()) {
            if (meets(here, starting, ending) || meets(there, ending, starting)) {
                return false;
            }
        }
        return true;
    }

    /** Feels one place further; whether the other side has been there. */
    private boolean meets(ArrayDeque<Integer> open, int[] own, int[] other) {
        int at = open.remove();
        for (int heading = 0; heading < 4; heading++) {
            int next = step(at, heading);
            if (next < 0 || own[next] == searches) {
                continue;
            }
            if (other[next] == searches) {
                return true;
            }
            if (!blocked[next] && (heading % 2 == 0 ? across : along)[next] == 0) {
                own[next] = searches;
                open.add(next);
            }
        }
        return false;
    }

    private void reach(int state, int price, int from) {
        reached[state] = searches;
        cost[state] = price;
        before[state] = from;
    }

    private boolean isStart(int at) {
        return starting[at] == searches;
    }

    private boolean isGoal(int at) {
        return ending[at] == searches;
    }

    /** What one step costs; below zero when it may not be taken. */
    private int price(int state, int next, int heading) {
        int at = state / 4;
        boolean begins = isStart(at);
        boolean ends = isGoal(next);
        boolean turns = !begins && heading != state % 4;
        int[] lengthwise = heading % 2 == 0 ? across : along;
        int[] crosswise = heading % 2 == 0 ? along : across;
        if (!begins && (heading + 2) % 4 == state % 4) {
            return -1;
        }
        if (blocked[next] && !ends) {
            return -1;
        }
        if (!ends && lengthwise[next] != 0) {
            return -1;
        }
        if (!begins && lengthwise[at] != 0) {
            return -1;
        }
        if (turns && crosswise[at] != 0) {
            return -1;
        }
        int price = isOutside(next % columns) ? STEP + OUTSIDE : STEP;
        if (turns) {
            price += BEND;
        }
        if (!ends && crosswise[next] != 0) {
            price += CROSSING;
        }
        for (int side = 1; side <= 3; side += 2) {
            int beside = step(next, (heading + side) % 4);
            if (beside >= 0 && (lengthwise[beside] != 0 || blocked[beside])) {
                price += CLOSE;
            }
        }
        return price;
    }

    private boolean isOutside(int column) {
        return column == 0 || column >= edge;
    }

    private void occupy(List<Integer> nodes, Anchor from, Anchor to) {
        strokes++;
        for (int i = 1; i < nodes.size(); i++) {
            boolean horizontal = Math.abs(nodes.get(i) - nodes.get(i - 1)) == 1;
            int[] taken = horizontal ? across : along;
            taken[nodes.get(i - 1)] = strokes;
            taken[nodes.get(i)] = strokes;
        }
        if (nodes.size() == 1) {
            across[nodes.getFirst()] = strokes;
        }
        trunks.computeIfAbsent(from.key(), _ -> new HashSet<>()).addAll(nodes);
        trunks.computeIfAbsent(to.key(), _ -> new HashSet<>()).addAll(nodes);
    }

    private List<Integer> trace(int state) {
        var nodes = new ArrayList<Integer>();
        for (int at = state; at >= 0; at = before[at]) {
            nodes.addFirst(at / 4);
        }
        return nodes;
    }

    private int bound(int at, int[] goals) {
        int column = at % columns;
        int row = at / columns;
        int least = Integer.MAX_VALUE;
        for (int goal : goals) {
            int goalRow = goal / columns;
            int down = Math.abs(row - goalRow);
            if (down < least) {
                least = Math.min(least, down + Math.abs(column - goal + goalRow * columns));
            }
        }
        return least * STEP;
    }

    private int step(int at, int heading) {
        int column = at % columns + DX[heading];
        int row = at / columns + DY[heading];
        return column < 0 || row < 0 || column >= columns || row >= rows
                ? -1
                : row * columns + column;
    }

    private static long[] entry(long cost, long state) {
        return new long[] {cost * 1_000_000 + state, state};
    }

    private int index(Node node) {
        return node.row() * columns + node.column();
    }

    private Node node(int index) {
        return new Node(index % columns, index / columns);
    }
}
