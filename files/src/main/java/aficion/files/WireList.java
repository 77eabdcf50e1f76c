package aficion.files;

import aficion.catalogue.Colour;
import aficion.catalogue.Insulation;
import aficion.catalogue.WireSize;
import aficion.catalogue.Zone;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Cut;
import aficion.job.Design;
import aficion.job.End;
import aficion.job.JoinKind;
import aficion.job.Laid;
import aficion.job.Names;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Termination;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.WireId;
import aficion.job.edit.CircuitEdit;
import aficion.job.edit.Edit;
import aficion.job.edit.NewNames;
import aficion.quantity.Metres;
import aficion.quantity.UserUnits;
import aficion.route.RunLength;
import aficion.verb.Ends;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A wire list from elsewhere, comma- or semicolon-separated with a line of headings (RFC 4180). Its
 * columns are matched to what a wire has; what a row says that cannot be used is said by row, and
 * the row is left out.
 *
 * @param headings the names of its columns
 * @param rows its cells
 */
public record WireList(List<String> headings, List<List<String>> rows) {
    /** More than any vehicle has. */
    private static final int MOST_ROWS = 2_000;

    private static final double FIRST_LENGTH = 1;

    public WireList {
        headings = List.copyOf(headings);
        rows = List.copyOf(rows);
    }

    /** What a column can hold. */
    public enum Column {
        NUMBER("number", "no", "wire", "label", "id"),
        FROM("from", "start", "source", "end 1", "from terminal"),
        TO("to", "end", "destination", "end 2", "to terminal"),
        COLOUR("colour", "color", "col"),
        SIZE("size", "section", "gauge", "mm2", "mm\u00b2", "awg", "area"),
        LENGTH("length", "len", "metres", "m"),
        CIRCUIT("circuit", "system", "group");

        private final List<String> headings;

        Column(String... headings) {
            this.headings = List.of(headings);
        }
    }

    /** Why a row, or something in it, is not taken as it is. */
    public enum Trouble {
        /** One end is missing: the row is left out. */
        NO_END,
        /** Both ends are one: the row is left out. */
        ONE_END,
        /** The size is not made: the thinnest stands in. */
        NO_SIZE,
        /** The colour is not known: black stands in. */
        NO_COLOUR,
        /** The length cannot be read: a metre is assumed. */
        NO_LENGTH,
        /** The label is no short name: the next free number stands in. */
        NO_NUMBER,
        /** There is no such part or pin: a joint stands for it. */
        STAND_IN
    }

    /**
     * Something about a row.
     *
     * @param row its line among the rows, from 1
     * @param text what was read
     */
    public record Problem(int row, Trouble trouble, String text) {}

    /**
     * What a list becomes.
     *
     * @param edit what takes it in, as one step
     * @param wires how many wires it brings
     */
    public record Plan(Edit edit, int wires, List<Problem> problems) {
        public Plan {
            problems = List.copyOf(problems);
        }
    }

    /**
     * Reads a list from a file, in whatever spelling it is.
     *
     * @throws IllegalArgumentException when it is no such list
     * @throws IOException when it cannot be read
     */
    public static WireList read(Path path) throws IOException {
        return of(CsvFile.read(path));
    }

    /**
     * Reads a list.
     *
     * @throws IllegalArgumentException when the text is no such list
     */
    public static WireList read(String text) {
        return of(CsvFile.read(text));
    }

    private static WireList of(CsvFile file) {
        if (file.rows().size() > MOST_ROWS) {
            throw new IllegalArgumentException(
                    "a wire list has at most " + MOST_ROWS + " wires, not " + file.rows().size());
        }
        return new WireList(file.headings(), file.rows());
    }

    /** The columns whose headings say what they hold. */
    public Map<Column, Integer> matched() {
        var found = new EnumMap<Column, Integer>(Column.class);
        for (var column : Column.values()) {
            for (var name : column.headings) {
                for (int i = 0; i < headings.size(); i++) {
                    if (headings.get(i).strip().toLowerCase(Locale.ROOT).equals(name)
                            && !found.containsValue(i)) {
                        found.putIfAbsent(column, i);
                    }
                }
            }
        }
        return found;
    }

