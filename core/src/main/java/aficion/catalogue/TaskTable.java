package aficion.catalogue;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Work by kind: how long a unit of it takes, and what is to hand for it. */
public final class TaskTable {
    private static final Map<String, Line> LINES =
            Table.read(
                            "tasks.csv",
                            row ->
                                    new Line(
                                            row.text("task"),
                                            row.number("minutes", 0.5, 600),
                                            words(row.text("tools")),
                                            words(row.text("supplies"))))
                    .stream()
                    .collect(Collectors.toMap(Line::task, Function.identity()));

    private TaskTable() {}

    /**
     * A kind of work.
     *
     * @param minutes of one unit of it
     * @param tools by the keys of their words
     * @param supplies by the keys of their words
     */
    public record Line(String task, double minutes, List<String> tools, List<String> supplies) {
        public Line {
            tools = List.copyOf(tools);
            supplies = List.copyOf(supplies);
        }
    }

    private static List<String> words(String text) {
        return Arrays.stream(text.split(" ")).filter(word -> !word.equals("-")).toList();
    }

    /** The line of a kind of work. */
    public static Line of(String task) {
        return Catalogue.required(LINES, task, "tasks.csv");
    }
}
