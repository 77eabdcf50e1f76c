package aficion.ignite;

import aficion.quantity.Metres;

/** Marks on what turns. */
public final class Marks {
    private Marks() {}

    /** How far round a pulley an angle is: π·D·θ/360. */
    public static Metres arc(Metres diameter, double degrees) {
        return new Metres(Math.PI * diameter.value() * degrees / 360);
    }

    /**
     * The straight way between two neighbours of some marks, evenly round a shaft: D·sin(π/n).
     *
     * @throws IllegalArgumentException when there are fewer than two
     */
    public static Metres chord(Metres diameter, int marks) {
        if (marks < 2) {
            throw new IllegalArgumentException("there are two marks at least");
        }
        return new Metres(diameter.value() * Math.sin(Math.PI / marks));
    }
}
