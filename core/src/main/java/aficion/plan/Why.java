package aficion.plan;

/** Why one task comes before another. */
public enum Why {
    /** What is there is looked at before anything is cut. */
    SURVEY_FIRST,
    /** A part is tested before wire is cut for it. */
    PART_BEFORE_WIRE,
    /** A length that moves what is cut is measured before. */
    LENGTH_BEFORE_CUT,
    /** The label goes on before the terminal. */
    LABEL_BEFORE_TERMINAL,
    /** A loom is laid of wires that are made. */
    MADE_BEFORE_LAID,
    /** The hole and its grommet come before what goes through. */
    PANEL_BEFORE_PLUG,
    /** A circuit is tested once its looms hang together. */
    LAID_BEFORE_TEST,
    /** A sleeve hides what a test may still find. */
    SLEEVE_AFTER_TEST,
    /** The old wiring stays until the new one has been tested. */
    OLD_UNTIL_TESTED,
    /** Nothing on the vehicle is touched with the battery on. */
    BATTERY_OFF_FIRST,
    /** The old wiring makes room. */
    OLD_OUT_FIRST,
    /** Parts are joined to a loom that lies. */
    LOOM_BEFORE_PARTS,
    /** The relay is in before the switch, which so never carries the load; a guard before all. */
    RELAY_BEFORE_SWITCH,
    /** What gives the current, and its guard, comes before what takes much. */
    SOURCE_BEFORE_LOAD,
    /** The earthed pole of the battery comes back last of all. */
    EARTH_LAST,
    /** First power comes before the tests on the vehicle. */
    POWER_BEFORE_TEST,
    /** The engine is timed once all that is fed is proved. */
    PROVED_BEFORE_TIMED,
    /** Trim goes back once nothing behind it is touched any more. */
    TRIM_LAST,
    /** The engine runs once all else is proved. */
    ROAD_LAST
}
