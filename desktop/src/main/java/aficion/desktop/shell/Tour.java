package aficion.desktop.shell;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Workbench;
import aficion.netlist.Controls;
import aficion.words.Words;
import java.util.List;
import java.util.function.BooleanSupplier;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/**
 * Three things to do on the first start: turn the key, choose a wire, break it. Each is ticked by
 * doing it; then, or when it is declined, the tour is out of the way for good.
 */
final class Tour extends HBox {
    private final Runnable over;
    private final List<BooleanSupplier> done;
    private final Label text = Texts.wrapped("", "tour-text");
    private int step;

    Tour(Workbench bench, Runnable over) {
        super(14);
        this.over = over;
        this.done =
                List.of(
                        () ->
                                Controls.of(bench.design())
                                        .key()
                                        .filter(key ->
                                                !Controls.position(key, bench.conditions().get())
                                                        .equals(key.rest()))
                                        .isPresent(),
                        () -> bench.selection().get() instanceof Selection.OfWire,
                        () -> bench.trial().get().isPresent());
        setId("tour");
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("tour");
        text.setId("tour-text");
        var skip = Texts.button(Words.of("tour.skip"), "plain-button", this::end);
        skip.setId("tour-skip");
        skip.setMinWidth(USE_PREF_SIZE);
        getChildren().addAll(text, Texts.spring(), skip);
        bench.conditions().addListener((_, _, _) -> look());
        bench.selection().addListener((_, _, _) -> look());
        bench.trial().addListener((_, _, _) -> look());
        say();
    }

    private void look() {
        while (step < done.size() && done.get(step).getAsBoolean()) {
            step++;
        }
        if (step == done.size()) {
            end();
        } else {
            say();
        }
    }

    private void say() {
        text.setText(Words.of("tour." + (step + 1)));
    }

    private void end() {
        if (isVisible()) {
            step = done.size();
            setVisible(false);
            setManaged(false);
            over.run();
        }
    }
}
