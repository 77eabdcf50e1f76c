package aficion.desktop.inspect;

import aficion.desktop.theme.Texts;
import aficion.words.Speech;
import aficion.words.Words;
import aficion.working.Working;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * A working as a person reads it: the formula with its figures, or every input with its origin,
 * step and source.
 */
final class WorkingBox extends VBox {
    private final Speech speech;

    private WorkingBox(Speech speech) {
        this.speech = speech;
        getStyleClass().add("working");
    }

    /** Formula, figures, result and limit. */
    static WorkingBox brief(Working working, Speech speech) {
        var box = new WorkingBox(speech);
        box.getChildren().add(Texts.wrapped(working.formula(), "formula"));
        box.getChildren().add(Texts.wrapped(box.figures(working), "quiet"));
        var result = working.steps().getLast();
        box.getChildren()
                .add(Texts.label(result.symbol() + " = " + speech.say(result.value()), "strong"));
        box.limit(working);
        return box;
    }

    /** What stands in the formula, and the results on the way. */
    private String figures(Working working) {
        var givens =
                working.givens().stream()
                        .filter(given -> working.formula().contains(given.symbol()))
                        .map(given -> given.symbol() + " " + speech.say(given.value()));
        var steps =
                working.steps().stream()
                        .limit(working.steps().size() - 1L)
                        .map(step -> step.symbol() + " " + speech.say(step.value()));
        return Stream.concat(givens, steps).collect(Collectors.joining(" \u00b7 "));
    }

    /** Everything there is to a working. */
    static WorkingBox full(Working working, Speech speech) {
        var box = new WorkingBox(speech);
        box.getChildren().add(Texts.caption(Words.of("topic", working.topic())));
        box.getChildren().add(Texts.wrapped(working.formula(), "formula"));
        for (var given : working.givens()) {
            box.getChildren().add(box.given(given));
        }
        for (var step : working.steps()) {
            box.getChildren()
                    .add(Texts.label(step.symbol() + " = " + speech.say(step.value()), "strong"));
        }
        box.limit(working);
        box.getChildren().add(Texts.wrapped(Words.of("working.source", working.source()), "quiet"));
        return box;
    }

    private HBox given(Working.Given given) {
        return new HBox(
                8,
                Texts.label(given.symbol() + " = " + speech.say(given.value())),
                Texts.spring(),
                Texts.label(Words.of("origin", given.origin()), "quiet"));
    }

    private void limit(Working working) {
        working.limit().ifPresent(limit -> getChildren().add(limit(limit)));
    }

    private Label limit(Working.Limit limit) {
        return limit.kept()
                ? Texts.label(
                        Words.of("working.limit.kept", speech.say(limit.value())), "good-text")
                : Texts.label(
                        Words.of("working.limit.broken", speech.say(limit.value())), "danger-text");
    }
}
