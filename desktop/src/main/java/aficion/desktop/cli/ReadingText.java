package aficion.desktop.cli;

import aficion.bench.RunReadings;
import aficion.bench.reason.Measure;
import aficion.bench.reason.Reading;
import aficion.bench.reason.Sight;
import aficion.bench.reason.Sign;
import aficion.bench.reason.Telltale;
import aficion.desktop.cli.Commands.BadInput;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.netlist.Conditions;
import aficion.quantity.UserUnits;
import aficion.words.Words;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;

/** A reading as it is written: state, where, value with its unit. */
final class ReadingText {
    /** No vehicle of these has more, volts or amps. */
    private static final double MOST = 1000;

    private static final Pattern VALUE = Pattern.compile("(.*?)\\s*(mV|V|mA|A)?");

    private ReadingText() {}

    /**
     * The reading that a text says.
     *
     * @throws BadInput when it says none, or one that the design cannot have
     */
    static Reading parse(Design design, String text) {
        var words = text.strip().split("\\s+", 3);
        if (words.length < 3) {
            throw new BadInput(Words.of("cli.reading.form", text));
        }
        var state = StateOption.parse(design, words[0]);
        var told = told(design, words[1], words[2]);
        if (told.isPresent()) {
            boolean so = !words[2].equals("steady");
            return new Reading(state, new Measure.Told(told.get()), so ? 1 : 0);
        }
        var sight = sight(words[2]);
        return sight.isPresent()
                ? new Reading(state, lamp(design, words[1]), sight.get().share())
                : measured(design, state, words[1], words[2]);
    }

    /** What is noticed without an instrument; empty where the word says something else. */
    private static Optional<Telltale> told(Design design, String where, String word) {
        return switch (word) {
            case "gone" ->
                    Optional.of(
                            RunReadings.guard(design, where)
                                    .map(Telltale.FuseGone::new)
                                    .orElseThrow(() ->
                                            new BadInput(Words.of("cli.reading.guard", where))));
            case "warm" ->
                    Optional.of(
                            design.labelled(where)
                                    .map(wire -> new Telltale.Warm(wire.id()))
                                    .orElseThrow(() ->
                                            new BadInput(Words.of("cli.reading.wire", where))));
            case "restless" -> {
                terminal(design, where);
                yield Optional.of(new Telltale.Restless());
            }
            case "fast" -> Optional.of(new Telltale.Fast(part(design, where)));
            case "warms" -> Optional.of(new Telltale.Warms(part(design, where)));
            case "loads" -> {
                terminal(design, where);
                yield Optional.of(new Telltale.Loads());
            }
            case "moves", "steady" -> Optional.of(new Telltale.Moves(part(design, where)));
            default -> Optional.empty();
        };
    }

    static PartId part(Design design, String where) {
        return design.named(where)
                .map(Part::id)
                .orElseThrow(() -> new BadInput(Words.of("cli.reading.part", where)));
    }

    private static Reading measured(Design design, Conditions state, String where, String value) {
        var parts = VALUE.matcher(value);
        if (!parts.matches()) {
            throw new BadInput(Words.of("cli.reading.value", value));
        }
        var unit = Optional.ofNullable(parts.group(2));
        double number =
                UserUnits.parseNumber(parts.group(1)).stream()
                        .map(read ->
                                unit.filter(u -> u.startsWith("m")).isPresent()
                                        ? read / 1000
                                        : read)
                        .filter(read -> Math.abs(read) <= MOST)
                        .findFirst()
                        .orElseThrow(() -> new BadInput(Words.of("cli.reading.value", value)));
        var wire = design.labelled(where);
        boolean amps = unit.map(u -> u.endsWith("A")).orElse(wire.isPresent());
        if (amps) {
            return new Reading(
                    state,
                    new Measure.AmpsIn(
                            wire.orElseThrow(
                                            () -> new BadInput(Words.of("cli.reading.wire", where)))
                                    .id()),
                    Math.abs(number));
        }
        return new Reading(state, new Measure.VoltsAt(terminal(design, where)), number);
    }

    private static Terminal terminal(Design design, String where) {
        return design.terminal(where)
                .orElseThrow(() -> new BadInput(Words.of("cli.reading.where", where)));
    }

    private static Measure lamp(Design design, String where) {
        var at = terminal(design, where);
        var pins = Sign.lit(design.part(at.part()).kind());
        if (!pins.contains(at.pin())) {
            throw new BadInput(Words.of("cli.reading.lamp", where));
        }
        return new Measure.LightOf(at.part(), at.pin());
    }

    private static Optional<Sight> sight(String word) {
        return Arrays.stream(Sight.values())
                .filter(each -> each.name().toLowerCase(Locale.ROOT).equals(word))
                .findFirst();
    }
}
