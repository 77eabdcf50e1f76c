package aficion.verb;

import aficion.identify.Purposes;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.Pinned.Trait;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.edit.CompositeEdit;
import aficion.job.edit.CompositeEdit.Reason;
import aficion.job.edit.Edit;
import aficion.job.edit.NewNames;
import aficion.job.edit.WireEdit;
import aficion.size.Assessment;
import aficion.size.HouseSize;
import aficion.verb.Attempt.Possible;
import aficion.verb.Attempt.Refusal;
import aficion.verb.Attempt.Refused;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;

/** Puts the wires of a circuit in order: numbers along the path, colours of the scheme, sizes. */
public final class Tidying {
    private Tidying() {}

    /** Numbers the wires of a circuit along the path, from the source on. */
    public static Attempt renumber(Design design, CircuitId circuit) {
        int prefix = design.circuit(circuit).number();
        var edits = new ArrayList<Edit>();
        int next = 1;
        for (var wire : alongThePath(design.wiresOf(circuit))) {
            var number = NewNames.number(prefix, next++);
            if (!wire.number().equals(number)) {
                edits.add(new WireEdit.Renumber(wire.id(), number));
            }
        }
        return together(Reason.RENUMBER, edits);
    }

    /** Paints the wires of a circuit by the scheme of the house, those left to the program. */
    public static Attempt recolour(Design design, CircuitId circuit) {
        var colouring = design.rules().colours();
        if (colouring.isEmpty()) {
            return new Refused(Refusal.NO_SCHEME);
        }
        var purposes = Purposes.of(design);
        var edits = new ArrayList<Edit>();
        for (var wire : design.wiresOf(circuit)) {
            var purpose = purposes.get(wire.id());
            if (purpose != null && !wire.isSettled(Trait.COLOUR)) {
                colouring
                        .get()
                        .colour(purpose)
                        .filter(colour -> !colour.equals(wire.colour()))
                        .ifPresent(colour -> edits.add(new WireEdit.Recolour(wire.id(), colour)));
            }
        }
        return together(Reason.RECOLOUR, edits);
    }

    /** Gives the wires of a circuit the size the house gives them, those left to the program. */
    public static Attempt resize(Assessment assessment, CircuitId circuit) {
        var edits = new ArrayList<Edit>();
        for (var wire : assessment.design().wiresOf(circuit)) {
            var sizing = assessment.sizings().get(wire.id());
            if (sizing != null && !wire.isSettled(Trait.SIZE)) {
                HouseSize.of(assessment, sizing)
                        .filter(wanted -> !wanted.size().equals(wire.size()))
                        .ifPresent(
                                wanted -> edits.add(new WireEdit.Resize(wire.id(), wanted.size())));
            }
        }
        return together(Reason.RESIZE, edits);
    }

    private static Attempt together(Reason reason, List<Edit> edits) {
        return edits.isEmpty()
                ? new Refused(Refusal.NOTHING_TO_DO)
                : new Possible(new CompositeEdit(reason, edits));
    }

    /** Depth-first along the feed, beginning with what no other wire of the circuit feeds. */
    private static List<Wire> alongThePath(List<Wire> wires) {
        var order = new LinkedHashSet<Wire>();
        wires.stream()
                .sorted(Comparator.comparing((Wire wire) -> fed(wires, wire) ? 1 : 0))
                .forEach(wire -> follow(wires, wire, order));
        return List.copyOf(order);
    }

    private static boolean fed(List<Wire> wires, Wire wire) {
        return wires.stream()
                .anyMatch(other ->
                        other.to().terminal().part().equals(wire.from().terminal().part()));
    }

    private static void follow(List<Wire> wires, Wire wire, LinkedHashSet<Wire> order) {
        if (order.add(wire)) {
            Terminal end = wire.to().terminal();
            wires.stream()
                    .filter(next -> next.from().terminal().part().equals(end.part()))
                    .forEach(next -> follow(wires, next, order));
        }
    }
}
