package aficion.desktop.make;

import aficion.desktop.workbench.Drawer;
import aficion.desktop.workbench.Workbench;
import aficion.files.sheet.Listings.Kind;
import aficion.words.Words;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What hands need, in the order they need it: lists, and then one wire after another. */
final class MakeView extends VBox {
    private final Workbench bench;
    private final Drawer drawer;
    private final StackPane middle = new StackPane();
    private final ToggleGroup tabs = new ToggleGroup();
    private final HBox head = new HBox(6);

    MakeView(Workbench bench, Drawer drawer, Consumer<String> command) {
        super(12);
        this.bench = bench;
        this.drawer = drawer;
        setId("make");
        getStyleClass().add("sheet");
        middle.setMinSize(0, 0);
        VBox.setVgrow(middle, Priority.ALWAYS);
        var schedule =
                new ScheduleView(
                        bench,
                        () -> command.accept("menu.print.csv"),
                        () -> command.accept("menu.print.schedule"));
        var steps = new StepsView(bench, drawer);
        var first = tab("schedule", schedule);
        list(Kind.LABELS, command);
        list(Kind.BANDS, command);
        tab("stock", new StockView(bench, drawer));
        list(Kind.CUT, command);
        list(Kind.ENDS, command);
        tab("steps", steps);
        list(Kind.BUY, command);
        tab("fitting", new FittingView(bench, command));
        tab("unused", new UnusedView(bench, command));
        getChildren().addAll(head, middle);
        first.setSelected(true);
        middle.getChildren().setAll(schedule);
    }

    private void list(Kind kind, Consumer<String> command) {
        tab(kind.key(), new ListingView(bench, kind, drawer, command));
    }

    private ToggleButton tab(String name, Node view) {
        var tab = new ToggleButton(Words.of("make.tab." + name));
        tab.setId("make-tab-" + name);
        tab.getStyleClass().add("make-tab");
        tab.setToggleGroup(tabs);
        tab.setOnAction(_ -> {
            tab.setSelected(true);
            middle.getChildren().setAll(List.of(view));
            view.requestFocus();
        });
        head.getChildren().add(tab);
        return tab;
    }
}
