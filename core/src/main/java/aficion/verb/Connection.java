package aficion.verb;

import aficion.catalogue.Colour;
import aficion.job.CircuitId;
import aficion.job.Job;
import aficion.job.RunLength;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.job.edit.NewNames;
import aficion.quantity.Metres;
import java.util.Optional;

/** A wire between two terminals that a user has named. */
public final class Connection {
    /** A length to begin with, until it is measured. */
    private static final Metres FIRST = new Metres(1);

    private Connection() {}

    /**
     * The wire, as thin as the house allows, coloured like a wire that is there already; empty when
     * the job has no such terminals or both are one.
     *
     * @param from a terminal such as {@code H1.56b}
     */
    public static Optional<Wire> of(Job job, CircuitId circuit, String from, String to) {
        var one = terminal(job, from);
        var other = terminal(job, to);
        if (one.isEmpty() || other.isEmpty() || one.equals(other)) {
            return Optional.empty();
        }
        return Optional.of(between(job, circuit, one.get(), other.get()));
    }

    /** The wire between two terminals that are there. */
    public static Wire between(Job job, CircuitId circuit, Terminal one, Terminal other) {
        var zone = job.part(other.part()).zone();
        return new Wire(
                NewNames.wire(job),
                NewNames.number(job, circuit),
                circuit,
                Ends.on(job, one),
                Ends.on(job, other),
                colour(job, one, other),
                Ends.thinnest(job),
                Ends.cover(zone),
                new RunLength.Assumed(FIRST),
                zone,
                Optional.empty());
    }

    private static Optional<Terminal> terminal(Job job, String text) {
        return Terminal.parse(text)
                .filter(terminal ->
                        job.find(terminal.part())
                                .filter(part -> part.kind().pins().contains(terminal.pin()))
                                .isPresent());
    }

    private static WireColour colour(Job job, Terminal one, Terminal other) {
        return job.wiresAt(one).stream()
                .findFirst()
                .or(() -> job.wiresAt(other).stream().findFirst())
                .map(Wire::colour)
                .orElse(WireColour.plain(Colour.BLACK));
    }
}
