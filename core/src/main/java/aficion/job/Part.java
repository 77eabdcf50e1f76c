package aficion.job;

import aficion.catalogue.Terminals;
import aficion.catalogue.Zone;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A part of the vehicle's electrics.
 *
 * @param id its short name
 * @param name what it is, in the user's words
 * @param zone where it sits
 * @param mount the earth point its case is bolted to, for parts that return through their case
 * @param kind what it does
 * @param studs the size of a terminal's own stud, by pin, such as {@code m8}, where it is known
 */
public record Part(
        PartId id,
        String name,
        Zone zone,
        Optional<PartId> mount,
        Kind kind,
        Optional<Map<String, String>> studs) {
    public Part {
        studs = studs.map(Map::copyOf);
        studs.orElse(Map.of())
                .forEach((pin, stud) -> {
                    if (!kind.pins().contains(pin)) {
                        throw new IllegalArgumentException(id + " has no terminal " + pin);
                    }
                    if (!Terminals.holes().contains(stud)) {
                        throw new IllegalArgumentException(
                                "\"" + stud + "\" is none of " + Terminals.holes());
                    }
                });
        if (mount.isPresent() && kind.casePin().isEmpty()) {
            throw new IllegalArgumentException(
                    id + " has no case that returns to earth, so it cannot be mounted to one");
        }
    }

    /** A part whose studs are not known. */
    public Part(PartId id, String name, Zone zone, Optional<PartId> mount, Kind kind) {
        this(id, name, zone, mount, kind, Optional.empty());
    }

    /** The size of a terminal's own stud, where it is known. */
    public Optional<String> stud(String pin) {
        return Optional.ofNullable(studs.orElse(Map.of()).get(pin)).or(() -> kind.stud(pin));
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

    /** The same as a part of another kind; refused where its case pin would be gone. */
    public Part withKind(Kind changed) {
        return new Part(id, name, zone, mount, changed, fitting(changed));
    }

    /** The same bolted to an earth point. */
    public Part withMount(PartId earth) {
        return new Part(id, name, zone, Optional.of(earth), kind, studs);
    }

    /** The same by another name. */
    public Part withName(String changed) {
        return new Part(id, changed, zone, mount, kind, studs);
    }

    /** The same in another place. */
    public Part withZone(Zone changed) {
        return new Part(id, name, changed, mount, kind, studs);
    }

    /** The same part with a stud of its own said, or left to what its kind mostly has. */
    public Part withStud(String pin, Optional<String> stud) {
        var known = new HashMap<>(studs.orElse(Map.of()));
        stud.ifPresentOrElse(size -> known.put(pin, size), () -> known.remove(pin));
        return new Part(id, name, zone, mount, kind, some(known));
    }

    /** The same part with its case bolted to nothing. */
    public Part unmounted() {
        return new Part(id, name, zone, Optional.empty(), kind, studs);
    }

    /** The studs that another kind still has. */
    private Optional<Map<String, String>> fitting(Kind other) {
        var left = new HashMap<>(studs.orElse(Map.of()));
        left.keySet().retainAll(other.pins());
        return some(left);
    }

    private static Optional<Map<String, String>> some(Map<String, String> studs) {
        return Optional.of(studs).filter(known -> !known.isEmpty());
    }
}
