package aficion.desktop.power;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.screen.ViewScreen;
import java.util.Optional;
import javafx.scene.Node;

/** Source against loads. */
public final class PowerScreen extends ViewScreen<PowerView> {
    public PowerScreen(Surroundings with) {
        super("power", "3", () -> new PowerView(with));
    }

    @Override
    public Optional<Node> aside() {
        return Optional.of(view().aside());
    }
}
