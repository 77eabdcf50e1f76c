package aficion.desktop.plan;

import aficion.catalogue.WireSize;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.HouseRules;
import aficion.job.School;
import aficion.job.edit.Edit;
import aficion.quantity.Ratio;
import aficion.words.Words;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The rules of the house: one answer to each question good people differ about, with why. */
public final class RulesView extends BorderPane {
    private static final double WIDE = 720;

    private final Workbench bench;
    private final Runnable close;
    private final Map<School.Question, ComboBox<School>> schools =
            new EnumMap<>(School.Question.class);
    private final ComboBox<WireSize.Standard> sizes =
            Choices.of(List.of(WireSize.Standard.values()), size -> Words.of("newJob.sizes", size));
    private final ComboBox<Drop> drop =
            Choices.of(List.of(Drop.values()), each -> Words.of("rules.drop", each));
    private final ColouringChoice colours;
    private final TextArea law = new TextArea();

    /** How much voltage may be lost. */
    private enum Drop {
        SHARES,
        FIVE,
        HALF
    }

    /**
     * @param close puts this view away
     */
    public RulesView(Workbench bench, Runnable close) {
        this.bench = bench;
        this.close = close;
        var rules = bench.job().rules();
        this.colours = new ColouringChoice(rules.colours());
        setId("rules");
        getStyleClass().add("recipes");
        sizes.getSelectionModel().select(rules.sizes());
        sizes.setId("rules-sizes");
        drop.getSelectionModel().select(drop(rules));
        drop.setId("rules-drop");
        law.setText(rules.law().orElse(""));
        law.setId("rules-law");
        law.setPrefRowCount(3);
        law.setWrapText(true);
        law.setPromptText(Words.of("rules.law.unknown"));
        law.setAccessibleText(Words.of("rules.law"));
        var list = new VBox(12);
        list.getStyleClass().add("recipe-head");
        list.setMaxWidth(WIDE);
        list.getChildren()
                .addAll(
                        row(Words.of("rules.sizes"), sizes),
                        row(Words.of("rules.drop"), drop),
                        row(Words.of("rules.colours"), colours),
                        Texts.rule());
        for (var question : School.Question.values()) {
            list.getChildren().add(question(question, rules.school(question)));
        }
        list.getChildren().addAll(Texts.rule(), row(Words.of("rules.law"), law));
        var scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("bench-scroll");
        setTop(
                new VBox(
                        4,
                        Texts.label(Words.of("rules.title"), "sheet-title"),
                        Texts.wrapped(Words.of("rules.say"), "quiet")));
        getTop().getStyleClass().add("recipe-head");
        setCenter(scroll);
        var back = Texts.button(Words.of("recipes.close"), "plain-button", close);
        var keep = Texts.button(Words.of("rules.keep"), "main-button", this::keep);
        keep.setId("rules-apply");
        var bottom = new HBox(12, Texts.spring(), back, keep);
        bottom.getStyleClass().add("recipe-bottom");
        setBottom(bottom);
    }

    private static Drop drop(HouseRules rules) {
        double strict = rules.strictDrop().value();
        double ordinary = rules.ordinaryDrop().value();
        return strict != ordinary ? Drop.SHARES : strict == 0.05 ? Drop.FIVE : Drop.HALF;
    }

    private Node question(School.Question question, School now) {
        var box = Choices.of(question.schools(), school -> Words.of("school", school));
        box.getSelectionModel().select(now);
        box.setId("rules-" + question.name().toLowerCase(java.util.Locale.ROOT));
        schools.put(question, box);
        var why = Texts.wrapped("", "quiet");
        Runnable say = () -> why.setText(Words.of("school." + box.getValue() + ".why"));
        box.valueProperty().addListener((_, _, _) -> say.run());
        say.run();
        return new VBox(2, row(Words.of("question", question), box), why);
    }

    private static HBox row(String name, Node field) {
        var label = Texts.label(name, "strong");
        label.setMinWidth(200);
        field.setAccessibleText(name);
        var row = new HBox(12, label, field);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private void keep() {
        var rules = dropped(bench.job().rules()).withSizes(sizes.getValue());
        for (var box : schools.values()) {
            rules = rules.withSchool(box.getValue());
        }
        rules = rules.withColouring(colours.chosen()).withLaw(law.getText());
        if (!rules.equals(bench.job().rules())) {
            bench.perform(new Edit.SetRules(rules));
        }
        close.run();
    }

    private HouseRules dropped(HouseRules rules) {
        if (drop.getValue() == drop(rules)) {
            return rules;
        }
        double half = 0.5 / bench.job().vehicle().system().value();
        return switch (drop.getValue()) {
            case SHARES ->
                    rules.withDrops(HouseRules.USUAL.strictDrop(), HouseRules.USUAL.ordinaryDrop());
            case FIVE -> rules.withDrops(new Ratio(0.05), new Ratio(0.05));
            case HALF -> rules.withDrops(new Ratio(half), new Ratio(half));
        };
    }
}
