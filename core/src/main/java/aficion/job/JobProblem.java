package aficion.job;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * One thing in a job that points at nothing or stands twice.
 *
 * @param list the list it is in: {@code circuits}, {@code parts}, {@code wires}, {@code work.done}
 *     or {@code work.bench}
 * @param index its place in that list, from 0
 * @param field the field that is wrong
 * @param text what is wrong
 */
public record JobProblem(String list, int index, String field, String text) {

    static List<JobProblem> of(
            List<Circuit> circuits, List<Part> parts, List<Wire> wires, Optional<Body> body) {
        var found = new ArrayList<JobProblem>();
        var circuitIds = unique("circuits", circuits, Circuit::id, found);
        var byId = new HashMap<PartId, Part>();
        unique("parts", parts, Part::id, found);
        parts.forEach(part -> byId.putIfAbsent(part.id(), part));
        unique("wires", wires, Wire::id, found);
        for (int i = 0; i < parts.size(); i++) {
            var part = parts.get(i);
            if (part.mount().isPresent() && !isEarth(byId.get(part.mount().get()))) {
                found.add(
                        new JobProblem(
                                "parts",
                                i,
                                "mount",
                                part.id()
                                        + " is mounted to "
                                        + part.mount().get()
                                        + ", which is no earth point"));
            }
        }
        for (int i = 0; i < wires.size(); i++) {
            var wire = wires.get(i);
            if (!circuitIds.contains(wire.circuit())) {
                found.add(
                        new JobProblem(
                                "wires",
                                i,
                                "circuit",
                                "wire "
                                        + wire.number()
                                        + " is in circuit "
                                        + wire.circuit()
                                        + ", which is not there"));
            }
            if (body.isEmpty() && wire.laid() instanceof Laid.Routed) {
                found.add(
                        new JobProblem(
                                "wires",
                                i,
                                "laid",
                                "wire "
                                        + wire.number()
                                        + " is laid along the body, and there is none"));
            }
            terminal(wire, "from", wire.from().terminal(), i, byId, found);
            terminal(wire, "to", wire.to().terminal(), i, byId, found);
        }
        return found;
    }

    static List<JobProblem> of(Design design, Work work) {
        var found = new ArrayList<JobProblem>();
        var done = List.copyOf(work.done().keySet());
        var tested = work.bench().stream().map(BenchRun::circuit).toList();
        missing("work.done", "what was done", done, design, found);
        missing("work.bench", "a bench run", tested, design, found);
        return found;
    }

    private static void missing(
            String list,
            String what,
            List<CircuitId> circuits,
            Design design,
            List<JobProblem> found) {
        for (int i = 0; i < circuits.size(); i++) {
            var circuit = circuits.get(i);
            if (design.find(circuit).isEmpty()) {
                var text = what + " is of circuit " + circuit + ", which is not there";
                found.add(new JobProblem(list, i, "circuit", text));
            }
        }
    }

    private static <T, K> Set<K> unique(
            String list, List<T> things, Function<T, K> key, List<JobProblem> found) {
        var seen = new HashSet<K>();
        for (int i = 0; i < things.size(); i++) {
            if (!seen.add(key.apply(things.get(i)))) {
                found.add(
                        new JobProblem(list, i, "id", key.apply(things.get(i)) + " stands twice"));
            }
        }
        return seen;
    }

    private static boolean isEarth(@Nullable Part part) {
        return part != null && part.kind() instanceof JoinKind.EarthPoint;
    }

    private static void terminal(
            Wire wire,
            String field,
            Terminal terminal,
            int index,
            Map<PartId, Part> parts,
            List<JobProblem> found) {
        var part = parts.get(terminal.part());
        if (part == null) {
            found.add(
                    new JobProblem(
                            "wires",
                            index,
                            field,
                            "wire "
                                    + wire.number()
                                    + " goes to part "
                                    + terminal.part()
                                    + ", which is not there"));
        } else if (!part.kind().pins().contains(terminal.pin())) {
            found.add(
                    new JobProblem(
                            "wires",
                            index,
                            field,
                            "wire "
                                    + wire.number()
                                    + " goes to "
                                    + terminal
                                    + ", but "
                                    + part.id()
                                    + " has only "
                                    + String.join(", ", part.kind().pins())));
        }
    }
}
