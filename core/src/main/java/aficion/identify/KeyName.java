package aficion.identify;

/** What a terminal of a key switch is, by when it is live, with its number (DIN 72552). */
public enum KeyName {
    /** Live in every position. */
    ALWAYS("30"),
    /** Live in run and in start. */
    IGNITION("15"),
    /** Live from the position of the accessories on, in start as well. */
    ACCESSORY("15a/75"),
    /** Live in run, and before it where there is such a position; dead in start. */
    ACCESSORY_DROPS("15a/75"),
    /** Live in start only. */
    START("50"),
    /** Live while the engine is heated, with start or without. */
    HEAT("19"),
    /** Live with the key off or parked only. */
    PARKING("57"),
    /** Live in no position. */
    NEVER(""),
    /** What was read fits none of them, or something is still to be read. */
    UNKNOWN("");

    private final String number;

    KeyName(String number) {
        this.number = number;
    }

    /** Its number; empty where it has none. */
    public String number() {
        return number;
    }
}
