package aficion.files;

import aficion.job.FoundBox.Fed;
import aficion.job.FoundBox.Seat;
import aficion.job.Probed;
import aficion.job.WireColour;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Unit;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.IntFunction;
import java.util.stream.IntStream;

/**
 * What a meter showed, as a table: {@code terminal,position,volts} of a key switch, {@code
 * one,other,position,closed} of any switch, {@code lead,volts,amps} or {@code lead,ohms} of leads
 * (with {@code colour}), {@code one,other,ohms} of the leads of one thing; and plugs, {@code
 * way,function,colour} (with {@code alias}, {@code fed} and {@code proves}). A row whose figure is
 * missing was not read.
 */
public final class ProbeList {
    private static final Set<String> CLOSED =
            Set.of("yes", "y", "true", "1", "closed", "x", "on", "beep");
    private static final Set<String> OPEN = Set.of("no", "n", "false", "0", "open", "off", "-");
    private static final Set<String> OVER = Set.of("ol", "open", "inf", "infinite", "\u221e", "1.");
    private static final int MOST_ROWS = 2_000;
    private static final double MOST = 1e6;

    private ProbeList() {}

    /**
     * What a table holds.
     *
     * @throws IllegalArgumentException when it is none of them, or a cell cannot be read, with its
     *     line
     */
    public static Probed read(CsvFile file) {
        requireSensible(file);
        if (file.has("terminal", "position", "volts")) {
            return new Probed(each(file, row -> key(file, row)), List.of(), List.of(), List.of());
        }
        if (file.has("one", "other", "position", "closed")) {
            return new Probed(
                    List.of(), each(file, row -> closed(file, row)), List.of(), List.of());
        }
        if (file.has("one", "other", "ohms")) {
            return new Probed(
                    List.of(), List.of(), List.of(), each(file, row -> across(file, row)));
        }
        if (file.has("lead", "volts", "amps") || file.has("lead", "ohms")) {
            return new Probed(List.of(), List.of(), each(file, row -> lead(file, row)), List.of());
        }
        throw new IllegalArgumentException(
                "its columns are none of: terminal,position,volts; one,other,position,closed;"
                        + " lead,volts,amps; lead,ohms; one,other,ohms");
    }

    /**
     * The ways of a plug.
     *
     * @throws IllegalArgumentException when the table is no such list, or a cell cannot be read
     */
    public static List<Seat> plug(CsvFile file) {
        requireSensible(file);
        if (!file.has("way", "function")) {
            throw new IllegalArgumentException("its columns are not way,function,colour");
        }
        return each(file, row -> Optional.of(way(file, row)));
    }

    private static void requireSensible(CsvFile file) {
        if (file.rows().size() > MOST_ROWS) {
            throw new IllegalArgumentException("it has more than " + MOST_ROWS + " lines");
        }
    }

    private static <T> List<T> each(CsvFile file, IntFunction<Optional<T>> reading) {
        return IntStream.range(0, file.rows().size())
                .filter(row -> file.rows().get(row).stream().anyMatch(cell -> !cell.isBlank()))
                .mapToObj(row -> at(row, reading))
                .flatMap(Optional::stream)
                .toList();
    }

    private static <T> Optional<T> at(int row, IntFunction<Optional<T>> reading) {
        try {
            return reading.apply(row);
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("line " + (row + 2) + ": " + e.getMessage(), e);
        }
    }

    private static Optional<Probed.KeyVolts> key(CsvFile file, int row) {
        return figure(file.cell(row, "volts"), Unit.VOLT)
                .map(volts ->
                        new Probed.KeyVolts(
                                file.cell(row, "terminal"),
                                file.cell(row, "position"),
                                new Volts(volts)));
    }

    private static Optional<Probed.Closed> closed(CsvFile file, int row) {
        var said = file.cell(row, "closed").toLowerCase(Locale.ROOT);
        if (said.isEmpty()) {
            return Optional.empty();
        }
        if (!CLOSED.contains(said) && !OPEN.contains(said)) {
            throw new IllegalArgumentException("\"" + said + "\" is neither yes nor no");
        }
        return Optional.of(
                new Probed.Closed(
                        file.cell(row, "one"),
                        file.cell(row, "other"),
                        file.cell(row, "position"),
                        CLOSED.contains(said)));
    }

    private static Optional<Probed.Across> across(CsvFile file, int row) {
        return ohms(file.cell(row, "ohms"))
                .map(ohms ->
                        new Probed.Across(file.cell(row, "one"), file.cell(row, "other"), ohms));
    }

    private static Optional<Probed.OfLead> lead(CsvFile file, int row) {
        var volts = figure(file.cell(row, "volts"), Unit.VOLT);
        var amps = figure(file.cell(row, "amps"), Unit.AMPERE);
        var ohms = ohms(file.cell(row, "ohms"));
        if (amps.isEmpty() && ohms.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                new Probed.OfLead(
                        file.cell(row, "lead"),
                        colour(file.cell(row, "colour")),
                        volts.filter(_ -> amps.isPresent()).map(Volts::new),
                        amps.map(Amps::new),
                        ohms));
    }

    private static Optional<WireColour> colour(String text) {
        return text.isEmpty() ? Optional.empty() : WireList.colour(text);
    }

    private static Optional<Ohms> ohms(String text) {
        return OVER.contains(text.toLowerCase(Locale.ROOT))
                ? Optional.of(new Ohms(UserUnits.OVER_RANGE_OHMS))
                : figure(text, Unit.OHM).map(Ohms::new);
    }

    private static Optional<Double> figure(String text, Unit unit) {
        if (text.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                UserUnits.parseReading(text, unit)
                        .filter(value -> Math.abs(value) <= MOST || unit == Unit.OHM)
                        .orElseThrow(() ->
                                new IllegalArgumentException(
                                        "\"" + text + "\" is no reading in " + unit.symbol())));
    }

    private static Seat way(CsvFile file, int row) {
        return new Seat(
                file.cell(row, "way"),
                file.cell(row, "function"),
                file.cell(row, "colour"),
                Optional.of(file.cell(row, "alias")).filter(text -> !text.isEmpty()),
                said(file.cell(row, "fed"), "live or earth", ProbeList::fed),
                said(file.cell(row, "proves"), "yes or no", ProbeList::yes));
    }

    private static <T> Optional<T> said(
            String text, String what, Function<String, Optional<T>> reading) {
        if (text.isEmpty()) {
            return Optional.empty();
        }
        var read = reading.apply(text.toLowerCase(Locale.ROOT));
        if (read.isEmpty()) {
            throw new IllegalArgumentException("\"" + text + "\" is not " + what);
        }
        return read;
    }

    private static Optional<Fed> fed(String text) {
        return switch (text) {
            case "live" -> Optional.of(Fed.LIVE);
            case "earth", "ground" -> Optional.of(Fed.EARTH);
            default -> Optional.empty();
        };
    }

    private static Optional<Boolean> yes(String text) {
        return CLOSED.contains(text)
                ? Optional.of(true)
                : OPEN.contains(text) ? Optional.of(false) : Optional.empty();
    }
}
