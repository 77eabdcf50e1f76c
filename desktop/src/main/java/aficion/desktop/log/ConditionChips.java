package aficion.desktop.log;

import aficion.desktop.theme.Texts;
import aficion.job.OldLead.Condition;
import aficion.words.Words;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import javafx.geometry.Pos;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;

/** What is seen at one place of a lead: a press each. Sound, and anything else, part company. */
final class ConditionChips extends FlowPane {
    private final Map<Condition, ToggleButton> chips = new EnumMap<>(Condition.class);

    /**
     * @param place the key of its words: first, along, last
     */
    ConditionChips(String place) {
        super(5, 5);
        setId("survey-" + place);
        setAlignment(Pos.CENTER_LEFT);
        var name = Texts.label(Words.of("survey.at." + place), "figure-name");
        name.setMinWidth(72);
        getChildren().add(name);
        for (var condition : Condition.values()) {
            var chip = new ToggleButton(Words.of("condition", condition));
            chip.setId("survey-" + place + "-" + condition.name().toLowerCase(Locale.ROOT));
            chip.getStyleClass().add("log-chip");
            chip.setOnAction(_ -> part(condition));
            chips.put(condition, chip);
            getChildren().add(chip);
        }
    }

    private void part(Condition pressed) {
        if (chips.get(pressed).isSelected()) {
            chips.forEach((condition, chip) -> {
                boolean both = condition == Condition.SOUND || pressed == Condition.SOUND;
                if (condition != pressed && both) {
                    chip.setSelected(false);
                }
            });
        }
    }

    Set<Condition> chosen() {
        var chosen = EnumSet.noneOf(Condition.class);
        chips.forEach((condition, chip) -> {
            if (chip.isSelected()) {
                chosen.add(condition);
            }
        });
        return chosen;
    }

    void choose(Set<Condition> conditions) {
        chips.forEach((condition, chip) -> chip.setSelected(conditions.contains(condition)));
    }
}
