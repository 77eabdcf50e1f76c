package aficion.route;

import aficion.catalogue.Zone;
import aficion.quantity.Metres;
import java.util.List;
import java.util.Optional;

/**
 * A named place of the vehicle where wires end, part or pass.
 *
 * @param name what the user calls it; a station of an outline has a name in the user's language
 * @param zone how hot it is there, whether it is wet or moves
 * @param bore the hole of its grommet, where wires pass a panel there
 * @param takes what stands there unless it is said to stand elsewhere: {@code front:left}, {@code
 *     battery}; none where it is left out
 */
public record Station(
        StationId id,
        Optional<String> name,
        Spot at,
        Zone zone,
        Form form,
        Optional<Metres> bore,
        Optional<List<String>> takes) {
    private static final double WIDEST = 0.2;

    /** What a station is. */
    public enum Form {
        /** Where parts stand. */
        DEVICE,
        /** Where wires leave a bundle. */
        TAKE_OUT,
        /** A hole in a panel, with a grommet. */
        HOLE,
        CLIP,
        /** A separable plug: what is on either side of it is a loom of its own. */
        PLUG
    }

    public Station {
        takes = takes.map(List::copyOf);
        bore.ifPresent(wide -> {
            if (form != Form.HOLE) {
                throw new IllegalArgumentException(id + " is no hole, so it has no bore");
            }
            if (!(wide.value() > 0 && wide.value() <= WIDEST)) {
                throw new IllegalArgumentException(
                        "a grommet has a bore of up to 200 mm, not " + 1000 * wide.value() + " mm");
            }
        });
    }

    /** A station that takes nothing by itself. */
    public Station(StationId id, Optional<String> name, Spot at, Zone zone, Form form) {
        this(id, name, at, zone, form, Optional.empty(), Optional.empty());
    }

    /** Whether it takes what goes by that name. */
    public boolean takes(String tag) {
        return takes.orElse(List.of()).contains(tag);
    }

    /** The same with a grommet of that bore. */
    public Station withBore(Metres wide) {
        return new Station(id, name, at, zone, Form.HOLE, Optional.of(wide), takes);
    }

    /** The same as something else; a bore goes with the hole. */
    public Station as(Form changed) {
        return new Station(
                id, name, at, zone, changed, changed == Form.HOLE ? bore : Optional.empty(), takes);
    }
}
