package aficion.desktop.make;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Drawer;
import aficion.desktop.workbench.Workbench;
import aficion.quantity.UserUnits;
import aficion.stock.Cutting;
import aficion.stock.Cutting.Remedy;
import aficion.stock.Cutting.Shortfall;
import aficion.words.Speech;
import aficion.words.Words;
import java.util.stream.Collectors;
import javafx.scene.layout.VBox;

/** What the job is short of, and what helps; or that there is enough. */
final class Shortage extends VBox {
    private static final int SHOWN = 5;

    private final Workbench bench;
    private final Drawer drawer;

    Shortage(Workbench bench, Drawer drawer) {
        super(3);
        this.bench = bench;
        this.drawer = drawer;
        setId("stock-lacks");
        drawer.cutting().subscribe(this::show);
    }

    private void show(Cutting cutting) {
        var speech = bench.speech();
        getChildren().clear();
        if (drawer.stock().get().spools().isEmpty()) {
            return;
        }
        if (cutting.shortfalls().isEmpty()) {
            var spools = cutting.from().values().stream().distinct().count();
            say(
                    Words.of(
                            "stock.enough",
                            spools,
                            speech.say(cutting.opened()),
                            speech.say(cutting.left())));
        }
        cutting.shortfalls().stream().limit(SHOWN).forEach(lacking -> say(says(lacking, speech)));
    }

    private void say(String words) {
        getChildren().add(Texts.wrapped(words, "quiet"));
    }

    private static String says(Shortfall lacking, Speech speech) {
        return Words.of(
                "stock.lacks",
                speech.size(lacking.cut().size()),
                speech.colour(lacking.cut().colour()),
                speech.say(lacking.length()),
                lacking.wires().size(),
                lacking.remedies().stream()
                        .map(remedy -> says(remedy, speech))
                        .collect(Collectors.joining(" ")),
                Words.of("insulation", lacking.cut().cover()));
    }

    private static String says(Remedy remedy, Speech speech) {
        return switch (remedy) {
            case Remedy.OtherColour(var spool) ->
                    Words.of(
                            "stock.help.OtherColour",
                            spool.number(),
                            speech.colour(spool.cut().colour()));
            case Remedy.Thicker(var spool) ->
                    Words.of("stock.help.Thicker", spool.number(), speech.size(spool.cut().size()));
            case Remedy.Buy(var metres, var roll, var price) ->
                    Words.of(
                            "stock.help.Buy"
                                    + (roll.isPresent() ? ".roll" : "")
                                    + (price.isPresent() ? ".price" : ""),
                            speech.say(metres),
                            roll.map(speech::say).orElse(""),
                            price.map(UserUnits::plain).orElse(""));
        };
    }
}
