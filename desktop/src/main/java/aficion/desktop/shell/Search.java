package aficion.desktop.shell;

import aficion.desktop.theme.Choices;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.job.CircuitId;
import aficion.job.PartId;
import aficion.job.Terminal;
import aficion.job.Wire;
import aficion.job.edit.WireEdit;
import aficion.verb.Connection;
import aficion.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.stage.Popup;

/** One field that finds any wire, part, terminal or finding and puts it in focus. */
final class Search extends TextField {
    private static final int MOST = 12;
    private static final double ROW = 30;
    private static final double EXTRA_WIDTH = 80;

    private final Workbench bench;
    private final Verbs verbs;
    private final Commands commands;
    private final Popup popup = new Popup();
    private final ListView<Hit> found = new ListView<>();

    private static final Pattern CONNECT =
            Pattern.compile("\\s*(\\S+\\.\\S+)\\s*>\\s*(\\S+\\.\\S+)\\s*");

    /** Something found: its words, the circuit it is in, what to choose, and what to do. */
    private record Hit(String text, Runnable go) {}

    private Hit place(String text, Optional<CircuitId> circuit, Selection selection) {
        return new Hit(
                text,
                () -> {
                    circuit.ifPresent(found -> bench.focus().set(Optional.of(found)));
                    bench.selection().set(selection);
                });
    }

    Search(Workbench bench, Verbs verbs, Commands commands) {
        this.bench = bench;
        this.verbs = verbs;
        this.commands = commands;
        setId("search");
        setPromptText(Words.of("top.search"));
        setAccessibleText(Words.of("top.search"));
        setPrefWidth(300);
        found.setId("search-found");
        found.getStyleClass().add("search-found");
        found.setFocusTraversable(false);
        found.setPlaceholder(new Label(Words.of("top.search.none")));
        found.setFixedCellSize(ROW);
        found.setCellFactory(_ -> Choices.cell(Hit::text));
        found.setOnMouseClicked(_ -> goToChosen());
        popup.setAutoHide(true);
        popup.getContent().add(found);
        textProperty().addListener((_, _, text) -> offer(text));
        focusedProperty()
                .addListener((_, _, focused) -> {
                    if (!focused) {
                        popup.hide();
                    }
                });
        setOnAction(_ -> goToChosen());
        addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
    }

    private void pressed(KeyEvent event) {
        var choice = found.getSelectionModel();
        switch (event.getCode()) {
            case DOWN -> choice.selectNext();
            case UP -> choice.selectPrevious();
            case ESCAPE -> clear();
            default -> {
                return;
            }
        }
        event.consume();
    }

    private void offer(String text) {
        found.getItems().setAll(text.isBlank() ? List.of() : hits(text));
        found.getSelectionModel().selectFirst();
        if (text.isBlank() || getScene() == null) {
            popup.hide();
            return;
        }
        found.setPrefSize(getWidth() + EXTRA_WIDTH, ROW * Math.max(1, found.getItems().size()) + 4);
        var corner = localToScreen(0, getHeight() + 3);
        popup.getScene().getStylesheets().setAll(getScene().getStylesheets());
        popup.show(this, corner.getX(), corner.getY());
    }

    private void goToChosen() {
        Optional.ofNullable(found.getSelectionModel().getSelectedItem()).ifPresent(this::go);
    }

    private void go(Hit hit) {
        clear();
        getScene().getRoot().requestFocus();
        hit.go().run();
    }

    private List<Hit> hits(String text) {
        var words = text.strip().toLowerCase(Locale.ROOT);
        return Stream.concat(
                        connection(text),
                        Stream.of(circuits(), commands(), wires(), parts(), terminals(), findings())
                                .flatMap(hits -> hits)
                                .filter(hit -> hit.text().toLowerCase(Locale.ROOT).contains(words)))
                .limit(MOST)
                .toList();
    }

    /** {@code H1.56b > S3.56b}: a wire between two terminals, in the circuit in focus. */
    private Stream<Hit> connection(String text) {
        var typed = CONNECT.matcher(text);
        if (!typed.matches() || bench.focus().get().isEmpty()) {
            return Stream.empty();
        }
        var circuit = bench.focus().get().get();
        return Connection.of(bench.design(), circuit, typed.group(1), typed.group(2)).stream()
                .map(wire ->
                        new Hit(
                                Words.of(
                                        "search.connect",
                                        wire.from().terminal(),
                                        wire.to().terminal()),
                                () -> {
                                    bench.perform(new WireEdit.AddWire(wire));
                                    bench.selection().set(new Selection.OfWire(wire.id()));
                                }));
    }

    /** What can be done now, by its name. */
    private Stream<Hit> commands() {
        return commands.all().stream()
                .filter(command -> command.ready().getAsBoolean())
                .map(command ->
                        new Hit(
                                Words.of("search.command", command.words(), command.shownKeys()),
                                command.action()));
    }

    private Stream<Hit> circuits() {
        return bench.design().circuits().stream()
                .map(circuit ->
                        place(
                                Words.of("search.circuit", circuit.number(), circuit.name()),
                                Optional.of(circuit.id()),
                                new Selection.Nothing()));
    }

    private Stream<Hit> wires() {
        return bench.design().wires().stream()
                .map(wire ->
                        place(
                                Words.of("search.wire", bench.speech().label(wire)),
                                Optional.of(wire.circuit()),
                                new Selection.OfWire(wire.id())));
    }

    private Stream<Hit> parts() {
        return bench.design().parts().stream()
                .map(part ->
                        place(
                                Words.of("search.part", part.id() + " " + part.name()),
                                circuit(part.id()),
                                new Selection.OfPart(part.id())));
    }

    private Stream<Hit> terminals() {
        return bench.design().parts().stream()
                .flatMap(part -> part.terminals().stream())
                .map(terminal ->
                        new Hit(Words.of("search.terminal", terminal), () -> pick(terminal)));
    }

    private Stream<Hit> findings() {
        return bench.assessed().get().stream()
                .filter(assessed -> assessed.design() == bench.design())
                .flatMap(assessed ->
                        assessed.findings().stream()
                                .map(finding ->
                                        place(
                                                bench.speech().title(finding)
                                                        + ", "
                                                        + bench.speech().where(finding.subject()),
                                                finding.subject().circuits(bench.design()).stream()
                                                        .findFirst(),
                                                Selection.of(finding.subject()))));
    }

    /** Goes to a terminal, or gives it to the verb that waits for one. */
    private void pick(Terminal terminal) {
        if (verbs.armed().get().isEmpty()) {
            bench.design().wiresAt(terminal).stream()
                    .findFirst()
                    .map(Wire::circuit)
                    .or(() -> circuit(terminal.part()))
                    .ifPresent(circuit -> bench.focus().set(Optional.of(circuit)));
        }
        verbs.pick(terminal);
    }

    private Optional<CircuitId> circuit(PartId part) {
        return bench.design().wires().stream()
                .filter(wire ->
                        wire.terminals().stream().map(Terminal::part).anyMatch(part::equals))
                .findFirst()
                .map(Wire::circuit);
    }
}
