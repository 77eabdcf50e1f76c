package aficion.diagram;

import aficion.diagram.Diagram.Box;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Boxes kept by the height they lie at, so that those in the way of another are found without
 * looking at all.
 */
public final class Shelves {
    /** Height of a shelf, drawing units. */
    private static final double HIGH = 48;

    private final Map<Integer, List<Box>> shelves = new HashMap<>();

    /** Keeps a box. */
    public void add(Box box) {
        for (int shelf = first(box); shelf <= last(box); shelf++) {
            shelves.computeIfAbsent(shelf, _ -> new ArrayList<>()).add(box);
        }
    }

    /** Whether no box overlaps that one. */
    public boolean isFree(Box box) {
        for (int shelf = first(box); shelf <= last(box); shelf++) {
            for (var other : shelves.getOrDefault(shelf, List.of())) {
                if (box.overlaps(other)) {
                    return false;
                }
            }
        }
        return true;
    }

    /** The first of some places that is free, which is taken then. */
    public <T> Optional<T> takeFree(List<T> places, Function<T, Box> box) {
        var free = places.stream().filter(place -> isFree(box.apply(place))).findFirst();
        free.map(box).ifPresent(this::add);
        return free;
    }

    /** The same; where none is free the one that the fewest boxes overlap. */
    public <T> Optional<T> take(List<T> places, Function<T, Box> box) {
        return takeFree(places, box)
                .or(() -> {
                    var least =
                            places.stream()
                                    .min(
                                            Comparator.comparingInt(
                                                    place -> overlapping(box.apply(place))));
                    least.map(box).ifPresent(this::add);
                    return least;
                });
    }

    /** How many boxes overlap that one. */
    public int overlapping(Box box) {
        int count = 0;
        int top = first(box);
        for (int shelf = top; shelf <= last(box); shelf++) {
            for (var other : shelves.getOrDefault(shelf, List.of())) {
                boolean seen = shelf > Math.max(top, first(other));
                count += !seen && box.overlaps(other) ? 1 : 0;
            }
        }
        return count;
    }

    private static int first(Box box) {
        return (int) Math.floor(box.y() / HIGH);
    }

    private static int last(Box box) {
        return (int) Math.floor(box.bottom() / HIGH);
    }
}
