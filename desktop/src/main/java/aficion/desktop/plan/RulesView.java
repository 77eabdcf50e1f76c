package aficion.desktop.plan;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.edit.VehicleEdit;
import aficion.words.Words;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The rules of the house: one answer to each question good people differ about, with why. */
public final class RulesView extends BorderPane {
    private final Workbench bench;
    private final Runnable close;
    private final RulesForm form;

    /**
     * @param close puts this view away
     */
    public RulesView(Workbench bench, Runnable close) {
        this.bench = bench;
        this.close = close;
        this.form = new RulesForm(bench.design().rules(), () -> {});
        setId("rules");
        getStyleClass().add("recipes");
        var scroll = new ScrollPane(form);
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

    private void keep() {
        var rules = form.rules(bench.design().vehicle());
        if (!rules.equals(bench.design().rules())) {
            bench.perform(new VehicleEdit.SetRules(rules));
        }
        close.run();
    }
}
