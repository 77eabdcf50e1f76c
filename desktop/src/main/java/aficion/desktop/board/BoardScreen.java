package aficion.desktop.board;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.screen.ViewScreen;
import java.util.List;

/** The harness as it lies in the vehicle. */
public final class BoardScreen extends ViewScreen<BoardView> {
    public BoardScreen(Surroundings with) {
        super("board", "2", () -> new BoardView(with.bench(), with.command()));
    }

    @Override
    public List<Act> acts() {
        return List.of(new Act("board.forming", "Shift+N", () -> view().turnForming()));
    }
}
