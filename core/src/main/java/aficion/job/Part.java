package aficion.job;

import aficion.catalogue.Zone;
import java.util.List;
import java.util.Optional;

/**
 * A part of the vehicle's electrics.
 *
 * @param id its short name
 * @param name what it is, in the user's words
 * @param zone where it sits
 * @param mount the earth point its case is bolted to, for parts that return through their case
 * @param kind what it does
 */
public record Part(PartId id, String name, Zone zone, Optional<PartId> mount, Kind kind) {
    public Part {
        if (mount.isPresent() && kind.casePin().isEmpty()) {
            throw new IllegalArgumentException(
                    id + " has no case that returns to earth, so it cannot be mounted to one");
        }
    }

    /**
     * The terminal of that pin.
     *
     * @throws IllegalArgumentException when the part has no such pin
     */
    public Terminal terminal(String pin) {
        if (!kind.pins().contains(pin)) {
            throw new IllegalArgumentException(
                    id + " has no terminal " + pin + "; it has " + kind.pins());
        }
        return new Terminal(id, pin);
    }

    /** All its terminals, in the order of its pins. */
    public List<Terminal> terminals() {
        return kind.pins().stream().map(pin -> new Terminal(id, pin)).toList();
    }

    public Part withKind(Kind changed) {
        return new Part(id, name, zone, mount, changed);
    }

    public Part withMount(PartId earth) {
        return new Part(id, name, zone, Optional.of(earth), kind);
    }

    public Part withName(String changed) {
        return new Part(id, changed, zone, mount, kind);
    }

    /** The same part with its case bolted to nothing. */
    public Part unmounted() {
        return new Part(id, name, zone, Optional.empty(), kind);
    }
}
