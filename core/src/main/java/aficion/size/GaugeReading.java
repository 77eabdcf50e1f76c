package aficion.size;

import aficion.job.LoadKind;
import aficion.job.Part;
import aficion.quantity.Ratio;
import aficion.solve.OperatingPoint;

/** Where a gauge stands: its current as a share of the current at full scale. */
public final class GaugeReading {
    private GaugeReading() {}

    /** The share of full scale; 0 where no current flows. */
    public static Ratio of(OperatingPoint point, Part part, LoadKind.Gauge gauge) {
        double amps =
                point.through(part.id(), "body").map(found -> Math.abs(found.value())).orElse(0.0);
        return new Ratio(amps / gauge.fullScale().value());
    }
}
