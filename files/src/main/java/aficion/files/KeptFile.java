package aficion.files;

import aficion.stock.Stock;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a user has in stock, as JSON: sizes, colours and covers as in a job file, metres, counts.
 */
final class StockBook {
    private static final String FORMAT = "aficion-stock";
    private static final JsonMapper MAPPER = JobMapping.mapper();

    private StockBook() {}

    /**
     * Reads a stock.
     *
     * @throws IllegalArgumentException when the text is none
     */
    static Stock read(String text) {
        try {
            var tree = MAPPER.readTree(text);
            if (!(tree instanceof ObjectNode stock)
                    || !FORMAT.equals(tree.path("format").asString(""))) {
                throw new IllegalArgumentException("not a stock");
            }
            if (tree.path("version").asInt(0) != 1) {
                throw new IllegalArgumentException("of another version of the program");
            }
            stock.remove("format");
            stock.remove("version");
            return MAPPER.treeToValue(stock, Stock.class);
        } catch (JacksonException e) {
            throw new IllegalArgumentException("not a stock: " + JobCodec.trouble(e, text), e);
        }
    }

    static String write(Stock stock) {
        var tree = MAPPER.createObjectNode().put("format", FORMAT).put("version", 1);
        tree.setAll(MAPPER.<ObjectNode>valueToTree(stock));
        return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(tree) + "\n";
    }
}
