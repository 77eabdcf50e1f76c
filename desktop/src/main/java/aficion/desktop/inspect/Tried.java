package aficion.desktop.inspect;

import aficion.bench.PartTest;
import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.BenchRun.Reading;
import aficion.job.BenchRun.Verdict;
import aficion.job.Part;
import aficion.job.edit.PartEdit;
import aficion.job.edit.WorkEdit;
import aficion.quantity.UserUnits;
import aficion.words.Words;
import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** One thing that is tried of a part before it is fitted, and what it showed. */
final class Tried extends VBox {
    private final Workbench bench;
    private final Part part;
    private final PartTest test;
    private final Label problem = Texts.wrapped("", "danger-text");

    Tried(Workbench bench, Part part, PartTest test) {
        super(4);
        this.bench = bench;
        this.part = part;
        this.test = test;
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        getChildren().addAll(Texts.wrapped(bench.speech().tried(part, test)), asked(), problem);
        known().ifPresent(this::told);
    }

    private Optional<Reading> known() {
        return bench.job().work().tried(part.id(), test.key());
    }

    private HBox asked() {
        var line = new HBox(8);
        line.setStyle("-fx-alignment: center-left;");
        if (test.expected().isPresent()) {
            var field =
                    new TextField(known().flatMap(Reading::value).map(UserUnits::plain).orElse(""));
            field.setId("tried-" + test.key());
            field.setPromptText(test.expected().get().unit().symbol());
            field.setPrefColumnCount(6);
            field.setOnAction(_ -> measured(field.getText()));
            line.getChildren()
                    .addAll(
                            field,
                            Texts.wrapped(bench.speech().expected(test.expected()), "quiet"));
        } else {
            line.getChildren()
                    .addAll(said("tried.yes", Verdict.PASS), said("tried.no", Verdict.FAIL));
        }
        return line;
    }

    private Button said(String words, Verdict verdict) {
        var button =
                Texts.button(Words.of(words), "key-button", () -> keep(Optional.empty(), verdict));
        button.setId("tried-" + test.key() + "-" + verdict.name().toLowerCase(Locale.ROOT));
        return button;
    }

    private void measured(String text) {
        var should = test.expected().orElseThrow();
        var value = UserUnits.parseReading(text, should.unit());
        if (value.isEmpty()) {
            problem.setText(Words.of("bench.unreadable", text, should.unit().symbol()));
        } else {
            keep(value, should.judge(value.get()));
        }
    }

    private void keep(Optional<Double> value, Verdict verdict) {
        bench.perform(
                new WorkEdit.Try(
                        part.id(),
                        new Reading(test.key(), value, verdict, bench.clock().instant())));
    }

    /** How it compares, and the edit that has the job say what the part really is. */
    private void told(Reading reading) {
        var verdict = reading.verdict();
        var says = Texts.label(Words.of("bench.verdict", verdict), "verdict");
        says.getStyleClass().add(verdict.name().toLowerCase(Locale.ROOT));
        var line = new HBox(10, says);
        line.setStyle("-fx-alignment: center-left;");
        if (verdict != Verdict.PASS) {
            edit(reading)
                    .filter(edit -> !edit.apply(bench.design()).part(part.id()).equals(part))
                    .ifPresent(edit -> {
                        var take =
                                Texts.button(
                                        Words.of("tried.take"),
                                        "main-button",
                                        () -> bench.perform(edit));
                        take.setId("tried-take-" + test.key());
                        line.getChildren().add(take);
                    });
        }
        getChildren().add(line);
    }

    private Optional<PartEdit> edit(Reading reading) {
        return reading.value()
                .flatMap(value -> test.taking(part, value))
                .or(() -> test.turning(part));
    }
}
