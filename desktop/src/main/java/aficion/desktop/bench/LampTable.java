package aficion.desktop.bench;

import aficion.bench.WarningLamps;
import aficion.desktop.theme.Texts;
import aficion.words.Speech;
import aficion.words.Words;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** What every warning lamp shows: lamps down, states across. */
final class LampTable extends GridPane {
    private static final double COLUMN = 112;

    LampTable() {
        setId("bench-lamps");
        setHgap(14);
        setVgap(4);
    }

    /** Shows a table, or nothing. */
    void show(Speech speech, Optional<WarningLamps> lamps) {
        getChildren().clear();
        lamps.ifPresent(table -> show(speech, table));
    }

    private void show(Speech speech, WarningLamps table) {
        add(Texts.wrapped(Words.of("bench.lamps"), "quiet"), 0, 0);
        for (int i = 0; i < table.states().size(); i++) {
            add(column(speech.conditions(table.states().get(i))), i + 1, 0);
        }
        int row = 1;
        for (var lamp : table.rows().entrySet()) {
            var proof = Words.of("bench.lamp.proof", table.proof(lamp.getKey()));
            add(
                    new VBox(whole(speech.name(lamp.getKey()), "strong"), whole(proof, "quiet")),
                    0,
                    row);
            for (int i = 0; i < lamp.getValue().size(); i++) {
                add(Texts.label(Words.of("bench.lamp", lamp.getValue().get(i))), i + 1, row);
            }
            row++;
        }
    }

    private static Label column(String head) {
        var label = Texts.wrapped(head, "brass-text");
        label.setMinWidth(COLUMN);
        label.setMaxWidth(COLUMN);
        label.setMinHeight(USE_PREF_SIZE);
        return label;
    }

    private static Label whole(String text, String style) {
        var label = Texts.label(text, style);
        label.setMinWidth(USE_PREF_SIZE);
        return label;
    }
}
