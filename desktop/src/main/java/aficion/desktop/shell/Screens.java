package aficion.desktop.shell;

import aficion.desktop.bench.BenchScreen;
import aficion.desktop.board.BoardScreen;
import aficion.desktop.log.LogScreen;
import aficion.desktop.make.MakeScreen;
import aficion.desktop.power.PowerScreen;
import aficion.desktop.screen.Screen;
import aficion.desktop.screen.Surroundings;
import aficion.desktop.trace.TraceScreen;
import java.util.List;

/** Every screen of the window, in the order of its tabs: a new one is a package and a line here. */
final class Screens {
    private Screens() {}

    static List<Screen> with(Surroundings surroundings) {
        return List.of(
                new TraceScreen(surroundings),
                new BoardScreen(surroundings),
                new PowerScreen(surroundings),
                new MakeScreen(surroundings),
                new BenchScreen(surroundings),
                new LogScreen(surroundings));
    }
}
