package aficion.change;

import aficion.job.FoundBox.Fed;
import aficion.job.FoundBox.Seat;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A plug that is to fit a device of another year: what stays, moves, is new, comes off, and in
 * which order, so that never more than one pin is out. A pin moves into a way that is free; where
 * pins go round in a circle, one waits in the spare place until its way is free.
 */
public final class Repinning {
    /** Where a pin waits. */
    public static final String SPARE = "spare";

    private final List<Seat> from;
    private final List<Seat> to;
    private final Map<Seat, Seat> goes = new LinkedHashMap<>();
    private final List<Step> steps = new ArrayList<>();

    /** What is done with a way. */
    public enum Action {
        /** A closed way is opened, since a pin goes in. */
        OPEN,
        /** The pin comes out for good: cut back and sealed. */
        OFF,
        MOVE,
        /** A pin that was not there. */
        NEW,
        /** Nothing goes in: a blank, where the plug is sealed. */
        BLANK,
        STAYS
    }

    /**
     * A step.
     *
     * @param from the way it comes from, {@link #SPARE}, or empty
     * @param to the way it goes to, {@link #SPARE}, or empty
     * @param colour of the wire it has in this vehicle; empty for a new one
     */
    public record Step(Action action, String function, String from, String to, String colour) {}

    /** What is to be known of a function before power is on. */
    public sealed interface Note {
        /** It was given one side and now wants the other. */
        record OtherSide(String function, Fed was, Fed wants) implements Note {}

        /** Its lamp proved out and will not, or the other way round. */
        record ProvesOtherwise(String function, boolean proves) implements Note {}

        /** Both sides feed one lamp that proves out: a diode keeps them apart. */
        record Diode(String function) implements Note {}

        /** Wires of one colour move: they are told apart before any is out. */
        record Alike(String colour, List<String> ways) implements Note {
            public Alike {
                ways = List.copyOf(ways);
            }
        }
    }

    /**
     * The steps and what is to be known.
     *
     * @param out the most pins that are out at once
     */
    public record Found(List<Step> steps, List<Note> notes, int out) {
        public Found {
            steps = List.copyOf(steps);
            notes = List.copyOf(notes);
        }
    }

    private Repinning(List<Seat> from, List<Seat> to) {
        this.from = from;
        this.to = to;
    }

    /**
     * From a plug as it is to what it shall be.
     *
     * @throws IllegalArgumentException when a way stands twice in one of them, or none is there
     */
    public static Found of(List<Seat> from, List<Seat> to) {
        requireOnce(from);
        requireOnce(to);
        var repinning = new Repinning(from, to);
        repinning.match();
        repinning.work();
        return new Found(
                repinning.steps,
                repinning.notes(),
                repinning.steps.stream().anyMatch(step -> step.to().equals(SPARE)) ? 1 : 0);
    }

    private static void requireOnce(List<Seat> ways) {
        if (ways.isEmpty()) {
            throw new IllegalArgumentException("a plug has at least one way");
        }
        var seen = new HashSet<String>();
        for (var way : ways) {
            if (!seen.add(way.way())) {
                throw new IllegalArgumentException("way " + way.way() + " stands twice");
            }
        }
    }

    /** What stays where it is first, then each function in the order of its ways. */
    private void match() {
        var taken = new HashSet<Seat>();
        for (var wanted : to) {
            from.stream()
                    .filter(pin -> pin.way().equals(wanted.way()) && pin.isFor(wanted))
                    .findFirst()
                    .ifPresent(pin -> {
                        goes.put(pin, wanted);
                        taken.add(wanted);
                    });
        }
        for (var wanted : to) {
            if (!taken.contains(wanted)) {
                from.stream()
                        .filter(pin -> !goes.containsKey(pin) && pin.isFor(wanted))
                        .findFirst()
                        .ifPresent(pin -> {
                            goes.put(pin, wanted);
                            taken.add(wanted);
                        });
            }
        }
    }

