package aficion.recipe;

import aficion.catalogue.Zone;
import aficion.job.Unguarded;
import aficion.job.WireColour;
import aficion.quantity.Metres;
import java.util.Optional;

/**
 * A wire of a recipe: its size is found when it is put in.
 *
 * @param length how long it mostly is
 * @param optional whether it is left out where the vehicle lacks one of its places
 */
public record Lead(
        Place from,
        Place to,
        WireColour colour,
        Zone zone,
        Metres length,
        Optional<Unguarded> unguarded,
        boolean optional) {}
