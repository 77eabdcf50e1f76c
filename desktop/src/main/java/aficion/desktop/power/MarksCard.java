package aficion.desktop.power;

import aficion.desktop.screen.Papers;
import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Trouble;
import aficion.files.sheet.ShapeFiles;
import aficion.job.Damper;
import aficion.job.edit.WorkEdit.Asked;
import aficion.quantity.UserUnits;
import aficion.words.SparkWords;
import aficion.words.Words;
import java.util.List;
import java.util.stream.Collectors;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** Timing marks round a damper, and the tape that carries them. */
final class MarksCard extends SumBox {
    private final Papers papers;
    private final TextField diameter =
            field("marks-diameter", "spark.marks.diameter", 7, this::note);
    private final TextField degrees = field("marks-degrees", "spark.marks.degrees", 9, this::note);
    private final ComboBox<Boolean> clockwise =
            Choices.of(
                    List.of(true, false),
                    each -> Words.of(each ? "spark.marks.clockwise" : "spark.marks.anticlockwise"));
    private final VBox marks = new VBox(2);
    private final Trouble trouble = new Trouble();

    MarksCard(Surroundings with) {
        super(with.bench(), 6);
        papers = with.papers();
        clockwise.setId("marks-turns");
        marks.setId("marks-said");
        card(
                this,
                "spark.marks",
                row(
                        diameter,
                        degrees,
                        clockwise,
                        button("marks-note", "spark.marks.note", "outline-button", this::note),
                        button("marks-tape", "spark.tape", "plain-button", this::tape)),
                trouble,
                marks);
    }

    /** Shows the marks that are noted. */
    void show() {
        var damper = sums().damper();
        damper.ifPresent(this::show);
        marks.getChildren()
                .setAll(lines(damper.map(new SparkWords(bench.units())::marks).orElse(List.of())));
    }

    private void show(Damper damper) {
        put(diameter, () -> millimetres(damper.diameter()));
        put(
                degrees,
                () ->
                        damper.degrees().stream()
                                .map(UserUnits::plain)
                                .collect(Collectors.joining(", ")));
        clockwise.setValue(damper.clockwise());
    }

    private void note() {
        setDown(
                Asked.MARKS,
                trouble,
                "spark.marks.refused",
                sums ->
                        sums.with(
                                new Damper(
                                        millimetres(diameter),
                                        numbers(degrees, "[,;\\s]+", "spark.marks.form"),
                                        clockwise.getValue())));
    }

    private void tape() {
        var units = bench.units();
        sums().damper()
                .ifPresent(damper ->
                        showTiles(
                                papers,
                                "tape.pdf",
                                design -> ShapeFiles.tape(design, damper, units)));
    }
}
