package aficion.files;

import aficion.job.Vehicle;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Fills what a recipe or a list of parts leaves open: a text that begins with {@code $} becomes the
 * number of that answer, or of {@code system}, the vehicle's volts, times a factor after {@code *}.
 */
final class Filling {
    private static final JsonMapper MAPPER = JobMapping.mapper();

    private Filling() {}

    /**
     * A copy with every such text replaced.
     *
     * @throws IllegalArgumentException when something has not been answered
     */
    static JsonNode fill(JsonNode node, Vehicle vehicle, Map<String, String> answers) {
        return switch (node) {
            case ObjectNode object -> {
                var copy = MAPPER.createObjectNode();
                object.properties()
                        .forEach(field ->
                                copy.set(field.getKey(), fill(field.getValue(), vehicle, answers)));
                yield copy;
            }
            case ArrayNode array -> {
                var copy = MAPPER.createArrayNode();
                array.forEach(element -> copy.add(fill(element, vehicle, answers)));
                yield copy;
            }
            default -> {
                var text = node.isString() ? node.stringValue() : "";
                yield text.startsWith("$")
                        ? MAPPER.getNodeFactory().numberNode(number(text, vehicle, answers))
                        : node;
            }
        };
    }

    private static double number(String text, Vehicle vehicle, Map<String, String> answers) {
        var factors = text.substring(1).split("\\*", 2);
        double value =
                factors[0].equals("system")
                        ? vehicle.system().value()
                        : Double.parseDouble(answers.getOrDefault(factors[0], "NaN"));
        if (Double.isNaN(value)) {
            throw new IllegalArgumentException("nothing answers " + text);
        }
        return factors.length == 2 ? value * Double.parseDouble(factors[1]) : value;
    }
}
