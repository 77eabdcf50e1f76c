package aficion.diagram;

import aficion.diagram.Diagram.Point;
import aficion.job.CircuitId;
import aficion.job.Terminal;
import aficion.job.WireId;
import java.util.List;
import java.util.Optional;

/**
 * The whole vehicle as positions: the paths of its circuits one under the other, in working order,
 * along the trunks of the feeds they share. Units as in {@link Diagram}.
 */
public record VehicleDiagram(
        double width, double height, List<Placed> circuits, List<Trunk> trunks) {
    public VehicleDiagram {
        circuits = List.copyOf(circuits);
        trunks = List.copyOf(trunks);
    }

    /**
     * The drawing of a circuit in the whole.
     *
     * @param at its corner
     */
    public record Placed(Diagram diagram, Point at) {
        /** Its lower edge; y grows downwards. */
        public double bottom() {
            return at.y() + diagram.height();
        }
    }

    /**
     * A terminal that several circuits share, as an upright line beside them.
     *
     * @param wire one of the wires at it, which lends its colour
     * @param takeOffs where circuits take off, from the top
     */
    public record Trunk(Terminal terminal, WireId wire, double x, List<TakeOff> takeOffs) {
        public Trunk {
            takeOffs = List.copyOf(takeOffs);
        }

        /** Its upper edge; y grows downwards. */
        public double top() {
            return takeOffs.getFirst().y();
        }

        /** Its lower edge; y grows downwards. */
        public double bottom() {
            return takeOffs.getLast().y();
        }
    }

    /**
     * Where a circuit takes off a trunk.
     *
     * @param to how far the line runs to the right: to the pin itself, or to the edge of the
     *     circuit where something stands before the pin
     * @param reaches whether it runs to the pin
     */
    public record TakeOff(CircuitId circuit, double y, double to, boolean reaches) {}

    /** The drawing of a circuit. */
    public Optional<Placed> find(CircuitId circuit) {
        return circuits.stream()
                .filter(placed -> placed.diagram().circuit().equals(circuit))
                .findFirst();
    }
}
