package aficion.desktop.log;

import aficion.catalogue.Zone;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.identify.KeySwitch;
import aficion.job.Probed;
import aficion.job.Probed.KeyVolts;
import aficion.job.edit.NewNames;
import aficion.job.edit.PartEdit;
import aficion.quantity.Amps;
import aficion.quantity.Volts;
import aficion.words.IdentifyWords;
import aficion.words.Words;
import java.util.List;
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
        var note = Texts.button(Words.of("identify.note"), "main-button", this::note);
        note.setId("key-note");
        form.getChildren().addAll(terminal, position, volts, note);
        keep = Texts.button(Words.of("identify.key.keep"), "outline-button", this::keep);
        keep.setId("key-keep");
        var forget =
                Texts.button(
                        Words.of("identify.forget"),
                        "plain-button",
                        () ->
                                note(read ->
                                        new Probed(
                                                List.of(),
                                                read.contacts(),
                                                read.leads(),
                                                read.pairs())));
        forget.setId("key-forget");
        acts.getChildren().addAll(keep, forget);
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

    private void keep() {
        KeySwitch.of(probed().key())
                .part(CONTROL, RATING)
                .ifPresent(kind ->
                        bench.perform(
                                new PartEdit.AddPart(
                                        NewNames.part(bench.design(), "S", Zone.CABIN, kind))));
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
                found.troubles().stream()
                        .map(IdentifyWords::trouble)
                        .map(text -> Texts.wrapped(text, "danger-text"))
                        .toList());
        keep.setDisable(found.part(CONTROL, RATING).isEmpty());
    }
}
