package aficion.desktop.inspect;

import aficion.desktop.theme.Texts;
import aficion.desktop.workbench.Workbench;
import aficion.identify.Feeds.Offer;
import aficion.job.Wire;
import aficion.verb.Attempt;
import aficion.verb.Leads;
import aficion.words.Words;
import java.util.Comparator;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;

/** Where else a wire could be fed from: every feed of the vehicle, by when it is live. */
final class FeedChoice extends VBox {
    private final Workbench bench;
    private final Wire wire;
    private final Button ask;

    FeedChoice(Workbench bench, Wire wire) {
        super(4);
        this.bench = bench;
        this.wire = wire;
        ask = Texts.button(Words.of("feed.ask"), "plain-button", this::ask);
        ask.setId("feed-ask");
        getChildren().add(ask);
    }

    private void ask() {
        ask.setDisable(true);
        bench.ask().findFeeds(this::offer);
    }

    private void offer(List<Offer> offers) {
        ask.setDisable(false);
        getChildren().setAll(ask);
        offers.stream()
                .sorted(Comparator.comparing(Offer::feed).thenComparing(Offer::fused).reversed())
                .filter(offer -> !offer.terminal().equals(wire.from().terminal()))
                .forEach(offer -> getChildren().add(choice(offer)));
    }

    private Button choice(Offer offer) {
        var text =
                Words.of(
                        offer.fused() ? "feed.choice.fused" : "feed.choice",
                        offer.terminal(),
                        Words.of("feed", offer.feed()));
        var button = Texts.button(text, "chip", () -> lead(offer));
        button.setId("feed-" + offer.terminal());
        return button;
    }

    private void lead(Offer offer) {
        if (Leads.move(bench.design(), wire.id(), true, offer.terminal())
                instanceof Attempt.Possible(var edit)) {
            bench.perform(edit);
        }
    }
}
