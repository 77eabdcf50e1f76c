package aficion.job.edit;

import aficion.job.Circuit;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.Part;
import aficion.job.PartId;
import aficion.job.Wire;
import aficion.job.WireId;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;

/** Designs with one thing of theirs changed. */
final class Changing {
    private Changing() {}

    static Design wire(Design design, WireId id, UnaryOperator<Wire> change) {
        return design.withWires(replaced(design.wires(), design.wire(id), change));
    }

    static Design part(Design design, PartId id, UnaryOperator<Part> change) {
        return design.withParts(replaced(design.parts(), design.part(id), change));
    }

    static Design circuit(Design design, CircuitId id, UnaryOperator<Circuit> change) {
        return design.withCircuits(replaced(design.circuits(), design.circuit(id), change));
    }

    private static <T> List<T> replaced(List<T> all, T one, UnaryOperator<T> change) {
        return all.stream().map(each -> each == one ? change.apply(each) : each).toList();
    }

    static <T> List<T> with(List<T> list, T added) {
        return with(list, List.of(added));
    }

    static <T> List<T> with(List<T> list, List<T> added) {
        var longer = new ArrayList<>(list);
        longer.addAll(added);
        return longer;
    }
}
