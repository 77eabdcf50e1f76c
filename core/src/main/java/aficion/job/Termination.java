package aficion.job;

import java.util.Locale;

/** What is crimped to the end of a wire. */
public enum Termination {
    BLADE_6_3,
    BLADE_9_5,
    RING_M5,
    RING_M6,
    RING_M8,
    LUG,
    POST_CLAMP,
    BULLET,
    PIN,
    SPLICE;

    /** The name used in files and tables. */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
