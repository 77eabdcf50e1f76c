package aficion.desktop.board;

import aficion.desktop.screen.OnceMade;
import aficion.desktop.screen.Screen;
import aficion.desktop.screen.Surroundings;
import java.util.List;
import javafx.scene.Node;

/** The harness as it lies in the vehicle. */
public final class BoardScreen implements Screen {
    private final OnceMade<BoardView> view;

    public BoardScreen(Surroundings with) {
        view = new OnceMade<>(() -> new BoardView(with.bench(), with.command()));
    }

    @Override
    public String name() {
        return "board";
    }

    @Override
    public String key() {
        return "2";
    }

    @Override
    public Node view() {
        return view.get();
    }

    @Override
    public List<Act> acts() {
        return List.of(new Act("board.forming", "Shift+N", () -> view.get().turnForming()));
    }
}