    /** What the list becomes in a job with its columns so matched. */
    public Plan plan(Design design, Map<Column, Integer> columns, UserUnits units, String name) {
        return new Taking(design, columns, units, name).plan();
    }

    /**
     * The colour that a text says, by names or by the letters of either practice; empty where it
     * says none.
     */
    static Optional<WireColour> colour(String text) {
        var parts = text.split("[/\\s\\-]+");
        if (parts.length == 0) {
            return Optional.empty();
        }
        var base = named(parts[0]);
        var tracer = parts.length > 1 ? named(parts[1]) : Optional.<Colour>empty();
        if (base.isEmpty() && parts.length == 1 && !text.isEmpty()) {
            base = letter(text.substring(0, 1));
            tracer = text.length() == 2 ? letter(text.substring(1)) : Optional.empty();
        }
        return base.isEmpty() || parts.length > 1 && tracer.isEmpty()
                ? Optional.empty()
                : Optional.of(new WireColour(base.get(), tracer));
    }

    private static Optional<Colour> named(String word) {
        return Arrays.stream(Colour.values())
                .filter(colour ->
                        colour.key().equalsIgnoreCase(word)
                                || colour.british().equals(word)
                                || colour.german().equals(word)
                                || colour == Colour.SLATE && word.equalsIgnoreCase("grey"))
                .findFirst();
    }

    private static Optional<Colour> letter(String letter) {
        return Arrays.stream(Colour.values())
                .filter(colour -> colour.british().equals(letter))
                .findFirst();
    }

    /** One taking-in. */
    private final class Taking {
        private final Map<Column, Integer> columns;
        private final UserUnits units;
        private final String name;
        private final List<Problem> problems = new ArrayList<>();
        private final Map<String, CircuitId> circuits = new HashMap<>();
        private final Map<String, Terminal> standIns = new HashMap<>();
        private final Map<CircuitId, Circuit> fresh = new LinkedHashMap<>();
        private final List<Part> parts = new ArrayList<>();
        private final List<Wire> wires = new ArrayList<>();
        private final Set<String> ids = new HashSet<>();
        private final Set<String> numbers = new HashSet<>();
        private final Map<CircuitId, Integer> lastNumber = new HashMap<>();
        private final Design design;
        private int next;
        private int joints;

        Taking(Design design, Map<Column, Integer> columns, UserUnits units, String name) {
            this.design = design;
            this.columns = columns;
            this.units = units;
            this.name = name;
            design.wires()
                    .forEach(wire -> {
                        ids.add(wire.id().value());
                        numbers.add(wire.number());
                    });
        }

        Plan plan() {
            for (int i = 0; i < rows.size(); i++) {
                take(i + 1, rows.get(i));
            }
            return new Plan(
                    new CircuitEdit.AddHarness(List.copyOf(fresh.values()), parts, wires),
                    wires.size(),
                    problems);
        }

        private String cell(List<String> row, Column column) {
            var at = columns.get(column);
            return at == null || at >= row.size() ? "" : bare(row.get(at).strip());
        }

        /** What was written so that no table program works it out. */
        private static String bare(String cell) {
            return cell.length() > 1 && cell.startsWith("'") && !Character.isDigit(cell.charAt(1))
                    ? cell.substring(1)
                    : cell;
        }

        private void take(int number, List<String> row) {
            var from = cell(row, Column.FROM);
            var to = cell(row, Column.TO);
            if (from.isEmpty() || to.isEmpty()) {
                problems.add(new Problem(number, Trouble.NO_END, String.join(" ", row)));
                return;
            }
            if (from.equals(to)) {
                problems.add(new Problem(number, Trouble.ONE_END, from));
                return;
            }
            var circuit = circuit(cell(row, Column.CIRCUIT));
            var one = terminal(number, from);
            var other = terminal(number, to);
            wires.add(wire(number, row, circuit, one, other));
        }

