package aficion.desktop.log;

import aficion.catalogue.Housings;
import aficion.catalogue.Housings.Housing;
import aficion.catalogue.WireSize;
import aficion.change.PlugFit;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Fields;
import aficion.desktop.theme.Tables;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.desktop.workbench.Workbench;
import aficion.job.JoinKind;
import aficion.job.Kit;
import aficion.job.Kit.KitLead;
import aficion.job.Kit.Setting;
import aficion.job.Survey;
import aficion.job.UnusedLead;
import aficion.job.edit.WorkEdit;
import aficion.quantity.Amps;
import aficion.words.IdentifyWords;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** A bought kit: every lead goes to a terminal or is unused; its settings are recorded. */
final class KitPage extends VBox {
    private final Workbench bench;
    private final TextField kit;
    private final TextField lead;
    private final TextField what;
    private final TextField size;
    private final TextField fuse;
    private final TextField goes;
    private final TextField setting;
    private final TextField value;
    private final ComboBox<UnusedLead.Done> how =
            Choices.of(List.of(UnusedLead.Done.values()), each -> Words.of("unused", each));
    private final TableView<KitLead> table = new TableView<>();
    private final ComboBox<Housing> body =
            Choices.of(Housings.all(), each -> Words.of("kit.body", each.key(), each.ways()));
    private final ComboBox<Boolean> gender =
            Choices.of(
                    List.of(false, true),
                    sockets -> Words.of(sockets ? "kit.sockets" : "kit.pins"));
    private final TextField into;
    private final VBox misfits = new VBox(3);
    private final Label settings = Texts.wrapped("", "quiet");
    private final Trouble trouble = new Trouble();

    KitPage(Workbench bench) {
        super(10);
        this.bench = bench;
        setId("kit");
        kit = Fields.of("kit-name", Words.of("kit.name"), 14, this::refresh);
        lead = Fields.of("kit-lead", Words.of("list.lead"), 8, this::note);
        what = Fields.of("kit-what", Words.of("list.item"), 16, this::note);
        size = Fields.of("kit-size", Words.of("list.size"), 6, this::note);
        fuse = Fields.of("kit-fuse", Words.of("kit.fuse"), 5, this::note);
        goes = Fields.of("kit-goes", Words.of("kit.goes"), 8, this::send);
        setting = Fields.of("kit-setting", Words.of("kit.setting"), 15, this::set);
        value = Fields.of("kit-value", Words.of("kit.value"), 10, this::set);
        into = Fields.of("kit-into", Words.of("kit.into"), 7, this::plugIn);
        var plugIn = Texts.button(Words.of("kit.plugIn"), "plain-button", this::plugIn);
        plugIn.setId("kit-plug");
        body.setId("kit-body");
        gender.setId("kit-gender");
        misfits.setId("kit-misfits");
        how.setId("kit-how");
        table.setId("kit-table");
        Tables.dress(table, Words.of("kit.none"));
        Tables.column(table, Words.of("list.lead"), KitLead::name);
        Tables.column(table, Words.of("list.item"), KitLead::what);
        Tables.column(
                table,
                Words.of("list.size"),
                each -> each.size().map(bench.speech()::size).orElse(""));
        Tables.column(
                table,
                Words.of("kit.fuse"),
                each -> each.fuse().map(bench.units()::print).orElse(""));
        Tables.column(table, Words.of("kit.goes"), this::where);
        Tables.widths(table, 110, 260, 80, 80, 180);
        VBox.setVgrow(table, Priority.ALWAYS);
        var note = Texts.button(Words.of("kit.note"), "main-button", this::note);
        note.setId("kit-note");
        var send = Texts.button(Words.of("kit.send"), "outline-button", this::send);
        send.setId("kit-send");
        var leave = Texts.button(Words.of("kit.leave"), "outline-button", this::leave);
        leave.setId("kit-leave");
        var set = Texts.button(Words.of("kit.set"), "plain-button", this::set);
        set.setId("kit-set");
        getChildren()
                .addAll(
                        row(kit, lead, what, size, fuse, note),
                        row(goes, send, how, leave),
                        row(setting, value, set),
                        row(body, gender, into, plugIn),
                        trouble,
                        misfits,
                        settings,
                        table);
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
    }

