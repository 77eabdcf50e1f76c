package aficion.desktop.log;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.screen.ViewScreen;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;

/** From the old loom to the signed sheet. */
public final class LogScreen extends ViewScreen<LogView> {
    public LogScreen(Surroundings with) {
        super("log", "6", () -> new LogView(with));
    }

    @Override
    public Optional<Node> aside() {
        return Optional.of(view().aside());
    }

    @Override
    public List<Act> acts() {
        return List.of(new Act("log.clock", "L", () -> view().turnClock()));
    }
}
