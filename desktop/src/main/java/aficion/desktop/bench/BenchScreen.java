package aficion.desktop.bench;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.screen.ViewScreen;
import java.util.Optional;
import javafx.scene.Node;

/** The test run, and beside it what is wrong by what was read. */
public final class BenchScreen extends ViewScreen<BenchView> {
    public BenchScreen(Surroundings with) {
        super("bench", "5", () -> new BenchView(with.bench(), with.command()));
    }

    @Override
    public Optional<Node> aside() {
        return Optional.of(view().aside());
    }
}
