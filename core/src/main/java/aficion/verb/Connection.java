package aficion.verb;

import aficion.catalogue.Colour;
import aficion.job.CircuitId;
import aficion.job.Cut;
import aficion.job.Design;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.edit.NewNames;
import aficion.quantity.Metres;
import aficion.route.RunLength;
import java.util.Optional;

/** A wire between two terminals that a user has named. */
public final class Connection {
    /** A length to begin with, until it is measured. */
    private static final Metres FIRST = new Metres(1);

    private Connection() {}

    /**
     * The wire, as thin as the house allows, coloured like a wire that is there already; empty when
     * the design has no such terminals or both are one.
     *
     * @param from a terminal such as {@code H1.56b}
     */
    public static Optional<Wire> of(Design design, CircuitId circuit, String from, String to) {
        var one = design.terminal(from);
        var other = design.terminal(to);
        if (one.isEmpty() || other.isEmpty() || one.equals(other)) {
            return Optional.empty();
        }
        return Optional.of(between(design, circuit, one.get(), other.get()));
    }

    /** The wire between two terminals that are there. */
    public static Wire between(Design design, CircuitId circuit, Terminal one, Terminal other) {
        var zone = design.part(other.part()).zone();
        return new Wire(
                NewNames.wire(design),
                NewNames.number(design, circuit),
                circuit,
                Ends.on(design, one),
                Ends.on(design, other),
                new Cut(Ends.thinnest(design), Ends.cover(zone), colour(design, one, other)),
                design.laid(new RunLength.Assumed(FIRST), zone));
    }

    private static WireColour colour(Design design, Terminal one, Terminal other) {
        return design.wiresAt(one).stream()
                .findFirst()
                .or(() -> design.wiresAt(other).stream().findFirst())
                .map(Wire::colour)
                .orElse(WireColour.plain(Colour.BLACK));
    }
}
