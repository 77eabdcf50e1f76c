package aficion.size;

import aficion.catalogue.FuseType;
import aficion.quantity.Amps;
import aficion.quantity.Ratio;
import aficion.working.Working;
import aficion.working.Working.Given;
import aficion.working.Working.Origin;
import aficion.working.Working.Step;
import java.util.List;
import java.util.Optional;

/**
 * The fuse for a wire: the smallest that carries the load with the reserve of the house rules, as
 * long as it carries no more than the wire does.
 *
 * @param working from load to least rating, held against what the wire carries
 * @param marking the fuse to fit; empty when no fuse lies between load and wire
 */
public record GuardChoice(Working working, Optional<Amps> marking) {

    /**
     * @param load the largest lasting current
     * @param wire what the thinnest wire behind the fuse carries
     * @param share of what a fuse carries that a load may take
     */
    public static GuardChoice of(FuseType type, Amps load, Amps wire, Ratio share) {
        var least = new Amps(load.value() / share.value());
        var marking =
                type.smallestCarrying(least)
                        .filter(found -> type.carries(found).value() <= wire.value());
        var working =
                new Working(
                        Working.Topic.GUARD,
                        "I / s ≤ F ≤ Iw",
                        List.of(
                                new Given("I", load, Origin.SOLVED),
                                new Given("s", share, Origin.HOUSE_RULE),
                                new Given("Iw", wire, Origin.WORKED)),
                        List.of(new Step("I / s", least), new Step("F", marking.orElse(least))),
                        Optional.of(new Working.Limit(wire, marking.isPresent())),
                        "ISO 8820-3");
        return new GuardChoice(working, marking);
    }
}
