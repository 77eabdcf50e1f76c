package aficion.desktop.log;

import aficion.desktop.theme.Fields;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.identify.ContactTable;
import aficion.job.Action;
import aficion.job.Probed;
import aficion.job.Probed.Closed;
import aficion.quantity.Amps;
import aficion.words.IdentifyWords;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;

/** Any switch by continuity: the page says which two terminals to try next. */
final class SwitchPage extends ProbePage {
    /** What the contacts of a switch carry (typical). */
    private static final Amps RATING = new Amps(10);

    private static final String CONTROL = "switch";

    private final TextField terminals;
    private final TextField positions;
    private final Button keep;
    private Optional<ContactTable.Pair> next = Optional.empty();
    private final List<CheckBox> closed = new ArrayList<>();

    SwitchPage(Workbench bench) {
        super(bench, "switch", "terminal", "name", "why");
        widths(110, 200, 440);
        terminals = Fields.of("switch-terminals", Words.of("identify.terminals"), 14, this::show);
        positions = Fields.of("switch-positions", Words.of("identify.positions"), 18, this::show);
        var begin = Texts.button(Words.of("identify.begin"), "main-button", this::show);
        begin.setId("switch-begin");
        begins(terminals, positions, begin);
        keep =
                Texts.button(
                        Words.of("identify.switch.keep"),
                        "outline-button",
                        () -> keep(table().part(Action.LEVER, CONTROL, RATING)));
        keep.setId("switch-keep");
        does("switch", read -> new Probed(read.key(), List.of(), read.leads(), read.pairs()), keep);
    }

    @Override
    public void requestFocus() {
        terminals.requestFocus();
    }

    private static List<String> words(TextField field) {
        return Arrays.stream(field.getText().strip().split("[\\s,;]+"))
                .filter(word -> !word.isBlank())
                .distinct()
                .toList();
    }

    /** The table of what was named and of what has been read. */
    private ContactTable table() {
        var read = probed().contacts();
        var all =
                Stream.concat(
                                words(terminals).stream(),
                                read.stream().flatMap(each -> Stream.of(each.one(), each.other())))
                        .distinct()
                        .toList();
        var places =
                Stream.concat(words(positions).stream(), read.stream().map(Closed::position))
                        .distinct()
                        .toList();
        return ContactTable.of(all, places, read);
    }

    /** Keeps what the pair showed in every position. */
    private void tried() {
        next.ifPresent(pair ->
                note(read -> {
                    var more = read;
                    for (var box : closed) {
                        more =
                                more.with(
                                        new Closed(
                                                pair.one(),
                                                pair.other(),
                                                box.getText(),
                                                box.isSelected()));
                    }
                    return more;
                }));
    }

    @Override
    void show() {
        var table = table();
        next = table.next();
        rows(
                table.named().stream()
                        .map(each ->
                                List.of(
                                        each.terminal(),
                                        Words.of("contact", each.role()),
                                        IdentifyWords.why(each)))
                        .toList());
        var lines = new ArrayList<Node>();
        table.contradictions()
                .forEach(each ->
                        lines.add(Texts.wrapped(IdentifyWords.contradiction(each), "danger-text")));
        next.ifPresent(pair -> lines.add(asked(pair, table.positions())));
        tell(lines);
        keep.setDisable(table.part(Action.LEVER, CONTROL, RATING).isEmpty());
    }

    private Node asked(ContactTable.Pair pair, List<String> places) {
        closed.clear();
        var row = new HBox(12);
        row.setAlignment(Pos.CENTER_LEFT);
        var ask =
                Texts.label(
                        Words.of("identify.switch.next", pair.one(), pair.other()), "sheet-title");
        ask.setId("switch-next");
        row.getChildren().add(ask);
        for (var place : places) {
            var box = new CheckBox(place);
            box.setId("switch-at-" + place);
            closed.add(box);
            row.getChildren().add(box);
        }
        var note = Texts.button(Words.of("identify.note"), "main-button", this::tried);
        note.setId("switch-note");
        row.getChildren().add(note);
        return row;
    }
}
