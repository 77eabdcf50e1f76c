package aficion.desktop.log;

import aficion.catalogue.Colour;
import aficion.change.Proposal;
import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.ColourChoices;
import aficion.desktop.theme.Heads;
import aficion.desktop.theme.Tables;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.desktop.workbench.Workbench;
import aficion.files.OldLoom;
import aficion.files.sheet.WorkListings;
import aficion.job.Design;
import aficion.job.OldLead;
import aficion.job.OldLead.Verdict;
import aficion.job.Survey;
import aficion.job.WireColour;
import aficion.job.edit.WorkEdit;
import aficion.quantity.Metres;
import aficion.quantity.UserUnits;
import aficion.words.Words;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * The old loom lead by lead: how it is at its ends and along it, and what becomes of it. Enter
 * notes a lead; in the table K keeps, T trims, C condemns, Enter brings a lead back to be changed.
 */
final class SurveyView extends VBox {
    private final Workbench bench;
    private final TableView<OldLead> table = new TableView<>();
    private final TextField name = field("name", 8);
    private final TextField from = field("from", 11);
    private final TextField to = field("to", 11);
    private final TextField bare = field("bare", 7);
    private final TextField words = field("words", 20);
    private final ComboBox<Optional<Colour>> colour =
            ColourChoices.orNone(Words.of("survey.colour"));
    private final ComboBox<OldLead.Cover> cover =
            Choices.of(List.of(OldLead.Cover.values()), each -> Words.of("cover", each));
    private final CheckBox added = new CheckBox(Words.of("survey.added"));
    private final ConditionChips first = new ConditionChips("first");
    private final ConditionChips along = new ConditionChips("along");
    private final ConditionChips last = new ConditionChips("last");
    private final Trouble trouble = new Trouble();
    private final PhotoStrip photographs;
    private final VBox beside = new VBox(7);
    private final BoxForm boxes;

    SurveyView(Surroundings with) {
        super(9);
        this.bench = with.bench();
        this.photographs = new PhotoStrip(bench, with.papers());
        this.boxes = new BoxForm(with);
        setId("survey");
        colour.setId("survey-colour");
        cover.setId("survey-cover");
        added.setId("survey-added");
        beside.getStyleClass().add("inspector-body");
        table.setId("survey-table");
        columns();
        table.getSelectionModel().selectedItemProperty().addListener((_, _, _) -> aside(chosen()));
        table.setOnKeyPressed(this::key);
        VBox.setVgrow(table, Priority.ALWAYS);
        var note = Texts.button(Words.of("survey.note"), "main-button", this::note);
        note.setId("survey-note");
        var take = Texts.button(Words.of("survey.take"), "outline-button", this::take);
        take.setId("survey-take");
        var found = Texts.button(Words.of("survey.found"), "plain-button", this::found);
        found.setId("survey-found");
        var ends = new FlowPane(8, 8, name, from, to, colour, bare, cover, added);
        ends.setAlignment(Pos.CENTER_LEFT);
        var more = new FlowPane(8, 8, words, note, take, found);
        more.setAlignment(Pos.CENTER_LEFT);
        getChildren()
                .addAll(
                        Heads.of("survey", with.command(), Texts.spring()),
                        ends,
                        first,
                        along,
                        last,
                        more,
                        trouble,
                        table);
        photographs.serve(this);
        bench.history().addListener((_, _, _) -> refresh());
        sceneProperty().addListener((_, _, _) -> refresh());
        aside(Optional.empty());
    }

    private TextField field(String key, int wide) {
        var field = new TextField();
        field.setId("survey-" + key);
        field.setPromptText(Words.of("survey." + key));
        field.setAccessibleText(Words.of("survey." + key));
        field.setPrefColumnCount(wide);
        field.setOnAction(_ -> note());
        return field;
    }

