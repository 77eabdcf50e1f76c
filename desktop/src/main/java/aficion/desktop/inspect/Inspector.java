package aficion.desktop.inspect;

import aficion.desktop.workbench.Selection;
import aficion.desktop.workbench.Verbs;
import aficion.desktop.workbench.Workbench;
import aficion.working.Working;
import java.util.List;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * Answers what a person asks of what is chosen, in that order: what is it, what does it carry, why
 * this size, what is wrong and what do I do.
 */
public final class Inspector extends StackPane {
    private final Workbench bench;
    private final Verbs verbs;
    private final Card.Workings shown;
    private final VBox body = new VBox();
    private final UnlessWriting unlessWriting = new UnlessWriting(this, this::refresh);
    private Card card;

    /** Prints workings under a title. */
    public interface Printing {
        void print(String title, List<Working> workings);
    }

    public Inspector(Workbench bench, Verbs verbs, Printing printing) {
        this.bench = bench;
        this.verbs = verbs;
        this.shown = new Card.Workings(printing, this::refresh);
        setId("inspector");
        getStyleClass().add("inspector");
        body.getStyleClass().add("inspector-body");
        var scroll = new ScrollPane(body);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.setFocusTraversable(false);
        getChildren().add(scroll);
        bench.selection()
                .addListener((_, _, _) -> {
                    scroll.setVvalue(0);
                    refresh();
                });
        bench.outcome().addListener((_, _, _) -> unlessWriting.show());
        bench.assessed().addListener((_, _, _) -> unlessWriting.show());
        bench.offered()
                .addListener((_, _, _) -> {
                    if (card.isOvertaken()) {
                        unlessWriting.show();
                    }
                });
        bench.focus().addListener((_, _, _) -> refresh());
        bench.history().addListener((_, _, _) -> refresh());
        card = card();
        body.getChildren().add(card);
    }

    /**
     * Shows everything anew and leaves the keyboard where it was, as far as that place is still
     * there.
     */
    private void refresh() {
        var focused = getScene() == null ? null : getScene().getFocusOwner();
        boolean mine = focused != null && unlessWriting.isInside(focused);
        var place = mine ? focused.getId() : null;
        unlessWriting.shown();
        rebuild();
        var again = place == null ? null : body.lookup("#" + place);
        if (again != null) {
            again.requestFocus();
        } else if (mine) {
            requestFocus();
        }
    }

    private void rebuild() {
        card = card();
        body.getChildren().setAll(card);
    }

    private Card card() {
        var design = bench.design();
        return switch (bench.selection().get()) {
            case Selection.OfWire(var id) when design.find(id).isPresent() ->
                    new WireCard(bench, verbs, shown, design.wire(id));
            case Selection.OfPart(var id) when design.find(id).isPresent() ->
                    new PartCard(bench, verbs, shown, design.part(id));
            case Selection.OfTerminal(var at) when design.find(at.part()).isPresent() ->
                    new TerminalCard(bench, verbs, shown, at);
            case Selection.OfRun(var run) when bench.selection().get().isIn(design) ->
                    new RunCard(bench, verbs, shown, run);
            case Selection.OfStation(var station) when bench.selection().get().isIn(design) ->
                    new StationCard(bench, verbs, shown, station);
            case Selection.Nothing _,
                    Selection.OfWire _,
                    Selection.OfPart _,
                    Selection.OfTerminal _,
                    Selection.OfRun _,
                    Selection.OfStation _ ->
                    new CircuitCard(bench, verbs, shown, bench.focus().get().flatMap(design::find));
        };
    }
}
