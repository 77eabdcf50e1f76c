package aficion.catalogue;

import aficion.quantity.Ohms;
import java.util.List;

/** Families of senders, by the resistance at either end of their way. */
public final class Senders {
    private static final List<Family> FAMILIES =
            Table.read(
                    "senders.csv",
                    row ->
                            new Family(
                                    row.text("family"),
                                    new Ohms(row.number("empty", 0, 2000)),
                                    new Ohms(row.number("full", 0, 2000))));

    private Senders() {}

    /**
     * A family of senders and gauges.
     *
     * @param empty resistance empty, or cold
     * @param full resistance full, or hot
     */
    public record Family(String name, Ohms empty, Ohms full) {}

    /** All families, in the order of the table. */
    public static List<Family> all() {
        return FAMILIES;
    }
}
