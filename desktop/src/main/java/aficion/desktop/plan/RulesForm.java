package aficion.desktop.plan;

import aficion.catalogue.WireSize;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.job.HouseRules;
import aficion.job.Vehicle;
import aficion.job.WorkshopPractice;
import aficion.job.WorkshopPractice.Question;
import aficion.quantity.Ratio;
import aficion.words.Words;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The rules of a house to be answered, each answer with its reason beside it. */
final class RulesForm extends VBox {
    private static final double NAME = 160;
    private static final double ANSWER = 270;

    private final HouseRules before;
    private final Map<Question, ComboBox<WorkshopPractice>> schools = new EnumMap<>(Question.class);
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
     * @param before the rules as they are
     * @param changed hears that a question of practice was answered otherwise
     */
    RulesForm(HouseRules before, Runnable changed) {
        super(10);
        this.before = before;
        this.colours = new ColouringChoice(before.colours());
        getStyleClass().add("recipe-head");
        sizes.getSelectionModel().select(before.sizes());
        sizes.setId("rules-sizes");
        drop.getSelectionModel().select(drop(before));
        drop.setId("rules-drop");
        law.setText(before.law().orElse(""));
        law.setId("rules-law");
        law.setPrefRowCount(2);
        law.setWrapText(true);
        law.setPromptText(Words.of("rules.law.unknown"));
        getChildren()
                .addAll(
                        row(Words.of("rules.sizes"), sizes, says("rules.sizes.why")),
                        row(Words.of("rules.drop"), drop, says("rules.drop.why")),
                        row(Words.of("rules.colours"), colours, says("rules.colours.why")));
        questions(false, changed);
        getChildren().add(row(Words.of("rules.law"), law, says("newJob.law")));
        getChildren().addAll(Texts.rule(), Texts.wrapped(Words.of("rules.making"), "figure-name"));
        questions(true, changed);
    }

    private void questions(boolean forMaking, Runnable changed) {
        Stream.of(Question.values())
                .filter(question -> question.isForMaking() == forMaking)
                .map(question -> question(question, changed))
                .forEach(getChildren()::add);
    }

    private Node question(Question question, Runnable changed) {
        var box = Choices.of(question.schools(), school -> Words.of("school", school));
        box.getSelectionModel().select(before.school(question));
        box.setId("rules-" + question.key());
        schools.put(question, box);
        var why = Texts.wrapped("", "quiet");
        Runnable say = () -> why.setText(Words.of("school." + box.getValue() + ".why"));
        say.run();
        box.valueProperty()
                .addListener((_, _, _) -> {
                    say.run();
                    changed.run();
                });
        return row(Words.of("question", question), box, why);
    }

    private static Label says(String key) {
        return Texts.wrapped(Words.of(key), "quiet");
    }

    private static HBox row(String name, Region field, Label why) {
        var label = Texts.wrapped(name, "strong");
        label.setMinWidth(NAME);
        label.setPrefWidth(NAME);
        field.setAccessibleText(name);
        field.setMinWidth(ANSWER);
        field.setPrefWidth(ANSWER);
        HBox.setHgrow(why, Priority.ALWAYS);
        why.setMaxWidth(Double.MAX_VALUE);
        var row = new HBox(12, label, field, why);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static Drop drop(HouseRules rules) {
        double strict = rules.strictDrop().value();
        double ordinary = rules.ordinaryDrop().value();
        return strict != ordinary ? Drop.SHARES : strict == 0.05 ? Drop.FIVE : Drop.HALF;
    }

    /** The rules as they have been answered, for a vehicle. */
    HouseRules rules(Vehicle vehicle) {
        var rules = dropped(vehicle).withSizes(sizes.getValue());
        for (var box : schools.values()) {
            rules = rules.withSchool(box.getValue());
        }
        return rules.withColouring(colours.chosen()).withLaw(law.getText());
    }

    /** What the practice of the house asks of a vehicle that is not known yet. */
    HouseRules practice() {
        var rules = before;
        for (var box : schools.values()) {
            rules = rules.withSchool(box.getValue());
        }
        return rules;
    }

    private HouseRules dropped(Vehicle vehicle) {
        if (drop.getValue() == drop(before)) {
            return before;
        }
        double half = 0.5 / vehicle.system().value();
        return switch (drop.getValue()) {
            case SHARES ->
                    before.withDrops(
                            HouseRules.USUAL.strictDrop(), HouseRules.USUAL.ordinaryDrop());
            case FIVE -> before.withDrops(new Ratio(0.05), new Ratio(0.05));
            case HALF -> before.withDrops(new Ratio(half), new Ratio(half));
        };
    }
}
