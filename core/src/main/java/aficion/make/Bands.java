package aficion.make;

import aficion.catalogue.Colour;
import aficion.job.Design;
import aficion.job.JoinKind;
import aficion.job.Wire;
import aficion.job.WireId;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jgrapht.Graph;
import org.jgrapht.alg.color.SaturationDegreeColoring;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleGraph;

/**
 * Bands of tape for a house that has wire of one colour: up to three out of six colours that are
 * told apart in poor light and by eyes that do not tell red from green, the first nearest the
 * terminal. No two wires that share a run of the body, a named bundle or a plug wear the same.
 *
 * <p>Which wires may wear alike is a colouring of the graph of those that meet (D. Brélaz, "New
 * methods to color the vertices of a graph", 1979); what most wires wear gets the fewest bands.
 *
 * @param worn the bands of each wire, in the order of the design
 */
public record Bands(Map<WireId, List<Colour>> worn) {
    private static final List<Colour> TAPES =
            List.of(
                    Colour.WHITE,
                    Colour.YELLOW,
                    Colour.BLUE,
                    Colour.ORANGE,
                    Colour.BLACK,
                    Colour.SLATE);

    public Bands {
        worn = Collections.unmodifiableMap(new LinkedHashMap<>(worn));
    }

    /** The bands of every wire of a design. */
    public static Bands of(Design design) {
        var graph = meeting(design);
        var classes =
                new ArrayList<>(
                        new SaturationDegreeColoring<>(graph).getColoring().getColorClasses());
        classes.sort(Comparator.comparingInt(each -> -each.size()));
        var codes = codes(classes.size());
        var byWire = new LinkedHashMap<WireId, List<Colour>>();
        design.wires().forEach(wire -> byWire.put(wire.id(), List.of()));
        for (int i = 0; i < classes.size(); i++) {
            for (var wire : classes.get(i)) {
                byWire.put(wire, codes.get(i));
            }
        }
        return new Bands(byWire);
    }

    /** The groups of wires that are seen together. */
    static List<List<Wire>> together(Design design) {
        var groups = new ArrayList<>(design.riders().values());
        var named = new LinkedHashMap<String, List<Wire>>();
        design.wires()
                .forEach(wire ->
                        wire.bundle()
                                .ifPresent(name ->
                                        named.computeIfAbsent(name, _ -> new ArrayList<>())
                                                .add(wire)));
        groups.addAll(named.values());
        design.parts().stream()
                .filter(part -> part.kind() instanceof JoinKind.Connector)
                .map(part ->
                        design.wires().stream()
                                .filter(wire ->
                                        wire.terminals().stream()
                                                .anyMatch(end -> end.part().equals(part.id())))
                                .toList())
                .forEach(groups::add);
        return groups;
    }

    private static Graph<WireId, DefaultEdge> meeting(Design design) {
        var graph = new SimpleGraph<WireId, DefaultEdge>(DefaultEdge.class);
        design.wires().forEach(wire -> graph.addVertex(wire.id()));
        for (var group : together(design)) {
            for (int i = 0; i < group.size(); i++) {
                for (int j = i + 1; j < group.size(); j++) {
                    if (!group.get(i).id().equals(group.get(j).id())) {
                        graph.addEdge(group.get(i).id(), group.get(j).id());
                    }
                }
            }
        }
        return graph;
    }

    /** So many different codes, the shortest first; no colour twice in a row. */
    private static List<List<Colour>> codes(int count) {
        var codes = new ArrayList<List<Colour>>();
        List<List<Colour>> longest = List.of(List.of());
        while (codes.size() < count) {
            var longer = new ArrayList<List<Colour>>();
            for (var code : longest) {
                for (var tape : TAPES) {
                    if (code.isEmpty() || code.getLast() != tape) {
                        var more = new ArrayList<>(code);
                        more.add(tape);
                        longer.add(List.copyOf(more));
                    }
                }
            }
            codes.addAll(longer);
            longest = longer;
        }
        return codes;
    }
}