    private void columns() {
        Tables.dress(table, Words.of("survey.none"));
        Tables.column(table, Words.of("list.lead"), OldLead::name);
        Tables.column(table, Words.of("list.from"), OldLead::from);
        Tables.column(table, Words.of("list.to"), OldLead::to);
        Tables.column(
                table,
                Words.of("list.colour"),
                lead -> lead.colour().map(bench.speech()::longColour).orElse(""));
        Tables.column(table, Words.of("list.size"), this::size);
        Tables.column(table, Words.of("list.state"), WorkListings::states);
        Tables.column(
                table,
                Words.of("list.verdict"),
                lead ->
                        lead.verdict()
                                .map(each -> Words.of("verdict.short", each))
                                .orElseGet(() ->
                                        Proposal.of(lead)
                                                .verdict()
                                                .map(each ->
                                                        Words.of(
                                                                "survey.proposed",
                                                                Words.of("verdict.short", each)))
                                                .orElse(Words.of("survey.look"))));
        Tables.widths(table, 80, 100, 100, 80, 64, 240, 110);
    }

    private String size(OldLead lead) {
        var standard = bench.design().rules().sizes();
        return lead.bare()
                .map(thick -> bench.speech().size(Proposal.size(thick, standard)))
                .orElse("");
    }

    Node aside() {
        return beside;
    }

    @Override
    public void requestFocus() {
        name.requestFocus();
    }

    private Optional<OldLead> chosen() {
        return Optional.ofNullable(table.getSelectionModel().getSelectedItem());
    }

    private void key(KeyEvent event) {
        switch (event.getCode()) {
            case KeyCode.K -> judge(Verdict.KEEP, event);
            case KeyCode.T -> judge(Verdict.TRIM, event);
            case KeyCode.C -> judge(Verdict.CONDEMN, event);
            case KeyCode.DELETE -> {
                chosen().ifPresent(lead -> survey(survey -> survey.without(lead)));
                event.consume();
            }
            case KeyCode.ENTER -> {
                chosen().ifPresent(this::bringBack);
                event.consume();
            }
            default -> {}
        }
    }

    private void judge(Verdict verdict, KeyEvent event) {
        if (!event.isShortcutDown()) {
            chosen().ifPresent(lead -> judge(lead, verdict));
            event.consume();
        }
    }

    /** A verdict, or none where it was that already; goes on to the next lead. */
    private void judge(OldLead lead, Verdict verdict) {
        boolean same = lead.verdict().filter(each -> each == verdict).isPresent();
        survey(survey -> survey.with(lead.with(same ? Optional.empty() : Optional.of(verdict))));
        table.getSelectionModel().selectNext();
    }

    private void survey(UnaryOperator<Survey> change) {
        bench.perform(new WorkEdit.NoteSurvey(WorkEdit.About.LEAD, change));
    }

    private void bringBack(OldLead lead) {
        name.setText(lead.name());
        from.setText(lead.from());
        to.setText(lead.to());
        bare.setText(lead.bare().map(d -> UserUnits.plain(1000 * d.value())).orElse(""));
        words.setText(lead.words());
        colour.setValue(lead.colour().map(WireColour::base));
        cover.setValue(lead.cover());
        added.setSelected(lead.added());
        first.choose(lead.states().first());
        along.choose(lead.states().along());
        last.choose(lead.states().last());
        name.requestFocus();
    }

    private void note() {
        try {
            var called = name.getText().strip();
            var before =
                    bench.job().work().survey().leads().stream()
                            .filter(each -> each.name().equals(called))
                            .findFirst();
            var lead =
                    new OldLead(
                            called,
                            from.getText().strip(),
                            to.getText().strip(),
                            colour.getValue().map(WireColour::plain),
                            thickness(),
                            cover.getValue(),
                            new OldLead.States(first.chosen(), along.chosen(), last.chosen()),
                            added.isSelected(),
                            before.flatMap(OldLead::verdict),
                            before.map(OldLead::photographs).orElse(List.of()),
                            words.getText().strip());
            trouble.say("");
            survey(survey -> survey.with(lead));
            clear();
            table.getItems().stream()
                    .filter(each -> each.name().equals(called))
                    .findFirst()
                    .ifPresent(each -> table.getSelectionModel().select(each));
            name.requestFocus();
        } catch (IllegalArgumentException e) {
            trouble.say(Words.of("survey.refused", e.getMessage()));
        }
    }

