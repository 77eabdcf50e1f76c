package aficion.desktop.bench;

import aficion.desktop.screen.OnceMade;
import aficion.desktop.screen.Screen;
import aficion.desktop.screen.Surroundings;
import java.util.Optional;
import javafx.scene.Node;

/** The test run, and beside it what is wrong by what was read. */
public final class BenchScreen implements Screen {
    private final OnceMade<BenchView> view;

    public BenchScreen(Surroundings with) {
        view = new OnceMade<>(() -> new BenchView(with.bench(), with.command()));
    }

    @Override
    public String name() {
        return "bench";
    }

    @Override
    public String key() {
        return "5";
    }

    @Override
    public Node view() {
        return view.get();
    }

    @Override
    public Optional<Node> aside() {
        return Optional.of(view.get().aside());
    }
}