        private Wire wire(
                int number, List<String> row, CircuitId circuit, Terminal one, Terminal other) {
            return new Wire(
                    freshId(),
                    label(number, cell(row, Column.NUMBER), circuit),
                    circuit,
                    new End(one, Termination.BLADE_6_3),
                    new End(other, Termination.BLADE_6_3),
                    new Cut(
                            size(number, cell(row, Column.SIZE)),
                            Insulation.PVC105,
                            colour(number, cell(row, Column.COLOUR))),
                    new Laid.Stated(
                            length(number, cell(row, Column.LENGTH)),
                            design.find(other.part()).map(Part::zone).orElse(Zone.CABIN)));
        }

        private WireId freshId() {
            do {
                next++;
            } while (!ids.add("w" + next));
            return new WireId("w" + next);
        }

        private CircuitId circuit(String said) {
            var wanted = said.isEmpty() ? name : said;
            return circuits.computeIfAbsent(
                    wanted,
                    _ ->
                            design.circuits().stream()
                                    .filter(circuit -> circuit.name().equals(wanted))
                                    .findFirst()
                                    .map(Circuit::id)
                                    .orElseGet(() -> begin(wanted)));
        }

        private CircuitId begin(String wanted) {
            var there = design.withCircuits(all());
            var circuit = NewNames.circuit(there, wanted, Circuit.Drops.ORDINARY);
            fresh.put(circuit.id(), circuit);
            return circuit.id();
        }

        private List<Circuit> all() {
            return Stream.concat(design.circuits().stream(), fresh.values().stream()).toList();
        }

        private Terminal terminal(int row, String text) {
            var known = standIns.get(text);
            return known != null
                    ? known
                    : design.terminal(text).orElseGet(() -> standIn(row, text));
        }

        /** A joint in the place of what the design does not have. */
        private Terminal standIn(int row, String text) {
            problems.add(new Problem(row, Trouble.STAND_IN, text));
            PartId id;
            do {
                joints++;
                id = new PartId("J" + joints);
            } while (design.find(id).isPresent());
            parts.add(new Part(id, text, Zone.CABIN, Optional.empty(), new JoinKind.Splice()));
            var terminal = new Terminal(id, "J");
            standIns.put(text, terminal);
            return terminal;
        }

        private String label(int row, String text, CircuitId circuit) {
            if (Names.isName(text)) {
                numbers.add(text);
                return text;
            }
            if (!text.isEmpty()) {
                problems.add(new Problem(row, Trouble.NO_NUMBER, text));
            }
            int before =
                    Optional.ofNullable(fresh.get(circuit))
                            .orElseGet(() -> design.circuit(circuit))
                            .number();
            while (true) {
                int last = lastNumber.merge(circuit, 1, Integer::sum);
                var number = NewNames.number(before, last);
                if (numbers.add(number)) {
                    return number;
                }
            }
        }

        private WireColour colour(int row, String text) {
            if (text.isEmpty()) {
                return WireColour.plain(Colour.BLACK);
            }
            return WireList.colour(text)
                    .orElseGet(() -> {
                        problems.add(new Problem(row, Trouble.NO_COLOUR, text));
                        return WireColour.plain(Colour.BLACK);
                    });
        }

        private WireSize size(int row, String text) {
            var size = WireSize.parseLoosely(text);
            if (size.isEmpty() && !text.isEmpty()) {
                problems.add(new Problem(row, Trouble.NO_SIZE, text));
            }
            return size.orElseGet(() -> Ends.thinnest(design));
        }

        private RunLength length(int row, String text) {
            var metres = units.parseLength(text).filter(m -> m.value() >= 0 && m.value() <= 100);
            if (metres.isEmpty() && !text.isEmpty()) {
                problems.add(new Problem(row, Trouble.NO_LENGTH, text));
            }
            return metres.<RunLength>map(RunLength.Measured::new)
                    .orElseGet(() -> new RunLength.Assumed(new Metres(FIRST_LENGTH)));
        }
    }
}
