package aficion.identify;

/** When a feed is live. */
public enum Feed {
    /** With the key off as well. */
    ALWAYS,
    /** With the key in run, not in start. */
    ACCESSORY,
    /** With the key in run and in start. */
    IGNITION,
    /** While the key is held in start. */
    START
}
