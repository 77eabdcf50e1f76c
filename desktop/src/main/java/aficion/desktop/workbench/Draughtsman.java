package aficion.desktop.workbench;

import aficion.diagram.Diagram;
import aficion.diagram.DrawingOptions;
import aficion.diagram.Layout;
import aficion.diagram.Lettering;
import aficion.diagram.VehicleDiagram;
import aficion.diagram.VehicleLayout;
import aficion.job.CircuitId;
import aficion.job.Design;
import java.util.function.Function;

/** Draws paths in the words and with the options of a bench, on any thread. */
public record Draughtsman(Function<Design, Lettering> letterings, DrawingOptions options) {
    /** The path of a circuit. */
    public Diagram one(Design design, CircuitId circuit) {
        return Layout.of(design, circuit, letterings.apply(design), options);
    }

    /** The paths of the whole vehicle. */
    public VehicleDiagram whole(Design design) {
        return VehicleLayout.of(design, letterings.apply(design), options);
    }
}
