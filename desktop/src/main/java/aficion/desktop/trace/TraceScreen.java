package aficion.desktop.trace;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.screen.ViewScreen;
import java.util.List;

/** The path of the circuit in focus. */
public final class TraceScreen extends ViewScreen<TraceView> {
    public TraceScreen(Surroundings with) {
        super("trace", "1", () -> new TraceView(with.bench(), with.verbs()));
    }

    @Override
    public List<Act> acts() {
        return List.of(
                new Act("trace.volts", "V", () -> view().turnVolts()),
                new Act("trace.returns", "Y", () -> view().turnReturns()),
                new Act("trace.meter", "M", () -> view().turnMeter()),
                new Act("trace.recorder", "T", () -> view().turnRecorder()));
    }
}
