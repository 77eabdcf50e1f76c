package aficion.catalogue;

import java.util.List;

/** How tight bolts are made, by thread and class. */
public final class Threads {
    private static final List<Thread> ALL =
            Table.read(
                    "threads.csv",
                    row ->
                            new Thread(
                                    row.text("thread"),
                                    row.text("class"),
                                    row.number("torque", 0.1, 1000)));

    private Threads() {}

    /**
     * A thread of a class.
     *
     * @param torque newton metres
     */
    public record Thread(String name, String strength, double torque) {}

    /** All threads, in the order of the table. */
    public static List<Thread> all() {
        return ALL;
    }
}
