package aficion.desktop.make;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.screen.ViewScreen;

/** What hands need while the harness is made. */
public final class MakeScreen extends ViewScreen<MakeView> {
    public MakeScreen(Surroundings with) {
        super("make", "4", () -> new MakeView(with.bench(), with.drawer(), with.command()));
    }
}
