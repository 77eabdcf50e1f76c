package aficion.catalogue;

import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** A colour wire is sold in. Letters and appearance stand in {@code colours.csv}. */
public enum Colour {
    BLACK,
    BROWN,
    RED,
    ORANGE,
    YELLOW,
    GREEN,
    LIGHT_GREEN,
    BLUE,
    LIGHT_BLUE,
    PURPLE,
    SLATE,
    WHITE,
    PINK;

    private final String key = name().toLowerCase(Locale.ROOT).replace('_', '-');

    private record Properties(String key, String british, String german, int rgb) {}

    private static final Map<String, Properties> TABLE =
            Table.read(
                            "colours.csv",
                            row ->
                                    new Properties(
                                            row.text("key"),
                                            row.text("british"),
                                            row.text("german"),
                                            Integer.parseInt(row.text("rgb"), 16)))
                    .stream()
                    .collect(Collectors.toMap(Properties::key, Function.identity()));

    /** The short name used in files. */
    public String key() {
        return key;
    }

    /** The letters of BS AU 7. */
    public String british() {
        return properties().british();
    }

    /** The letters of German practice. */
    public String german() {
        return properties().german();
    }

    /** Red, green and blue, eight bits each. */
    public int rgb() {
        return properties().rgb();
    }

    private Properties properties() {
        return Catalogue.required(TABLE, key(), "colours.csv");
    }
}
