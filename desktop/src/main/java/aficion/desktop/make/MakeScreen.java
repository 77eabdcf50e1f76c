package aficion.desktop.make;

import aficion.desktop.screen.OnceMade;
import aficion.desktop.screen.Screen;
import aficion.desktop.screen.Surroundings;
import javafx.scene.Node;

/** What hands need while the harness is made. */
public final class MakeScreen implements Screen {
    private final OnceMade<MakeView> view;

    public MakeScreen(Surroundings with) {
        view = new OnceMade<>(() -> new MakeView(with.bench(), with.drawer(), with.command()));
    }

    @Override
    public String name() {
        return "make";
    }

    @Override
    public String key() {
        return "4";
    }

    @Override
    public Node view() {
        return view.get();
    }
}
