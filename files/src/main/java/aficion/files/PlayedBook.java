package aficion.files;

import aficion.bench.practice.Played;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The rounds that a user has played, as JSON. */
final class PlayedBook {
    private static final String FORMAT = "aficion-rounds";
    private static final JsonMapper MAPPER = JobMapping.mapper();

    /** No more are kept; the oldest go. */
    private static final int MOST = 500;

    private PlayedBook() {}

    private record Rounds(List<Played> rounds) {}

    /**
     * Reads rounds.
     *
     * @throws IllegalArgumentException when the text holds none
     */
    static List<Played> read(String text) {
        try {
            var tree = MAPPER.readTree(text);
            if (!(tree instanceof ObjectNode book)
                    || !FORMAT.equals(tree.path("format").asString(""))) {
                throw new IllegalArgumentException("no rounds of practice");
            }
            if (tree.path("version").asInt(0) != 1) {
                throw new IllegalArgumentException("of another version of the program");
            }
            book.remove("format");
            book.remove("version");
            return List.copyOf(MAPPER.treeToValue(book, Rounds.class).rounds());
        } catch (JacksonException e) {
            throw new IllegalArgumentException(
                    "no rounds of practice: " + JobCodec.trouble(e, text), e);
        }
    }

    static String write(List<Played> rounds) {
        var kept = rounds.subList(Math.max(0, rounds.size() - MOST), rounds.size());
        var tree = MAPPER.createObjectNode().put("format", FORMAT).put("version", 1);
        tree.setAll(MAPPER.<ObjectNode>valueToTree(new Rounds(kept)));
        return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(tree) + "\n";
    }
}
