package aficion.job;

import java.util.HashSet;
import java.util.List;

/**
 * A finding that the user has looked at and lets stand.
 *
 * @param finding the kind of finding
 * @param place what it is about: a wire's identity, a part or a terminal
 * @param reason why it may stand, in the user's words
 */
public record Acceptance(String finding, String place, String reason) {
    public Acceptance {
        if (reason.isBlank()) {
            throw new IllegalArgumentException("letting a finding stand needs a reason");
        }
    }

    /** Those whose place is still there. */
    static List<Acceptance> of(List<Acceptance> all, List<Part> parts, List<Wire> wires) {
        if (all.isEmpty()) {
            return List.of();
        }
        var places = new HashSet<String>();
        wires.forEach(wire -> places.add(wire.id().value()));
        for (var part : parts) {
            places.add(part.id().value());
            part.terminals().forEach(terminal -> places.add(terminal.toString()));
        }
        return all.stream().filter(each -> places.contains(each.place)).toList();
    }

    /** Whether both speak of the same finding at the same place. */
    public boolean isAbout(String other, String otherPlace) {
        return finding.equals(other) && place.equals(otherPlace);
    }
}
