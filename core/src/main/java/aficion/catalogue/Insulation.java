package aficion.catalogue;

import aficion.quantity.Celsius;
import aficion.quantity.Volts;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;

/** What a wire is covered with. Limits and constants stand in {@code insulations.csv}. */
public enum Insulation {
    RUBBER,
    PVC80,
    PVC105,
    XLPE125,
    PTFE200;

    private final String key = name().toLowerCase(Locale.ROOT);

    private record Properties(String key, Celsius limit, double adiabaticConstant, Volts holds) {}

    private static final Map<String, Properties> TABLE =
            Table.read(
                            "insulations.csv",
                            row ->
                                    new Properties(
                                            row.text("key"),
                                            new Celsius(row.number("limit", 40, 300)),
                                            row.number("k", 50, 300),
                                            new Volts(row.number("volts", 10, 30_000))))
                    .stream()
                    .collect(Collectors.toMap(Properties::key, Function.identity()));

    /** The short name used in files. */
    public String key() {
        return key;
    }

    /** The temperature the conductor may reach. */
    public Celsius limit() {
        return properties().limit();
    }

    /** k of I²·t = (k·S)², in A·√s/mm². */
    public double adiabaticConstant() {
        return properties().adiabaticConstant();
    }

    /** The volts it holds against what it touches. */
    public Volts holds() {
        return properties().holds();
    }

    private Properties properties() {
        return Catalogue.required(TABLE, key(), "insulations.csv");
    }
}
