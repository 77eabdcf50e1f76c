package aficion.files;

import aficion.job.Kind;
import aficion.job.Vehicle;
import aficion.words.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Parts to take from the shelf, as JSON: kinds as in a job file, with typical figures; {@code
 * $system} stands for the vehicle's volts, times a factor after {@code *}.
 */
public final class PartsBook {
    private static final String FORMAT = "aficion-parts";
    private static final JsonMapper MAPPER = JobMapping.mapper();

    private PartsBook() {}

    /** What parts are for. */
    public enum Group {
        SOURCE,
        GUARD,
        CONTROL,
        LOAD,
        JOIN,
        /** The user's own. */
        OWN
    }

    /**
     * A part on the shelf.
     *
     * @param says its rating or marking, in a few words
     */
    public record Entry(String id, Group group, String name, String says, Kind kind) {
        private Entry said() {
            return new Entry(id, group, Words.said(name), Words.said(says), kind);
        }
    }

    /** Read once: it is part of the program, as its tables are. */
    private static final class Shipped {
        static final JsonNode TREE = MAPPER.readTree(resource());

        private static String resource() {
            try (var stream = PartsBook.class.getResourceAsStream("/aficion/parts/parts.json")) {
                if (stream == null) {
                    throw new IllegalStateException("the list of parts is missing");
                }
                return new String(stream.readAllBytes(), StandardCharsets.UTF_8);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /** The parts that ship with the program, with figures for a vehicle. */
    public static List<Entry> shipped(Vehicle vehicle) {
        return entries(Shipped.TREE, vehicle).stream().map(Entry::said).toList();
    }

    /**
     * One of the parts that ship with the program.
     *
     * @throws IllegalArgumentException when there is none of that identity
     */
    public static Entry shipped(String id, Vehicle vehicle) {
        for (var node : Shipped.TREE.path("parts")) {
            if (node.path("id").stringValue().equals(id)) {
                return entry(node, vehicle).said();
            }
        }
        throw new IllegalArgumentException("no part " + id + " on the shelf");
    }

    private static List<Entry> entries(JsonNode tree, Vehicle vehicle) {
        var entries = new ArrayList<Entry>();
        tree.path("parts").forEach(node -> entries.add(entry(node, vehicle)));
        return entries;
    }

    private static Entry entry(JsonNode node, Vehicle vehicle) {
        if (!node.path("kind").isObject()) {
            throw new IllegalArgumentException("a part of the list has no kind");
        }
        var kind = Filling.fill(node.path("kind"), vehicle, Map.of());
        return new Entry(
                node.path("id").stringValue(),
                Group.valueOf(node.path("group").stringValue().toUpperCase(Locale.ROOT)),
                node.path("name").stringValue(),
                node.path("says").stringValue(),
                MAPPER.treeToValue(kind, Kind.class));
    }

    /**
     * Reads a list of the user's own parts.
     *
     * @throws IllegalArgumentException when the text is no such list
     */
    static List<Entry> read(String text, Vehicle vehicle) {
        try {
            var tree = MAPPER.readTree(text);
            if (!FORMAT.equals(tree.path("format").asString(""))) {
                throw new IllegalArgumentException("not a list of parts");
            }
            return entries(tree, vehicle);
        } catch (JacksonException e) {
            throw new IllegalArgumentException(
                    "not a list of parts: " + JobCodec.trouble(e, text), e);
        }
    }

    static String write(List<Entry> entries) {
        var tree = MAPPER.createObjectNode().put("format", FORMAT).put("version", 1);
        var parts = tree.putArray("parts");
        for (var entry : entries) {
            ObjectNode node =
                    parts.addObject()
                            .put("id", entry.id())
                            .put("group", entry.group().name().toLowerCase(Locale.ROOT))
                            .put("name", entry.name())
                            .put("says", entry.says());
            node.set("kind", MAPPER.valueToTree(entry.kind()));
        }
        return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(tree) + "\n";
    }
}
