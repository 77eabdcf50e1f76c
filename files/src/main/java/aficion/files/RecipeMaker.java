package aficion.files;

import aficion.identify.Feeds;
import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.ControlKind;
import aficion.job.Design;
import aficion.job.Figures;
import aficion.job.Figures.Figure;
import aficion.job.JoinKind;
import aficion.job.Kind;
import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.SourceKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.quantity.Amps;
import aficion.quantity.Ohms;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.words.Words;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Makes a recipe of a circuit: its own parts as they are, its ends on other circuits as places to
 * be found again in another vehicle, by what they are: a feed that is live when, an earth, a
 * switch, a part of a kind, a named joint. Volts and coils follow those of the vehicle; what its
 * loads draw is asked for, once for loads that are alike.
 */
public final class RecipeMaker {
    private static final JsonMapper MAPPER = JobMapping.mapper();

    /** What loads that are known by their current call it. */
    private static final Set<String> DRAWS = Set.of("amps", "running", "low", "high", "draws");

    /** How far an answer may be from what the circuit had. */
    private static final double APART = 10;

    private final Design design;
    private final Circuit circuit;
    private final Set<PartId> own = new HashSet<>();
    private final Map<Terminal, Feeds.Offer> feeds = new HashMap<>();
    private final Map<String, ObjectNode> asked = new LinkedHashMap<>();

    private RecipeMaker(Design design, CircuitId circuit) {
        this.design = design;
        this.circuit = design.circuit(circuit);
        Feeds.of(design).forEach(offer -> feeds.put(offer.terminal(), offer));
        design.partsOf(circuit).forEach(part -> own.add(part.id()));
        design.wires().stream()
                .filter(wire -> !wire.circuit().equals(circuit))
                .flatMap(wire -> wire.terminals().stream())
                .forEach(end -> own.remove(end.part()));
        design.parts().stream()
                .filter(part ->
                        part.kind() instanceof JoinKind.EarthPoint
                                || part.kind() instanceof SourceKind.Battery)
                .forEach(part -> own.remove(part.id()));
    }

    /**
     * The text of the recipe.
     *
     * @param id its name in files
     * @param name what it is called
     */
    public static String of(Design design, CircuitId circuit, String id, String name, String says) {
        return new RecipeMaker(design, circuit).text(id, name, says);
    }

    private String text(String id, String name, String says) {
        var tree =
                MAPPER.createObjectNode()
                        .put("format", "aficion-recipe")
                        .put("version", 1)
                        .put("id", id)
                        .put("group", "own")
                        .put("name", name)
                        .put("says", says)
                        .put("drops", JobMapping.key(circuit.drops()));
        var questions = tree.putArray("questions");
        var parts = tree.putArray("parts");
        design.parts().stream()
                .filter(part -> own.contains(part.id()))
                .forEach(part -> write(part, parts.addObject()));
        asked.values().forEach(questions::add);
        var wires = tree.putArray("wires");
        design.wiresOf(circuit.id()).forEach(wire -> write(wire, wires.addObject()));
        return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(tree) + "\n";
    }

    private void write(Part part, ObjectNode node) {
        node.put("id", part.id().value())
                .put("name", part.name())
                .put("zone", JobMapping.key(part.zone()));
        design.body().ifPresent(body -> node.put("station", body.station(part).value()));
        part.mount()
                .map(design::part)
                .ifPresent(earth -> {
                    if (earth.kind() instanceof JoinKind.EarthPoint(var mass, _)) {
                        node.put("earth", JobMapping.key(mass));
                    }
                });
        var kind = MAPPER.valueToTree(part.kind());
        Figures.of(part.kind())
                .forEach(figure ->
                        open(part, figure).ifPresent(text -> put(kind, figure.path(), text)));
        node.set("kind", kind);
    }

    /** What stands in the place of a figure, where it is not the same in every vehicle. */
    private Optional<String> open(Part part, Figure figure) {
        return switch (figure.value()) {
            case Volts volts -> Optional.of(timesSystem(volts.value()));
            case Ohms ohms when figure.name().equals("coil") ->
                    Optional.of(timesSystem(ohms.value()));
            case Watts watts -> Optional.of("$" + ask(part, figure, watts.value(), "watts", "W"));
            case Amps amps when DRAWS.contains(figure.name()) && part.kind() instanceof LoadKind ->
                    Optional.of("$" + ask(part, figure, amps.value(), "amps", "A"));
            default -> Optional.empty();
        };
    }

    private String timesSystem(double value) {
        return "$system*" + number(value / design.vehicle().system().value());
    }

    /** The name of the question for a figure; figures of one name and value share it. */
    private String ask(Part part, Figure figure, double value, String what, String unit) {
        var alike = figure.path() + " " + value + " " + part.kind().getClass();
        return asked.computeIfAbsent(alike, _ -> question(part, figure, value, what, unit))
                .path("id")
                .stringValue();
    }

    private ObjectNode question(Part part, Figure figure, double value, String what, String unit) {
        var of =
                part.kind() instanceof LoadKind.Lamp lamp && lamp.filaments().size() > 1
                        ? Words.of("recipe.ask.filament", part.name(), pin(lamp, figure))
                        : part.name();
        return MAPPER.createObjectNode()
                .put("id", what + (asked.size() + 1))
                .put("ask", Words.of("recipe.ask." + what, of))
                .put("unit", unit)
                .put("least", value / APART)
                .put("most", value * APART)
                .put("usual", number(value));
    }

    private static String pin(LoadKind.Lamp lamp, Figure figure) {
        return lamp.filaments().get(Integer.parseInt(figure.path().split("\\.")[1])).pin();
    }

    private static String number(double value) {
        return BigDecimal.valueOf(value)
                .round(new MathContext(6))
                .stripTrailingZeros()
                .toPlainString();
    }

    private static void put(JsonNode kind, String path, String text) {
        int last = path.lastIndexOf('.');
        var pointer = last < 0 ? "" : "/" + path.substring(0, last).replace('.', '/');
        ((ObjectNode) kind.at(pointer)).put(path.substring(last + 1), text);
    }

    private void write(Wire wire, ObjectNode node) {
        node.put("from", place(wire.from().terminal())).put("to", place(wire.to().terminal()));
        node.set("colour", MAPPER.valueToTree(wire.colour()));
        node.put("zone", JobMapping.key(wire.zone())).put("length", wire.length().metres().value());
        wire.unguarded().ifPresent(why -> node.put("unguarded", JobMapping.key(why)));
    }

    private String place(Terminal at) {
        if (own.contains(at.part())) {
            return at.toString();
        }
        var part = design.part(at.part());
        if (part.kind() instanceof JoinKind.EarthPoint(var mass, _)) {
            return "earth:" + JobMapping.key(mass);
        }
        if (part.kind() instanceof SourceKind.Battery) {
            return at.pin().equals(design.vehicle().livePin()) ? "battery:live" : "battery:earthed";
        }
        var feed = feeds.get(at);
        if (feed != null) {
            return "feed:" + JobMapping.key(feed.feed()) + (feed.fused() ? "+fuse" : "");
        }
        if (part.kind() instanceof ControlKind.Switch hand) {
            return "switch:" + hand.control() + "." + at.pin();
        }
        return part.kind() instanceof JoinKind.Splice
                ? "named:" + part.name() + "." + at.pin()
                : "part:" + kind(part.kind()) + "." + at.pin();
    }

    private static String kind(Kind kind) {
        return MAPPER.valueToTree(kind).path("type").stringValue();
    }
}
