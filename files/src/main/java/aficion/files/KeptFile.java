package aficion.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Something that is kept for every job: one record as JSON in a file of its own, with the name of
 * its format and a version.
 *
 * @param path the file
 * @param format the name of its format
 * @param what what is said where a file is none, such as {@code not a stock}
 * @param none what there is before anything was kept
 */
record KeptFile<T>(Path path, String format, String what, T none) {
    private static final JsonMapper MAPPER = JobMapping.mapper();
    private static final int VERSION = 1;

    /**
     * What is kept.
     *
     * @throws IOException when the file that is there cannot be read; it stays where it is
     */
    T read() throws IOException {
        if (!Files.exists(path)) {
            return none;
        }
        try {
            return parsed(Files.readString(path));
        } catch (IOException | IllegalArgumentException unreadable) {
            throw new IOException(path + ": " + unreadable.getMessage(), unreadable);
        }
    }

    @SuppressWarnings("unchecked")
    private T parsed(String text) {
        try {
            var tree = MAPPER.readTree(text);
            if (!(tree instanceof ObjectNode kept)
                    || !format.equals(tree.path("format").asString(""))) {
                throw new IllegalArgumentException(what);
            }
            if (tree.path("version").asInt(0) != VERSION) {
                throw new IllegalArgumentException("of another version of the program");
            }
            kept.remove("format");
            kept.remove("version");
            return (T) MAPPER.treeToValue(kept, none.getClass());
        } catch (JacksonException e) {
            throw new IllegalArgumentException(what + ": " + JobCodec.trouble(e, text), e);
        }
    }

    void write(T value) throws IOException {
        var tree = MAPPER.createObjectNode().put("format", format).put("version", VERSION);
        tree.setAll(MAPPER.<ObjectNode>valueToTree(value));
        WholeFile.write(
                path, MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(tree) + "\n");
    }
}
