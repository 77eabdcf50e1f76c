package aficion.job;

import aficion.catalogue.Terminals;

/** What is crimped to the end of a wire, by its key in the catalogue. */
public record Termination(String key) {
    public static final Termination BLADE_6_3 = new Termination("blade-6-3");
    public static final Termination BLADE_9_5 = new Termination("blade-9-5");
    public static final Termination RING_M5 = new Termination("ring-m5");
    public static final Termination RING_M6 = new Termination("ring-m6");
    public static final Termination RING_M8 = new Termination("ring-m8");
    public static final Termination LUG = new Termination("lug");
    public static final Termination POST_CLAMP = new Termination("post-clamp");
    public static final Termination BULLET = new Termination("bullet");
    public static final Termination PIN = new Termination("pin");
    public static final Termination SPLICE = new Termination("splice");

    /**
     * @throws IllegalArgumentException when the catalogue has none of that key
     */
    public Termination {
        if (Terminals.find(key).isEmpty()) {
            throw new IllegalArgumentException(
                    "\""
                            + key
                            + "\" is none of "
                            + Terminals.all().stream().map(Terminals.Fitting::key).toList());
        }
    }

    /** What the catalogue says of it. */
    public Terminals.Fitting fitting() {
        return Terminals.find(key).orElseThrow();
    }

    /** The same one that stands in the wet, where there is one. */
    public Termination sealed() {
        var other = key + "-sealed";
        return fitting().sealed() || Terminals.find(other).isEmpty()
                ? this
                : new Termination(other);
    }

    @Override
    public String toString() {
        return key;
    }
}
