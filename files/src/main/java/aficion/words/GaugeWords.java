package aficion.words;

import aficion.bench.WarningLamps;
import aficion.gauge.Correction;
import aficion.gauge.Needle;
import aficion.job.Design;
import aficion.job.Fill;
import aficion.job.JoinKind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.netlist.Netlist;
import aficion.quantity.Amps;
import aficion.quantity.UserUnits;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** Says what gauges show, what corrects them, how warning lamps prove themselves. */
public final class GaugeWords {
    private static final double PERCENT = 100;

    private final Design design;
    private final UserUnits units;

    public GaugeWords(Design design, UserUnits units) {
        this.design = design;
        this.units = units;
    }

    /** A gauge and its sender. */
    public static String name(Needle needle) {
        return Words.of("gauge.pair", needle.gauge().name(), needle.sender().name());
    }

    /** How it shows as it is built, and what moves it. */
    public List<String> now(Needle needle) {
        var said = new ArrayList<String>();
        var sender = (JoinKind.Sender) needle.sender().kind();
        var gauge = (LoadKind.Gauge) needle.gauge().kind();
        said.add(
                Words.of(
                        gauge.family().isPresent() ? "gauge.families" : "gauge.alike",
                        gauge.family().orElse(""),
                        sender.family().orElse(Words.of("gauge.unsaid")),
                        units.print(sender.least()),
                        units.print(sender.most())));
        if (!needle.flows()) {
            said.add(Words.of("gauge.dead"));
        }
        said.add(
                Words.of(
                        needle.lies(needle.asBuilt()) ? "gauge.lies" : "gauge.true",
                        percent(needle.worst(needle.asBuilt()))));
        said.add(
                Words.of(
                        "gauge.feed",
                        needle.stabiliser().map(Part::name).orElse(Words.of("gauge.vehicle")),
                        units.print(needle.feed())));
        said.add(Words.of("gauge.ohm", signed(needle.anOhm()), units.print(needle.more())));
        if (needle.stabiliser().isPresent()) {
            said.add(
                    Words.of(
                            "gauge.unsteadied",
                            signed(needle.unsteadied(design.vehicle().running()))));
            said.add(Words.of("gauge.blinks"));
        }
        return said;
    }

    /** What resistors would do. */
    public String correction(Correction correction) {
        if (!correction.helps()) {
            return Words.of(correction.mends() ? "gauge.nothing" : "gauge.hopeless");
        }
        var parts = new ArrayList<String>();
        correction
                .series()
                .ifPresent(ohms -> parts.add(Words.of("gauge.series", units.print(ohms))));
        correction
                .parallel()
                .ifPresent(ohms -> parts.add(Words.of("gauge.parallel", units.print(ohms))));
        return Words.of(
                correction.mends() ? "gauge.corrects" : "gauge.betters",
                String.join(", ", parts),
                percent(correction.worst()));
    }

    private static String percent(double share) {
        return Math.round(PERCENT * share) + " %";
    }

    private static String signed(double share) {
        return String.format(Locale.ROOT, "%+.1f %%", PERCENT * share);
    }

    /** What a level that was read means on the scale. */
    public String fill(Needle needle, Fill fill) {
        return Words.of(
                "gauge.fill",
                UserUnits.plain(fill.level()),
                units.print(fill.shows()),
                percent(needle.shows(fill.shows().value(), needle.asBuilt())));
    }

    /** A warning lamp of the table. */
    public record Lamp(String name, String proof, String fed, String diode) {}

    /** Every warning lamp: how it proves itself, what it hangs on, and its diodes. */
    public List<Lamp> lamps(WarningLamps table) {
        return table.rows().keySet().stream()
                .map(part ->
                        new Lamp(
                                design.part(part).name(),
                                Words.of("bench.lamp.proof", table.proof(part)),
                                fed(part),
                                diodes(part)))
                .toList();
    }

    private String fed(PartId lamp) {
        return beside(lamp, false);
    }

    private String diodes(PartId lamp) {
        var found = beside(lamp, true);
        return found.isEmpty() ? Words.of("gauge.noDiode") : found;
    }

    /** What is joined to it: diodes, or all else that is no mere joint. */
    private String beside(PartId lamp, boolean diodes) {
        return design.part(lamp).terminals().stream()
                .flatMap(at -> Netlist.joined(design, at).stream())
                .map(at -> design.part(at.part()))
                .filter(part -> !part.id().equals(lamp))
                .filter(part ->
                        diodes
                                ? part.kind() instanceof JoinKind.Diode
                                : !(part.kind() instanceof JoinKind)
                                        || part.kind() instanceof JoinKind.EarthPoint)
                .map(Part::name)
                .distinct()
                .limit(3)
                .collect(Collectors.joining(", "));
    }

    /** What shows the charge for the source that is there: what the ammeter may carry. */
    public String meter() {
        Optional<Amps> gives =
                design.parts().stream()
                        .flatMap(part ->
                                switch (part.kind()) {
                                    case SourceKind.Alternator of ->
                                            Optional.of(of.rated()).stream();
                                    case SourceKind.Dynamo of -> Optional.of(of.rated()).stream();
                                    case SourceKind.Flywheel of -> Optional.of(of.amps()).stream();
                                    default -> Optional.<Amps>empty().stream();
                                })
                        .findFirst();
        var range =
                design.parts().stream()
                        .filter(part -> part.kind() instanceof LoadKind.Ammeter)
                        .map(part -> ((LoadKind.Ammeter) part.kind()).range())
                        .findFirst();
        if (gives.isEmpty()) {
            return Words.of("gauge.meter.none");
        }
        if (range.isEmpty()) {
            return Words.of("gauge.meter.volts", units.print(gives.get()));
        }
        return Words.of(
                range.get().value() >= gives.get().value()
                        ? "gauge.meter.holds"
                        : "gauge.meter.small",
                units.print(range.get()),
                units.print(gives.get()));
    }
}
