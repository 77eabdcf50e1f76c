package aficion.desktop.power;

import aficion.desktop.screen.OnceMade;
import aficion.desktop.screen.Screen;
import aficion.desktop.screen.Surroundings;
import java.util.Optional;
import javafx.scene.Node;

/** Source against loads. */
public final class PowerScreen implements Screen {
    private final OnceMade<PowerView> view;

    public PowerScreen(Surroundings with) {
        view = new OnceMade<>(() -> new PowerView(with));
    }

    @Override
    public String name() {
        return "power";
    }

    @Override
    public String key() {
        return "3";
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
