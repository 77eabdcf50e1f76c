package aficion.desktop.power;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Pages;
import aficion.words.Words;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.layout.StackPane;

/** Balance, conversion, ignition, gauges, shapes, a page each. */
final class PowerView extends Pages {
    private final StackPane beside = new StackPane();

    PowerView(Surroundings with) {
        super("make-tab");
        setId("power");
        getStyleClass().add("sheet");
        var bench = with.bench();
        page("balance", new BalancePage(with));
        page("convert", new ConvertPage(with));
        page("spark", new SparkPage(with));
        page("gauge", new GaugePage(bench));
        page("shape", new ShapePage(with));
        shown(page -> {
            if (page instanceof SumPage sums) {
                beside.getChildren().setAll(List.of(sums.aside()));
            }
        });
    }

    private void page(String name, SumPage page) {
        add("power-tab-" + name, Words.of("sums.tab." + name), page);
    }

    Node aside() {
        return beside;
    }
}
