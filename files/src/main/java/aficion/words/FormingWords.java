package aficion.words;

import aficion.forming.Face;
import aficion.forming.FormingPicture.BoardWords;
import aficion.forming.Loom;
import aficion.forming.Loom.Knot;
import aficion.forming.Loom.Strand;
import aficion.job.Design;
import aficion.job.JoinKind.Half;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.make.CutLength;
import aficion.make.ScheduleRow;
import aficion.quantity.Metres;
import aficion.quantity.UserUnits;
import aficion.route.StationId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The words on a forming board: all of them on paper, names alone where they would not be read. */
public final class FormingWords implements BoardWords {
    /** The widest line, in the units of a drawing: what two strands leave free between them. */
    private static final double WIDEST = 220;

    private final Design design;
    private final Loom loom;
    private final Set<Wire> wires;
    private final Map<StationId, List<Part>> standing;
    private final Speech speech;
    private final boolean whole;
    private final ToDoubleFunction<String> width;

    /**
     * @param whole whether everything is said, or names alone
     */
    public FormingWords(
            Design design,
            Loom loom,
            UserUnits units,
            boolean whole,
            ToDoubleFunction<String> width) {
        this.design = design;
        this.loom = loom;
        this.wires = new LinkedHashSet<>(loom.wires(design));
        var body = design.body().orElseThrow();
        this.standing = design.parts().stream().collect(Collectors.groupingBy(body::station));
        this.speech = new Speech(design, units);
        this.whole = whole;
        this.width = width;
    }

    @Override
    public double width(String text) {
        return width.applyAsDouble(text);
    }

    @Override
    public List<String> strand(Strand strand) {
        var length = speech.say(strand.length());
        var shown = strand.measured() ? length : Words.of("board.about", length);
        if (!whole) {
            return List.of(shown);
        }
        var lines = new ArrayList<String>();
        lines.add(Words.of("forming.strand", shown, speech.say(strand.dress().diameter())));
        lines.addAll(wrapped(numbers(strand.dress().riders())));
        return lines;
    }

    @Override
    public List<String> knot(Knot knot) {
        var lines = new ArrayList<>(List.of(speech.station(knot.station())));
        if (knot.loose().isPresent()) {
            lines.add(Words.of(whole ? "forming.loose" : "forming.loose.short"));
            if (whole) {
                lines.addAll(goingOn(knot));
            }
            return lines;
        }
        if (whole) {
            parts(knot).forEach(part -> lines.addAll(wrapped(part(part))));
            tail(knot).ifPresent(lines::add);
        }
        loom.strands().stream()
                .flatMap(strand -> strand.grommet(knot).stream())
                .findFirst()
                .ifPresent(bore ->
                        lines.add(
                                Words.of(
                                        whole ? "forming.grommet" : "forming.grommet.short",
                                        speech.say(bore))));
        return lines;
    }

    @Override
    public List<Face> faces(Knot knot) {
        if (!whole || knot.loose().isPresent()) {
            return List.of();
        }
        return parts(knot).stream()
                .flatMap(part ->
                        Arrays.stream(Half.values())
                                .filter(half ->
                                        terminals(part).stream()
                                                .anyMatch(end -> Half.of(end.pin()) == half))
                                .flatMap(half -> Face.of(design, part, half).stream()))
                .toList();
    }

    private List<String> goingOn(Knot knot) {
        return loom.strands().stream()
                .filter(strand -> strand.to().equals(knot) && !strand.goingOn().isEmpty())
                .flatMap(strand ->
                        wrapped(words(Words.of("forming.on", join(strand.goingOn())))).stream())
                .toList();
    }

    /** The parts that stand there and have wires of this loom. */
    private List<Part> parts(Knot knot) {
        return standing.getOrDefault(knot.station(), List.of()).stream()
                .filter(part -> !terminals(part).isEmpty())
                .toList();
    }

    private List<Terminal> terminals(Part part) {
        return part.terminals().stream().filter(terminal -> !at(terminal).isEmpty()).toList();
    }

    /** The wires of this loom that end on a terminal. */
    private List<Wire> at(Terminal terminal) {
        return design.wiresAt(terminal).stream().filter(wires::contains).toList();
    }

    /** A part with the wires of each of its terminals, in their order. */
    private List<String> part(Part part) {
        var words = new ArrayList<>(List.of(part.id().value() + ":"));
        terminals(part)
                .forEach(end -> words.add(Words.of("forming.pin", end.pin(), join(at(end)))));
        return words;
    }

    /** How far the longest wire that ends there goes beyond the last nail. */
    private Optional<String> tail(Knot knot) {
        var there = parts(knot).stream().map(Part::id).collect(Collectors.toSet());
        return wires.stream()
                .flatMap(wire -> {
                    var ends = CutLength.of(design, wire).ends();
                    return Stream.of(
                                    Map.entry(wire.from(), ends.getFirst().sum()),
                                    Map.entry(wire.to(), ends.getLast().sum()))
                            .filter(end -> there.contains(end.getKey().terminal().part()))
                            .map(Map.Entry::getValue);
                })
                .max(Comparator.comparingDouble(Metres::value))
                .map(longest -> Words.of("forming.tail", speech.say(longest)));
    }

    private static String join(List<Wire> wires) {
        return String.join(" ", wires.stream().map(Wire::number).toList());
    }

    private static List<String> numbers(List<Wire> wires) {
        return wires.stream().map(Wire::number).sorted(ScheduleRow::byNumber).toList();
    }

    private static List<String> words(String text) {
        return List.of(text.split(" "));
    }

    /** Words in as few lines as the room takes. */
    private List<String> wrapped(List<String> words) {
        var lines = new ArrayList<String>();
        var line = new StringBuilder();
        for (var word : words) {
            if (!line.isEmpty() && width(line + " " + word) > WIDEST) {
                lines.add(line.toString());
                line.setLength(0);
            }
            line.append(line.isEmpty() ? "" : " ").append(word);
        }
        if (!line.isEmpty()) {
            lines.add(line.toString());
        }
        return lines;
    }
}
