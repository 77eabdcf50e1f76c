package aficion.verb;

import aficion.catalogue.Colour;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.CompositeEdit.Reason;
import aficion.job.edit.Edit;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import aficion.verb.Attempt.Possible;
import aficion.verb.Attempt.Refusal;
import aficion.verb.Attempt.Refused;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Pattern;

/**
 * Does the other side as one side is: a part with its wires, the name and the colours mirrored. A
 * wire whose other end has a counterpart on the other side, a part or a pin, goes there; else it
 * shares that end.
 */
public final class OtherSide {
    private static final Map<String, String> WORDS =
            Map.of("left", "right", "right", "left", "links", "rechts", "rechts", "links");

    /** A side as a word of its own: what is bright is not right. */
    private static final Pattern SIDE =
            Pattern.compile(
                    "(?<!\\p{L})(left|right|links|rechts)(?!\\p{L})", Pattern.CASE_INSENSITIVE);

    /** Pins that stand for a side: of a signal switch, of a parking-lamp switch. */
    private static final Map<String, String> PINS =
            Map.of("L", "R", "R", "L", "49aL", "49aR", "49aR", "49aL", "58L", "58R", "58R", "58L");

    /** Left and right of BS AU 7, DIN 72551 (signals, side) and trailer practice. */
    private static final Map<WireColour, WireColour> COLOURS =
            both(
                    Map.of(
                            traced(Colour.GREEN, Colour.RED), traced(Colour.GREEN, Colour.WHITE),
                            traced(Colour.BLACK, Colour.WHITE), traced(Colour.BLACK, Colour.GREEN),
                            traced(Colour.SLATE, Colour.BLACK), traced(Colour.SLATE, Colour.RED),
                            WireColour.plain(Colour.YELLOW), WireColour.plain(Colour.GREEN)));

    /** A side of the vehicle, as a driver sees it. */
    public enum Side {
        LEFT("left", "links", "L"),
        RIGHT("right", "rechts", "R");

        private final List<String> words;
        private final String letter;

        Side(String english, String german, String letter) {
            this.words = List.of(english, german);
            this.letter = letter;
        }

        /** The side a part's name says; empty where it says none, or both. */
        public static Optional<Side> ofName(String name) {
            var said =
                    SIDE.matcher(name)
                            .results()
                            .map(word -> word.group().toLowerCase(Locale.ROOT))
                            .toList();
            return only(side -> side.words.stream().anyMatch(said::contains));
        }

        /** The side a pin stands for; empty where it stands for none. */
        public static Optional<Side> ofPin(String pin) {
            return only(side -> PINS.containsKey(pin) && pin.endsWith(side.letter));
        }

        private static Optional<Side> only(Predicate<Side> says) {
            var found = Arrays.stream(values()).filter(says).toList();
            return found.size() == 1 ? Optional.of(found.getFirst()) : Optional.empty();
        }
    }

    private OtherSide() {}

    private static WireColour traced(Colour base, Colour tracer) {
        return new WireColour(base, Optional.of(tracer));
    }

    private static Map<WireColour, WireColour> both(Map<WireColour, WireColour> oneWay) {
        var all = new HashMap<>(oneWay);
        oneWay.forEach((one, other) -> all.put(other, one));
        return Map.copyOf(all);
    }

    /**
     * The other side of a part that has one by its name; refused where that says none, or is there.
     */
    public static Attempt of(Design design, PartId part) {
        var one = design.part(part);
        var name = mirrored(one.name());
        if (name.isEmpty()) {
            return new Refused(Refusal.NO_SIDE);
        }
        if (named(design, name.get()).isPresent()) {
            return new Refused(Refusal.NOTHING_TO_DO);
        }
        var letter = part.value().replaceAll("\\d+$", "");
        var other =
                new Part(
                        NewNames.part(design, letter),
                        name.get(),
                        one.zone(),
                        one.mount(),
                        one.kind());
        var edits = new ArrayList<Edit>();
        edits.add(new PartEdit.AddPart(other));
        var now = edits.getFirst().apply(design);
        for (var wire : design.wires()) {
            if (wire.terminals().stream().anyMatch(end -> end.part().equals(part))) {
                var copy =
                        wire.like(
                                        NewNames.wire(now),
                                        NewNames.number(now, wire.circuit()),
                                        end(now, wire.from(), part, other),
                                        end(now, wire.to(), part, other))
                                .withColour(colour(design, wire));
                var add = new WireEdit.AddWire(copy);
                now = add.apply(now);
                edits.add(add);
            }
        }
        return new Possible(new CompositeEdit(Reason.OTHER_SIDE, edits));
    }

    /** The name with its side exchanged; empty where it says none. */
    private static Optional<String> mirrored(String name) {
        var word = SIDE.matcher(name);
        if (word.find()) {
            var side = WORDS.get(word.group().toLowerCase(Locale.ROOT));
            boolean capital = Character.isUpperCase(word.group().charAt(0));
            var other =
                    capital
                            ? side.substring(0, 1).toUpperCase(Locale.ROOT) + side.substring(1)
                            : side;
            return Optional.of(
                    name.substring(0, word.start()) + other + name.substring(word.end()));
        }
        return Optional.empty();
    }

    private static Optional<Part> named(Design design, String name) {
        return design.parts().stream().filter(part -> part.name().equals(name)).findFirst();
    }

    private static End end(Design design, End end, PartId part, Part other) {
        var at = end.terminal();
        if (at.part().equals(part)) {
            return new End(other.terminal(at.pin()), end.termination());
        }
        return new End(counterpart(design, at), end.termination());
    }

    /** The same place on the other side, where there is one. */
    private static Terminal counterpart(Design design, Terminal at) {
        var there = design.part(at.part());
        var other =
                mirrored(there.name())
                        .flatMap(name -> named(design, name))
                        .filter(found -> found.kind().pins().contains(at.pin()));
        if (other.isPresent()) {
            return other.get().terminal(at.pin());
        }
        var pin = PINS.get(at.pin());
        return pin != null && there.kind().pins().contains(pin) ? there.terminal(pin) : at;
    }

    /** The other side's colour, where the wire does not simply share its end with this side. */
    private static WireColour colour(Design design, Wire wire) {
        boolean moves =
                wire.terminals().stream().anyMatch(end -> !counterpart(design, end).equals(end));
        return moves ? COLOURS.getOrDefault(wire.colour(), wire.colour()) : wire.colour();
    }
}
