package aficion.desktop.make;

import aficion.catalogue.Colour;
import aficion.catalogue.Conductor;
import aficion.catalogue.Conductors;
import aficion.catalogue.Coverings;
import aficion.catalogue.Insulation;
import aficion.catalogue.Terminals;
import aficion.catalogue.WireSize;
import aficion.desktop.field.Choice;
import aficion.desktop.field.Field;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.ColourChoices;
import aficion.desktop.workbench.Drawer;
import aficion.desktop.workbench.Workbench;
import aficion.job.Cut;
import aficion.job.Termination;
import aficion.job.Wire;
import aficion.job.WireColour;
import aficion.quantity.Metres;
import aficion.words.Words;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.FlowPane;

/** What is added to the drawer: of which sort, which one, and how much. */
final class StockForm extends FlowPane {
    private final Workbench bench;
    private final Drawer drawer;
    private Sort sort = Sort.WIRE;
    private WireSize size = new WireSize(WireSize.Standard.METRIC, "1");
    private Colour colour = Colour.RED;
    private Optional<Colour> tracer = Optional.empty();
    private Termination terminal = new Termination(Terminals.all().getFirst().key());
    private Coverings.Size sleeve = Coverings.of(Coverings.Sort.SHRINK).getFirst();

    /** What can be counted. */
    private enum Sort {
        WIRE,
        TERMINAL,
        SLEEVE
    }

    StockForm(Workbench bench, Drawer drawer) {
        super(12, 8);
        this.bench = bench;
        this.drawer = drawer;
        setAlignment(Pos.CENTER_LEFT);
        show();
    }

    private void show() {
        getChildren().clear();
        choice(
                "kind",
                Choices.of(List.of(Sort.values()), each -> Words.of("stock.kind", each)),
                sort,
                chosen -> {
                    sort = chosen;
                    show();
                });
        switch (sort) {
            case WIRE -> wire();
            case TERMINAL ->
                    choice(
                            "what",
                            Choices.of(
                                    Terminals.all().stream()
                                            .map(each -> new Termination(each.key()))
                                            .toList(),
                                    bench.speech()::termination),
                            terminal,
                            chosen -> terminal = chosen);
            case SLEEVE ->
                    choice(
                            "what",
                            Choices.of(sleeves(), bench.speech()::covering),
                            sleeve,
                            chosen -> sleeve = chosen);
        }
        getChildren()
                .add(
                        new Field(
                                "stock-amount",
                                Words.of("stock.amount"),
                                "",
                                this::add,
                                Words.of("stock.amount.refused")));
    }

    private <T> void choice(String name, ComboBox<T> box, T now, Consumer<T> take) {
        box.setValue(now);
        getChildren().add(new Choice<>("stock-" + name, Words.of("stock." + name), box, take));
    }

    private static List<Coverings.Size> sleeves() {
        return Stream.of(Coverings.Sort.SHRINK, Coverings.Sort.LOOM_TUBE, Coverings.Sort.BRAID)
                .flatMap(each -> Coverings.of(each).stream())
                .toList();
    }

    private void wire() {
        var sizes =
                Conductors.of(bench.design().rules().sizes()).stream()
                        .map(Conductor::size)
                        .toList();
        size = sizes.contains(size) ? size : sizes.getFirst();
        choice("size", Choices.of(sizes, bench.speech()::size), size, chosen -> size = chosen);
        choice("colour", ColourChoices.all(), colour, chosen -> colour = chosen);
        choice(
                "tracer",
                ColourChoices.orNone(Words.of("stock.tracer.none")),
                tracer,
                chosen -> tracer = chosen);
    }

    private boolean add(String text) {
        try {
            boolean taken = text.isBlank() || change(text);
            if (taken) {
                show();
            }
            return taken;
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    private boolean change(String text) {
        if (sort == Sort.TERMINAL) {
            int count = Integer.parseInt(text);
            return drawer.change(now -> now.counting(terminal, now.count(terminal) + count));
        }
        return bench.units()
                .parseLength(text)
                .filter(length -> sort == Sort.WIRE ? addWire(length) : addSleeve(length))
                .isPresent();
    }

    private boolean addWire(Metres length) {
        var as = new WireColour(colour, tracer);
        return drawer.change(now -> now.adding(new Cut(size, cover(as), as), length));
    }

    private boolean addSleeve(Metres length) {
        return drawer.change(now ->
                now.holding(sleeve, new Metres(now.length(sleeve).value() + length.value())));
    }

    /** The cover that wires of this job have, those of the same colour first. */
    private Insulation cover(WireColour as) {
        return bench.design().wires().stream()
                .min(Comparator.comparing(wire -> !wire.colour().equals(as)))
                .map(Wire::insulation)
                .orElse(Insulation.PVC105);
    }
}