    private Optional<Metres> thickness() {
        var text = bare.getText().strip();
        if (text.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(
                UserUnits.parseNumber(text).stream()
                        .mapToObj(mm -> new Metres(mm / 1000))
                        .findFirst()
                        .orElseThrow(() ->
                                new IllegalArgumentException(Words.of("survey.bare.refused"))));
    }

    private void clear() {
        for (var field : List.of(name, from, to, bare, words)) {
            field.clear();
        }
        for (var chips : List.of(first, along, last)) {
            chips.choose(Set.of());
        }
        added.setSelected(false);
    }

    /** What is not condemned becomes parts and wires of the job, as one step. */
    private void take() {
        var leads =
                bench.job().work().survey().leads().stream()
                        .filter(lead -> lead.verdict().filter(Verdict.CONDEMN::equals).isEmpty())
                        .toList();
        if (leads.isEmpty()) {
            trouble.say(Words.of("survey.take.none"));
            return;
        }
        var plan = OldLoom.plan(leads, bench.design(), bench.units(), Words.of("survey.circuit"));
        bench.perform(plan.edit());
        trouble.say(Words.of("survey.taken", plan.wires()));
    }

    /** Every lead is kept as a job of its own, that this one is compared with. */
    private void found() {
        var survey = bench.job().work().survey();
        if (survey.leads().isEmpty()) {
            trouble.say(Words.of("survey.take.none"));
            return;
        }
        Design was =
                OldLoom.found(
                        survey.leads(), bench.design(), bench.units(), Words.of("survey.circuit"));
        bench.perform(
                new WorkEdit.NoteSurvey(WorkEdit.About.FOUND, each -> each.with(Optional.of(was))));
        trouble.say(Words.of("survey.kept", was.wires().size()));
    }

    private void refresh() {
        if (getScene() == null) {
            return;
        }
        var before = chosen().map(OldLead::name);
        int at = table.getSelectionModel().getSelectedIndex();
        var leads = bench.job().work().survey().leads();
        table.getItems().setAll(leads);
        before.ifPresent(each -> {
            for (int i = 0; i < leads.size(); i++) {
                if (leads.get(i).name().equals(each)) {
                    table.getSelectionModel().select(i);
                    return;
                }
            }
            table.getSelectionModel().select(Math.clamp(at, 0, Math.max(0, leads.size() - 1)));
        });
        aside(chosen());
        boxes.refresh();
    }

    /** The chosen lead: what a rule would do and why, the verdicts, its photographs. */
    private void aside(Optional<OldLead> lead) {
        beside.getChildren().clear();
        if (lead.isPresent()) {
            var of = lead.get();
            var proposal = Proposal.of(of);
            beside.getChildren()
                    .addAll(
                            Texts.wrapped(of.name(), "inspector-title"),
                            Texts.wrapped(Words.of("wire.between", of.from(), of.to()), "quiet"),
                            Texts.rule(),
                            Texts.caption(Words.of("survey.rule")),
                            Texts.wrapped(
                                    Words.of("proposal", proposal.reason()),
                                    proposal.verdict().filter(Verdict.KEEP::equals).isPresent()
                                            ? "good-text"
                                            : "danger-text"));
            for (var verdict : Verdict.values()) {
                boolean now = of.verdict().filter(each -> each == verdict).isPresent();
                var press =
                        Texts.button(
                                Words.of("survey.verdict." + verdict.name()),
                                now ? "main-button" : "outline-button",
                                () -> judge(of, verdict));
                press.setId("survey-verdict-" + verdict.name().toLowerCase(Locale.ROOT));
                press.setMaxWidth(Double.MAX_VALUE);
                beside.getChildren().add(press);
            }
            if (!of.words().isBlank()) {
                beside.getChildren().add(Texts.wrapped(of.words()));
            }
            beside.getChildren().addAll(Texts.rule(), Texts.caption(Words.of("photograph.head")));
            photographs.show(
                    of.photographs(),
                    photograph -> survey(survey -> survey.with(of.and(photograph.file()))));
            beside.getChildren().add(photographs);
        } else {
            beside.getChildren().add(Texts.wrapped(Words.of("survey.choose"), "quiet"));
        }
        beside.getChildren().addAll(Texts.rule(), boxes);
    }
}
