package aficion.files;

import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.TokenStreamContext;
import tools.jackson.core.json.JsonFactory;

/** Finds the line of a field in a job's text, for problems whose place is known by name only. */
final class FieldLines {
    private FieldLines() {}

    /** The line, from 1, of a field such as {@code wires[3].size}. */
    static Optional<Integer> find(String text, String field) {
        try (JsonParser parser = new JsonFactory().createParser(ObjectReadContext.empty(), text)) {
            while (parser.nextToken() != null) {
                if (parser.currentToken() == JsonToken.PROPERTY_NAME
                        && field.equals(path(parser.streamReadContext()))) {
                    return Optional.of(parser.currentTokenLocation().getLineNr());
                }
            }
        } catch (JacksonException beyondWhatIsRead) {
            return Optional.empty();
        }
        return Optional.empty();
    }

    private static String path(TokenStreamContext context) {
        var outer = context.getParent();
        var before = outer == null || outer.inRoot() ? "" : path(outer);
        if (context.inArray()) {
            return before + "[" + context.getCurrentIndex() + "]";
        }
        return before.isEmpty() ? context.currentName() : before + "." + context.currentName();
    }
}
