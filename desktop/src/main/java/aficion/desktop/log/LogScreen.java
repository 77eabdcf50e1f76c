package aficion.desktop.log;

import aficion.desktop.screen.OnceMade;
import aficion.desktop.screen.Screen;
import aficion.desktop.screen.Surroundings;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;

/** From the old loom to the signed sheet. */
public final class LogScreen implements Screen {
    private final OnceMade<LogView> view;

    public LogScreen(Surroundings with) {
        view = new OnceMade<>(() -> new LogView(with));
    }

    @Override
    public String name() {
        return "log";
    }

    @Override
    public String key() {
        return "6";
    }

    @Override
    public Node view() {
        return view.get();
    }

    @Override
    public Optional<Node> aside() {
        return Optional.of(view.get().aside());
    }

    @Override
    public List<Act> acts() {
        return List.of(new Act("log.clock", "L", () -> view.get().turnClock()));
    }
}
