package aficion.files;

import aficion.job.Vehicle;
import aficion.quantity.UserUnits;
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
        double value = 1;
        for (var factor : ("*" + text.substring(1)).split("(?=[*/])")) {
            double each = factor(factor.substring(1), vehicle, answers);
            if (Double.isNaN(each)) {
                throw new IllegalArgumentException("nothing answers " + text);
            }
            value = factor.startsWith("*") ? value * each : value / each;
        }
        return value;
    }

    private static double factor(String text, Vehicle vehicle, Map<String, String> answers) {
        if (text.equals("system")) {
            return vehicle.system().value();
        }
        boolean plain = !text.isEmpty() && (Character.isDigit(text.charAt(0)));
        return UserUnits.parseNumber(plain ? text : answers.getOrDefault(text, ""))
                .orElse(Double.NaN);
    }
}
