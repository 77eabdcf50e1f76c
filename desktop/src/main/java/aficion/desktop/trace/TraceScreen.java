package aficion.desktop.trace;

import aficion.desktop.screen.OnceMade;
import aficion.desktop.screen.Screen;
import aficion.desktop.screen.Surroundings;
import java.util.List;
import javafx.scene.Node;

/** The path of the circuit in focus. */
public final class TraceScreen implements Screen {
    private final OnceMade<TraceView> view;

    public TraceScreen(Surroundings with) {
        view = new OnceMade<>(() -> new TraceView(with.bench(), with.verbs()));
    }

    @Override
    public String name() {
        return "trace";
    }

    @Override
    public String key() {
        return "1";
    }

    @Override
    public Node view() {
        return view.get();
    }

    @Override
    public List<Act> acts() {
        return List.of(
                new Act("trace.volts", "V", () -> view.get().turnVolts()),
                new Act("trace.returns", "Y", () -> view.get().turnReturns()),
                new Act("trace.meter", "M", () -> view.get().turnMeter()),
                new Act("trace.recorder", "T", () -> view.get().turnRecorder()));
    }
}
