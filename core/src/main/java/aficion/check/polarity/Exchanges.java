package aficion.check.polarity;

import aficion.job.Design;
import aficion.job.Part;
import aficion.job.Terminal;
import aficion.job.edit.Edit;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WireEdit;
import java.util.List;
import java.util.stream.Stream;

/** The remedy for a part connected the wrong way round. */
public final class Exchanges {
    private Exchanges() {}

    /** Two terminals of a part. */
    record Pair(String one, String other) {}

    /** Every two of some terminals, each once. */
    static Stream<Pair> pairs(List<String> pins) {
        return pins.stream()
                .flatMap(one ->
                        pins.stream()
                                .skip(pins.indexOf(one) + 1L)
                                .map(other -> new Pair(one, other)));
    }

    /** Every exchange of two leads of a part, where wires lead to both. */
    public static Stream<Edit> ofLeads(Design design, Part part) {
        return pairs(part.kind().pins())
                .flatMap(pair -> feeds(design, part, pair.one, pair.other).stream());
    }

    /** Exchanges two feeds, where wires lead to both. */
    static List<Edit> feeds(Design design, Part part, String one, String other) {
        boolean wired =
                !design.wiresAt(part.terminal(one)).isEmpty()
                        && !design.wiresAt(part.terminal(other)).isEmpty();
        return wired ? List.of(new PartEdit.Exchange(part.id(), one, other)) : List.of();
    }

    /** Exchanges two terminals, where wires and not the part's case lead to both. */
    static List<Edit> of(Design design, Part part, String one, String other) {
        boolean wired =
                !design.wiresAt(part.terminal(one)).isEmpty()
                        && !design.wiresAt(part.terminal(other)).isEmpty();
        return wired && part.mount().isEmpty()
                ? List.of(new PartEdit.Exchange(part.id(), one, other))
                : List.of();
    }

    /** Takes out the one wire that joins two terminals which others lead to as well. */
    public static List<Edit> parted(Design design, Terminal one, Terminal other) {
        var wires =
                design.wiresAt(one).stream()
                        .filter(wire -> wire.beyond(one).terminal().equals(other))
                        .toList();
        boolean ledTo = design.wiresAt(one).size() > 1 && design.wiresAt(other).size() > 1;
        return wires.size() == 1 && ledTo
                ? List.of(new WireEdit.RemoveWire(wires.getFirst().id()))
                : List.of();
    }
}
