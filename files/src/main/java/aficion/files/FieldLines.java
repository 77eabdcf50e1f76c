package aficion.files;

import java.util.Optional;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.ObjectReadContext;
import tools.jackson.core.TokenStreamContext;
import tools.jackson.core.json.JsonFactory;

/**
 * Finds the line of a field in a job's text, for problems that show only once all of it has been
 * read.
 */
final class FieldLines {
    private FieldLines() {}

    /** The line, from 1, of a field of an element of one of the job's lists. */
    static Optional<Integer> find(String text, String list, int index, String field) {
        try (JsonParser parser = new JsonFactory().createParser(ObjectReadContext.empty(), text)) {
            while (parser.nextToken() != null) {
                if (parser.currentToken() == JsonToken.PROPERTY_NAME
                        && field.equals(parser.currentName())
                        && isElement(parser.streamReadContext().getParent(), list, index)) {
                    return Optional.of(parser.currentTokenLocation().getLineNr());
                }
            }
        }
        return Optional.empty();
    }

    private static boolean isElement(TokenStreamContext context, String list, int index) {
        return context != null
                && context.inArray()
                && context.getCurrentIndex() == index
                && context.getParent() != null
                && list.equals(context.getParent().currentName());
    }
}
