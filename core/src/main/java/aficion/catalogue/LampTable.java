package aficion.catalogue;

import aficion.quantity.Ratio;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import java.util.List;

/** Common filaments for 6, 12 and 24 V systems. */
public final class LampTable {
    private static final List<Entry> ENTRIES =
            Table.read(
                    "lamps.csv",
                    row ->
                            new Entry(
                                    row.text("use"),
                                    new Volts(row.number("system", 6, 24)),
                                    new Watts(row.number("watts", 0.5, 200)),
                                    new Volts(row.number("test", 5, 30)),
                                    new Ratio(row.number("met", 0.01, 1))));

    private LampTable() {}

    /**
     * One filament.
     *
     * @param use what it is for
     * @param system nominal volts of the vehicle
     * @param watts what it takes at the test voltage
     * @param test the voltage at which the watts are stated
     * @param met how often it is met beside the usual ones
     */
    public record Entry(String use, Volts system, Watts watts, Volts test, Ratio met) {}

    /** All filaments for a system, in the order of the table. */
    public static List<Entry> of(Volts system) {
        return ENTRIES.stream().filter(entry -> entry.system().equals(system)).toList();
    }

    /**
     * The voltage at which the watts of a lamp of that system are stated, when the table knows the
     * system.
     */
    public static Volts testVoltage(Volts system, Watts watts) {
        return of(system).stream()
                .filter(entry -> entry.watts().equals(watts))
                .map(Entry::test)
                .findFirst()
                .orElse(new Volts(system.value() * 1.125));
    }
}
