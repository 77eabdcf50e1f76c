package aficion.make;

import aficion.catalogue.Studs;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Terminal;
import aficion.job.Wire;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What is stacked on a stud, from its seat up: the ring with the most copper lies lowest, where it
 * meets the most metal and the others do not carry its current.
 *
 * @param stud its size, where it is known
 * @param rings the wires, the lowest first
 * @param nuts how many it has: the stud of a part is held by one of its own, which stays, and every
 *     ring is clamped above it by another
 */
public record StudStack(Terminal at, Optional<String> stud, List<Wire> rings, int nuts) {
    public StudStack {
        rings = List.copyOf(rings);
    }

    /**
     * The stack on a terminal; empty where no ring goes on it, or each on its own post of a bar.
     */
    public static Optional<StudStack> of(Design design, Terminal at) {
        var part = design.part(at.part());
        if (part.kind() instanceof JoinKind.Splice) {
            return Optional.empty();
        }
        var rings =
                design.wiresAt(at).stream()
                        .filter(wire -> wire.at(at).termination().fitting().family().stacks())
                        .sorted(
                                Comparator.comparingDouble(
                                                (Wire wire) -> -wire.conductor().copper().value())
                                        .thenComparing(Wire::number))
                        .toList();
        if (rings.isEmpty()) {
            return Optional.empty();
        }
        var stud =
                part.stud(at.pin())
                        .or(() -> rings.getFirst().at(at).termination().fitting().hole());
        boolean bolt = part.kind() instanceof JoinKind.EarthPoint;
        return Optional.of(new StudStack(at, stud, rings, bolt ? 1 : 2));
    }

    /** Where a wire lies in it, from 1. */
    public int place(Wire wire) {
        return rings.indexOf(wire) + 1;
    }

    /** How tight its nut is made, newton metres, where the stud is known. */
    public Optional<Double> torque() {
        return stud.flatMap(Studs::torque);
    }
}
