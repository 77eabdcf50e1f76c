package aficion.desktop.trace;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Verb;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.words.Words;
import java.util.Optional;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;

/**
 * What is said over the drawing: why a verb could not be done and what one waits for, at its place;
 * what is tried, at the foot, with the way out.
 */
final class Overlay extends Pane {
    private static final double GAP = 10;

    private final Workbench bench;
    private final Verbs verbs;
    private final Label bubble = Texts.wrapped("", "bubble");
    private final Label tried = Texts.label("", "trial-text");
    private final Button keep;
    private final HBox banner;
    private Function<Selection, Optional<Node>> place = _ -> Optional.empty();

    Overlay(Workbench bench, Verbs verbs) {
        this.bench = bench;
        this.verbs = verbs;
        setPickOnBounds(false);
        bubble.setId("bubble");
        bubble.setMaxWidth(280);
        bubble.setMouseTransparent(true);
        keep = Texts.button(Words.of("trial.keep"), "plain-button", this::keep);
        keep.setId("trial-keep");
        var end = Texts.button(Words.of("trial.end"), "main-button", bench::endTrial);
        end.setId("trial-end");
        banner = new HBox(12, tried, keep, end);
        banner.setId("trial");
        banner.setAlignment(Pos.CENTER_LEFT);
        banner.getStyleClass().add("trial");
        getChildren().addAll(bubble, banner);
        bubble.setVisible(false);
        banner.setVisible(false);
        verbs.refusal().addListener((_, _, _) -> say());
        verbs.armed().addListener((_, _, _) -> say());
        bench.trial().addListener((_, _, _) -> showTrial());
    }

    /** Where the node of a selection is found. */
    void follow(Function<Selection, Optional<Node>> nodes) {
        place = nodes;
    }

    private void say() {
        var text =
                verbs.refusal()
                        .get()
                        .map(why -> Words.of("refusal", why))
                        .or(() -> verbs.armed().get().map(verb -> Words.of("armed", verb)));
        bubble.setVisible(text.isPresent());
        bubble.getStyleClass().remove("refused");
        if (verbs.refusal().get().isPresent()) {
            bubble.getStyleClass().add("refused");
        }
        text.ifPresent(bubble::setText);
        Platform.runLater(this::settle);
    }

    /** Puts the bubble under what is chosen, inside the window. */
    private void settle() {
        bubble.autosize();
        var at = place.apply(bench.selection().get());
        double x = (getWidth() - bubble.getWidth()) / 2;
        double y = 40;
        if (at.isPresent()) {
            var box = sceneToLocal(at.get().localToScene(at.get().getLayoutBounds()));
            x = box.getMinX();
            y = box.getMaxY() + GAP;
        }
        bubble.relocate(
                Math.clamp(x, 8, Math.max(8, getWidth() - bubble.getWidth() - 8)),
                Math.clamp(y, 8, Math.max(8, getHeight() - bubble.getHeight() - 8)));
    }

    private void showTrial() {
        var trial = bench.trial().get();
        banner.setVisible(trial.isPresent());
        trial.ifPresent(now -> {
            tried.setText(
                    Words.of("trial." + now.verb(), bench.speech().place(now.about().place())));
            keep.setVisible(now.verb() == Verb.REPLACE);
            keep.setManaged(keep.isVisible());
        });
        Platform.runLater(() -> {
            banner.autosize();
            banner.relocate(
                    Math.max(8, (getWidth() - banner.getWidth()) / 2),
                    getHeight() - banner.getHeight() - 10);
        });
    }

    private void keep() {
        bench.keepTrial();
    }
}
