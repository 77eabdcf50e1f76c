package aficion.desktop.shell;

import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.job.CircuitId;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Side;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextField;

/** One field that finds any wire, part, terminal or finding and puts it in focus. */
final class Search extends TextField {
    private static final int MOST = 12;

    private final Workbench bench;
    private final ContextMenu menu = new ContextMenu();

    /** Something found: its words, the circuit it is in, and what to choose. */
    private record Hit(String text, Optional<CircuitId> circuit, Selection selection) {}

    Search(Workbench bench) {
        this.bench = bench;
        setId("search");
        setPromptText(Words.of("top.search"));
        setAccessibleText(Words.of("top.search"));
        setPrefWidth(300);
        textProperty().addListener((_, _, text) -> offer(text));
        setOnAction(_ -> hits(getText()).stream().findFirst().ifPresent(this::go));
    }

    private void offer(String text) {
        menu.getItems().clear();
        if (text.isBlank() || !isFocused()) {
            menu.hide();
            return;
        }
        for (var hit : hits(text)) {
            var item = new MenuItem(hit.text());
            item.setOnAction(_ -> go(hit));
            menu.getItems().add(item);
        }
        if (menu.getItems().isEmpty()) {
            var none = new MenuItem(Words.of("top.search.none"));
            none.setDisable(true);
            menu.getItems().add(none);
        }
        if (!menu.isShowing() && getScene() != null) {
            menu.show(this, Side.BOTTOM, 0, 2);
        }
    }

    private void go(Hit hit) {
        hit.circuit().ifPresent(circuit -> bench.focus().set(Optional.of(circuit)));
        bench.selection().set(hit.selection());
        menu.hide();
        clear();
        getScene().getRoot().requestFocus();
    }

    private List<Hit> hits(String text) {
        var words = text.strip().toLowerCase(Locale.ROOT);
        return Stream.of(wires(), parts(), terminals(), findings())
                .flatMap(hits -> hits)
                .filter(hit -> hit.text().toLowerCase(Locale.ROOT).contains(words))
                .limit(MOST)
                .toList();
    }

    private Stream<Hit> wires() {
        return bench.job().wires().stream()
                .map(wire ->
                        new Hit(
                                Words.of("search.wire", bench.speech().label(wire)),
                                Optional.of(wire.circuit()),
                                new Selection.OfWire(wire.id())));
    }

    private Stream<Hit> parts() {
        return bench.job().parts().stream()
                .map(part ->
                        new Hit(
                                Words.of("search.part", part.id() + " " + part.name()),
                                circuit(part.id()),
                                new Selection.OfPart(part.id())));
    }

    private Stream<Hit> terminals() {
        return bench.job().parts().stream()
                .flatMap(part -> part.terminals().stream())
                .map(terminal ->
                        new Hit(
                                Words.of("search.terminal", terminal),
                                bench.job().wiresAt(terminal).stream()
                                        .findFirst()
                                        .map(Wire::circuit)
                                        .or(() -> circuit(terminal.part())),
                                new Selection.OfPart(terminal.part())));
    }

    private Stream<Hit> findings() {
        return bench.assessed().get().stream()
                .filter(assessed -> assessed.job() == bench.job())
                .flatMap(assessed ->
                        assessed.findings().stream()
                                .map(finding ->
                                        new Hit(
                                                bench.speech().title(finding)
                                                        + ", "
                                                        + bench.speech().where(finding.subject()),
                                                finding.subject().circuits(bench.job()).stream()
                                                        .findFirst(),
                                                Selection.of(finding.subject()))));
    }

    private Optional<CircuitId> circuit(PartId part) {
        return bench.job().wires().stream()
                .filter(wire ->
                        wire.terminals().stream().map(Terminal::part).anyMatch(part::equals))
                .findFirst()
                .map(Wire::circuit);
    }
}
