package aficion.desktop.workbench;

import javafx.scene.input.KeyCombination;

/** What can be done to what is chosen, each with its key. Words stand in the bundle. */
public enum Verb {
    RELAY(On.WIRE, "R"),
    GUARD(On.WIRE, "G"),
    SWITCH(On.WIRE, "W"),
    DIODE(On.WIRE, "D"),
    CONNECTOR(On.WIRE, "N"),
    JOINT(On.WIRE, "J"),
    TURN(On.WIRE, "X"),
    LEAD_FIRST(On.WIRE, "["),
    LEAD_SECOND(On.WIRE, "]"),
    SETTLE_SIZE(On.WIRE, "Shift+S"),
    SETTLE_COLOUR(On.WIRE, "Shift+C"),
    SETTLE_LENGTH(On.WIRE, "Shift+L"),
    CONNECT(On.TERMINAL, "C"),
    REPLACE(On.PART, "P"),
    EXCHANGE(On.PART, "X"),
    OTHER_SIDE(On.PART, "O"),
    EARTHS(On.PART, "B"),
    FOLD(On.PART, "K"),
    REMOVE(On.ANYTHING, "Delete"),
    BREAK(On.ANYTHING, "Q"),
    CHAFE(On.ANYTHING, "H"),
    CORRODE(On.ANYTHING, "Z"),
    RENUMBER(On.CIRCUIT, "Alt+N"),
    RECOLOUR(On.CIRCUIT, "Alt+C"),
    RESIZE(On.CIRCUIT, "Alt+S"),
    ADD_PART(On.JOB, "A"),
    GROUP(On.JOB, "Alt+G");

    private final On on;
    private final String keys;
    private final KeyCombination combination;

    /** What a verb is done to. */
    public enum On {
        WIRE,
        TERMINAL,
        PART,
        /** A wire, a part or a terminal. */
        ANYTHING,
        /** The circuit in focus. */
        CIRCUIT,
        JOB
    }

    Verb(On on, String keys) {
        this.on = on;
        this.keys = keys;
        this.combination = combination(keys);
    }

    private static KeyCombination combination(String keys) {
        return switch (keys) {
            case "[" -> KeyCombination.keyCombination("Open_Bracket");
            case "]" -> KeyCombination.keyCombination("Close_Bracket");
            default -> KeyCombination.keyCombination(keys);
        };
    }

    public On on() {
        return on;
    }

    /** The key as it is written. */
    public String keys() {
        return keys;
    }

    public KeyCombination combination() {
        return combination;
    }

    /** Whether it is tried on a copy and never kept. */
    public boolean isTrial() {
        return this == BREAK || this == CHAFE || this == CORRODE;
    }
}