    private static FlowPane row(Node... nodes) {
        var row = new FlowPane(8, 8, nodes);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    @Override
    public void requestFocus() {
        kit.requestFocus();
    }

    private String where(KitLead each) {
        return each.goes()
                .map(Object::toString)
                .or(() -> each.done().map(done -> Words.of("unused", done)))
                .orElse(Words.of("kit.open"));
    }

    /** The kit of the name that is written; the first, where nothing is. */
    private Optional<Kit> now() {
        var kits = bench.job().work().survey().kits();
        var name = kit.getText().strip();
        return name.isEmpty()
                ? kits.stream().findFirst()
                : kits.stream().filter(each -> each.name().equals(name)).findFirst();
    }

    private void change(UnaryOperator<Kit> change) {
        try {
            var before =
                    now().orElseGet(() ->
                            new Kit(kit.getText().strip(), List.of(), List.of(), Optional.empty()));
            var after = change.apply(before);
            trouble.say("");
            UnaryOperator<Survey> edit = survey -> survey.with(after);
            bench.perform(new WorkEdit.NoteSurvey(WorkEdit.About.KIT, edit));
        } catch (IllegalArgumentException e) {
            trouble.say(Words.of("kit.refused", e.getMessage()));
        }
    }

    private void note() {
        change(before ->
                before.with(
                        new KitLead(
                                lead.getText().strip(),
                                Optional.empty(),
                                what.getText().strip(),
                                size(),
                                fuse(),
                                Optional.empty(),
                                Optional.empty())));
        lead.clear();
        what.clear();
        lead.requestFocus();
    }

    private Optional<WireSize> size() {
        var text = size.getText().strip();
        if (text.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                WireSize.parseLoosely(text)
                        .orElseThrow(() ->
                                new IllegalArgumentException(Words.of("kit.size.refused", text))));
    }

    private Optional<Amps> fuse() {
        var text = fuse.getText().strip();
        return text.isEmpty()
                ? Optional.empty()
                : Optional.of(new Amps(ProbePage.number(fuse, Words.of("kit.fuse"))));
    }

    private Optional<KitLead> chosen() {
        return Optional.ofNullable(table.getSelectionModel().getSelectedItem());
    }

    private void send() {
        var at = bench.design().terminal(goes.getText().strip());
        if (at.isEmpty()) {
            trouble.say(Words.of("cli.reading.where", goes.getText()));
            return;
        }
        chosen().ifPresent(each -> change(before -> before.with(each.to(at.get()))));
        table.getSelectionModel().selectNext();
    }

    private void leave() {
        chosen().ifPresent(each -> change(before -> before.with(each.unused(how.getValue()))));
        table.getSelectionModel().selectNext();
    }

    private void set() {
        change(before ->
                before.with(new Setting(setting.getText().strip(), value.getText().strip())));
        setting.clear();
        value.clear();
    }

    /** Notes what the kit is plugged in with, and into which of our connectors. */
    private void plugIn() {
        var name = into.getText().strip();
        var ours =
                bench.design()
                        .named(name)
                        .filter(part -> part.kind() instanceof JoinKind.Connector);
        if (ours.isEmpty()) {
            trouble.say(Words.of("kit.into.refused", name));
            return;
        }
        change(before ->
                before.with(
                        new Kit.Plug(body.getValue().key(), gender.getValue(), ours.get().id())));
    }

    private void refresh() {
        if (getScene() == null) {
            return;
        }
        var shown = now();
        int at = table.getSelectionModel().getSelectedIndex();
        table.getItems().setAll(shown.map(Kit::leads).orElse(List.of()));
        table.getSelectionModel()
                .select(Math.clamp(at, 0, Math.max(0, table.getItems().size() - 1)));
        misfits.getChildren()
                .setAll(
                        shown.stream()
                                .flatMap(each -> PlugFit.of(bench.design(), each).stream())
                                .map(IdentifyWords::misfit)
                                .map(text -> Texts.wrapped(text, "danger-text"))
                                .toList());
        settings.setText(
                String.join(
                        " \u00b7 ",
                        shown.map(Kit::settings).orElse(List.of()).stream()
                                .map(each -> each.name() + ": " + each.value())
                                .toList()));
    }
}
