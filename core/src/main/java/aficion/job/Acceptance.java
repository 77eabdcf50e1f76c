package aficion.job;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;

/**
 * A finding that the user has looked at and lets stand.
 *
 * @param finding the kind of finding, by the name it has in files
 * @param place what it is about: a wire's identity, a part or a terminal
 * @param reason why it may stand, in the user's words
 * @param figures those of the finding when it was looked at, in its order
 */
public record Acceptance(
        String finding, String place, String reason, Optional<List<Double>> figures) {
    /** How far a figure may move, as a share of it, before the finding is to be looked at again. */
    private static final double NEAR = 0.1;

    public Acceptance {
        figures = figures.map(List::copyOf);
        if (reason.isBlank()) {
            throw new IllegalArgumentException("letting a finding stand needs a reason");
        }
    }

    /** Whether the figures of the finding are still about those that were looked at. */
    public boolean covers(List<Double> now) {
        return figures.isEmpty() || areNear(figures.get(), now);
    }

    private static boolean areNear(List<Double> then, List<Double> now) {
        if (then.size() != now.size()) {
            return false;
        }
        for (int i = 0; i < now.size(); i++) {
            if (Math.abs(now.get(i) - then.get(i)) > NEAR * Math.abs(then.get(i))) {
                return false;
            }
        }
        return true;
    }

    /** Those whose place is in a design. */
    static List<Acceptance> of(List<Acceptance> all, Design design) {
        if (all.isEmpty()) {
            return List.of();
        }
        var places = new HashSet<String>();
        design.wires().forEach(wire -> places.add(wire.id().value()));
        for (var part : design.parts()) {
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
