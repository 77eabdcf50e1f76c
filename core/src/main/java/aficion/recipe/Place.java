package aficion.recipe;

import aficion.identify.Feed;
import aficion.job.JoinKind;
import aficion.job.Terminal;

/** Where the end of a lead of a recipe goes. */
public sealed interface Place {

    /** A terminal of one of the recipe's own parts, by the names of the recipe. */
    record Own(Terminal terminal) implements Place {}

    /**
     * A feed of the vehicle.
     *
     * @param fused whether a fuse of its own, for this lead, stands before it
     */
    record FeedFrom(Feed feed, boolean fused) implements Place {}

    /** An earth point. */
    record EarthOn(JoinKind.Mass mass) implements Place {}

    /** A pin of the switch that has a control, such as {@code lights} and {@code 58}. */
    record SwitchPin(String control, String pin) implements Place {}

    /** A pin of the first part of a kind that has it, such as {@code alternator} and {@code D+}. */
    record PartPin(String kind, String pin) implements Place {}

    /** A pin of the part that goes by a name, such as {@code left signal joint} and {@code J}. */
    record NamedPin(String name, String pin) implements Place {}

    /** A post of the battery. */
    record Post(boolean live) implements Place {}
}
