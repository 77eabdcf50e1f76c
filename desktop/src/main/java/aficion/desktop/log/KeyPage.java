package aficion.desktop.log;

import aficion.desktop.theme.Fields;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.identify.KeySwitch;
import aficion.job.Probed;
import aficion.job.Probed.KeyVolts;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.words.IdentifyWords;
import aficion.words.Words;
import java.util.List;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;

/** A key switch: volts at each terminal, position by position. */
final class KeyPage extends ProbePage {
    /** What the contacts of a key switch carry (typical). */
    private static final Amps RATING = new Amps(20);

    private static final String CONTROL = "key";

    private final TextField terminal;
    private final TextField position;
    private final TextField volts;
    private final Button keep;

    KeyPage(Workbench bench) {
        super(bench, "key", "terminal", "name", "why");
        widths(110, 220, 420);
        terminal = Fields.of("key-terminal", Words.of("list.terminal"), 6, this::note);
        position = Fields.of("key-position", Words.of("identify.position"), 7, this::note);
        volts = Fields.of("key-volts", Words.of("identify.volts"), 6, this::note);
        asks("key", this::note, terminal, position, volts);
        keep =
                Texts.button(
                        Words.of("identify.key.keep"),
                        "outline-button",
                        () -> keep(KeySwitch.of(probed().key()).part(CONTROL, RATING)));
        keep.setId("key-keep");
        does(
                "key",
                read -> new Probed(List.of(), read.contacts(), read.leads(), read.pairs()),
                keep);
    }

    @Override
    public void requestFocus() {
        terminal.requestFocus();
    }

    private void note() {
        note(read ->
                read.with(
                        new KeyVolts(
                                terminal.getText().strip(),
                                position.getText().strip(),
                                new Volts(number(volts, Words.of("identify.volts"))))));
        volts.clear();
        position.requestFocus();
        position.selectAll();
    }

    @Override
    void show() {
        var found = KeySwitch.of(probed().key());
        rows(
                found.terminals().stream()
                        .map(each ->
                                List.of(
                                        each.terminal(),
                                        IdentifyWords.name(each.name()),
                                        IdentifyWords.why(found, each)))
                        .toList());
        tell(
                Stream.concat(
                                found.troubles().stream()
                                        .map(IdentifyWords::trouble)
                                        .map(text -> Texts.wrapped(text, "danger-text")),
                                IdentifyWords.alike(found).stream()
                                        .map(text -> Texts.wrapped(text, "brass-text")))
                        .toList());
        keep.setDisable(found.part(CONTROL, RATING).isEmpty());
    }
}
