package aficion.desktop.power;

import aficion.desktop.drawing.MarksPane;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.desktop.workbench.Workbench;
import aficion.job.Cap;
import aficion.job.edit.WorkEdit.Asked;
import aficion.plot.CapPicture;
import aficion.words.SparkWords;
import aficion.words.Words;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The plug leads of a distributor cap, and what half a turn out looks like. */
final class CapCard extends SumBox {
    private static final double CAP = 176;

    private final TextField order = field("cap-order", "spark.cap.order", 10, this::note);
    private final ComboBox<Boolean> clockwise =
            Choices.of(
                    List.of(true, false),
                    each -> Words.of(each ? "spark.cap.clockwise" : "spark.cap.anticlockwise"));
    private final TextField first = field("cap-first", "spark.cap.first", 4, this::note);
    private final MarksPane right = new MarksPane("cap-right");
    private final MarksPane half = new MarksPane("cap-half");
    private final Label towers = Texts.wrapped("", "strong");
    private final Trouble trouble = new Trouble();

    CapCard(Workbench bench) {
        super(bench, 6);
        clockwise.setId("cap-turns");
        towers.setId("cap-towers");
        for (var each : List.of(right, half)) {
            each.setMinSize(CAP, CAP);
            each.setPrefSize(CAP, CAP);
            each.setMaxSize(CAP, CAP);
        }
        card(
                this,
                "spark.cap",
                row(
                        order,
                        clockwise,
                        first,
                        button("cap-note", "spark.cap.note", "outline-button", this::note)),
                trouble,
                towers,
                new HBox(
                        24,
                        new VBox(4, Texts.label(Words.of("spark.cap.right"), "quiet"), right),
                        new VBox(4, Texts.label(Words.of("spark.cap.half"), "danger-text"), half)));
    }

    /** Shows the cap that is noted. */
    void show() {
        var cap = sums().cap();
        towers.setText(cap.map(new SparkWords(bench.units())::cap).orElse(""));
        for (var each : List.of(right, half)) {
            each.setVisible(cap.isPresent());
        }
        cap.ifPresent(this::show);
    }

    private void show(Cap cap) {
        put(
                order,
                () -> cap.order().stream().map(String::valueOf).collect(Collectors.joining("-")));
        put(first, () -> String.valueOf(cap.first()));
        clockwise.setValue(cap.clockwise());
        right.show((wide, high) -> CapPicture.of(cap, Math.min(wide, high), false));
        half.show((wide, high) -> CapPicture.of(cap, Math.min(wide, high), true));
    }

    private void note() {
        setDown(
                Asked.CAP,
                trouble,
                "spark.cap.refused",
                sums ->
                        sums.with(
                                new Cap(
                                        numbers(order, "[-,;\\s]+", "spark.cap.form").stream()
                                                .map(each -> (int) Math.round(each))
                                                .toList(),
                                        clockwise.getValue(),
                                        first.getText().isBlank() ? 1 : (int) number(first))));
    }
}