    private void work() {
        open();
        from.stream()
                .filter(pin -> pin.isUsed() && !goes.containsKey(pin))
                .forEach(pin -> step(Action.OFF, pin.function(), pin.way(), "", pin.colour()));
        move();
        var fed = new HashSet<>(goes.values());
        to.stream()
                .filter(way -> way.isUsed() && !fed.contains(way))
                .forEach(way -> step(Action.NEW, way.function(), "", way.way(), ""));
        to.stream()
                .filter(way -> !way.isUsed() && !way.isBlocked())
                .filter(way -> find(from, way.way()).filter(Seat::isBlocked).isEmpty())
                .forEach(way -> step(Action.BLANK, "", "", way.way(), ""));
        goes.forEach((pin, way) -> {
            if (pin.way().equals(way.way())) {
                step(Action.STAYS, way.function(), pin.way(), way.way(), pin.colour());
            }
        });
    }

    private void open() {
        to.stream()
                .filter(Seat::isUsed)
                .filter(way -> find(from, way.way()).filter(Seat::isBlocked).isPresent())
                .forEach(way -> step(Action.OPEN, way.function(), "", way.way(), ""));
    }

    private void move() {
        var left = new ArrayList<Seat>();
        goes.forEach((pin, way) -> {
            if (!pin.way().equals(way.way())) {
                left.add(pin);
            }
        });
        while (!left.isEmpty()) {
            var full = left.stream().map(Seat::way).collect(Collectors.toSet());
            var free = left.stream().filter(pin -> !full.contains(target(pin))).findFirst();
            if (free.isPresent()) {
                left.remove(free.get());
                move(free.get(), free.get().way(), target(free.get()));
            } else {
                round(left);
            }
        }
    }

    /** A circle: the first waits, each of the others follows into the way that became free. */
    private void round(List<Seat> left) {
        var first = left.removeFirst();
        move(first, first.way(), SPARE);
        var free = first.way();
        while (!free.equals(target(first))) {
            var into = free;
            var next =
                    left.stream().filter(pin -> target(pin).equals(into)).findFirst().orElseThrow();
            left.remove(next);
            move(next, next.way(), into);
            free = next.way();
        }
        move(first, SPARE, free);
    }

    private String target(Seat pin) {
        return Objects.requireNonNull(goes.get(pin)).way();
    }

    private void move(Seat pin, String out, String into) {
        step(
                Action.MOVE,
                Objects.requireNonNull(goes.get(pin)).function(),
                out,
                into,
                pin.colour());
    }

    private void step(Action action, String function, String out, String into, String colour) {
        steps.add(new Step(action, function, out, into, colour));
    }

    private static Optional<Seat> find(List<Seat> ways, String way) {
        return ways.stream().filter(each -> each.way().equals(way)).findFirst();
    }

    private List<Note> notes() {
        var notes = new ArrayList<Note>();
        goes.forEach((pin, way) -> {
            var was = pin.fed();
            var wants = way.fed();
            if (was.isPresent() && wants.isPresent() && was.get() != wants.get()) {
                notes.add(new Note.OtherSide(way.function(), was.get(), wants.get()));
            }
            boolean otherwise =
                    pin.proves().isPresent()
                            && way.proves().isPresent()
                            && !pin.proves().equals(way.proves());
            if (otherwise) {
                notes.add(new Note.ProvesOtherwise(way.function(), way.proves().get()));
                if (way.proves().get() && way.fed().filter(Fed.EARTH::equals).isPresent()) {
                    notes.add(new Note.Diode(way.function()));
                }
            }
        });
        alike().forEach((colour, ways) -> notes.add(new Note.Alike(colour, List.copyOf(ways))));
        return notes;
    }

    /** Colours that more than one of the wires have that are touched. */
    private Map<String, Set<String>> alike() {
        var touched = new LinkedHashMap<String, Set<String>>();
        for (var step : steps) {
            boolean moves = step.action() == Action.MOVE || step.action() == Action.OFF;
            if (moves && !step.colour().isBlank() && !step.from().equals(SPARE)) {
                touched.computeIfAbsent(step.colour().strip(), _ -> new LinkedHashSet<>())
                        .add(step.from());
            }
        }
        touched.values().removeIf(ways -> ways.size() < 2);
        return touched;
    }
}
