package aficion.desktop.plan;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.job.edit.VehicleEdit;
import aficion.words.Words;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What vehicle the job is on, to be said otherwise; its parts stay what they are. */
public final class VehicleView extends BorderPane {
    private static final double WIDTH = 460;

    private final Workbench bench;
    private final Runnable close;
    private final VehicleForm form = new VehicleForm("vehicle");

    /**
     * @param close puts this view away
     */
    public VehicleView(Workbench bench, Runnable close) {
        this.bench = bench;
        this.close = close;
        setId("vehicle");
        getStyleClass().add("recipes");
        form.show(bench.design().vehicle());
        var head =
                new VBox(
                        4,
                        Texts.label(Words.of("vehicle.title"), "sheet-title"),
                        Texts.wrapped(Words.of("vehicle.say"), "quiet"));
        head.getStyleClass().add("recipe-head");
        var back = Texts.button(Words.of("recipes.close"), "plain-button", close);
        var keep = Texts.button(Words.of("vehicle.keep"), "main-button", this::keep);
        keep.setId("vehicle-apply");
        keep.setDefaultButton(true);
        var bottom = new HBox(12, Texts.spring(), back, keep);
        var body = new VBox(14, form, form.trouble(), bottom);
        body.getStyleClass().add("recipe-head");
        body.setPrefWidth(WIDTH);
        setTop(head);
        setLeft(body);
    }

    /** Puts the keyboard where writing begins. */
    public void ready() {
        form.ready();
    }

    private void keep() {
        form.vehicle()
                .ifPresent(vehicle -> {
                    if (!vehicle.equals(bench.design().vehicle())) {
                        bench.perform(new VehicleEdit.SetVehicle(vehicle));
                    }
                    close.run();
                });
    }
}
