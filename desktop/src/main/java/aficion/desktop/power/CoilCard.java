package aficion.desktop.power;

import aficion.charge.Balance;
import aficion.desktop.drawing.MarksPane;
import aficion.desktop.screen.Papers;
import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.files.PartsBook;
import aficion.ignite.Ignition;
import aficion.ignite.OtherCoil;
import aficion.ignite.Primary;
import aficion.job.LoadKind.IgnitionCoil;
import aficion.job.edit.Edit;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.UserUnits;
import aficion.words.Plots;
import aficion.words.SparkWords;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.collections.FXCollections;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** The coil over speed, another held against it, and its ballast: each can be put in. */
final class CoilCard extends SumBox {
    private static final double MILLI = 1000;
    private static final double PLOT = 190;

    private final Papers papers;
    private final MarksPane plot = new MarksPane("spark-plot");
    private final VBox now = new VBox(2);
    private final VBox other = new VBox(6);
    private final ComboBox<Optional<PartsBook.Entry>> shelf =
            Choices.of(
                    List.of(Optional.<PartsBook.Entry>empty()),
                    each -> each.map(PartsBook.Entry::name).orElse(Words.of("spark.shelf.typed")));
    private final TextField ohms = field("spark-ohms", "spark.ohms", 5, this::judge);
    private final TextField henries = field("spark-henries", "spark.henries", 5, this::judge);
    private final ComboBox<Integer> count =
            Choices.of(List.of(1, 2), each -> each + " " + Words.of("spark.count"));
    private final Label verdict = Texts.wrapped("", "strong");
    private final Trouble trouble = new Trouble();
    private final TextField wanted = field("spark-wanted", "spark.ballast.amps", 6, this::weigh);
    private final Label ballast = Texts.wrapped("");
    private final Trouble weighed = new Trouble();
    private Optional<Ignition> ignition = Optional.empty();
    private Optional<Primary> proposed = Optional.empty();

    CoilCard(Surroundings with) {
        super(with.bench(), 6);
        papers = with.papers();
        shelf.setId("spark-shelf");
        count.setId("spark-count");
        verdict.setId("spark-verdict");
        ballast.setId("spark-ballast");
        now.setId("spark-now");
        shelf.setOnAction(_ -> fromShelf());
        count.setOnAction(_ -> judge());
        plot.setMinHeight(PLOT);
        plot.setPrefHeight(PLOT);
        other.getChildren()
                .addAll(
                        plot,
                        Texts.caption(Words.of("spark.other")),
                        row(
                                shelf,
                                ohms,
                                henries,
                                count,
                                button("spark-put", "spark.put", "outline-button", this::putCoil)),
                        trouble,
                        verdict,
                        Texts.caption(Words.of("spark.ballast")),
                        row(
                                wanted,
                                button(
                                        "spark-ballast-put",
                                        "spark.ballast.put",
                                        "outline-button",
                                        this::putBallast)),
                        weighed,
                        ballast);
        card(this, "spark.title", now, other);
    }

    /** Shows an ignition; nothing is proposed to it yet. */
    void show(Optional<Ignition> found) {
        ignition = found;
        proposed = Optional.empty();
        verdict.setText("");
        ballast.setText("");
        now.getChildren()
                .setAll(
                        lines(
                                found.map(new SparkWords(bench.units())::now)
                                        .orElse(List.of(Words.of("spark.none")))));
        boolean rises = found.isPresent() && !found.get().discharges();
        other.setVisible(rises);
        other.setManaged(rises);
        bench.ask().prepare(_ -> papers.shelf(), this::fill);
        draw();
    }

    private void fill(List<PartsBook.Entry> parts) {
        var kept = Optional.ofNullable(shelf.getValue()).flatMap(each -> each);
        var coils = new ArrayList<Optional<PartsBook.Entry>>();
        coils.add(Optional.empty());
        parts.stream()
                .filter(entry -> entry.kind() instanceof IgnitionCoil)
                .forEach(entry -> coils.add(Optional.of(entry)));
        shelf.setItems(FXCollections.observableArrayList(coils));
        shelf.setValue(kept.filter(parts::contains));
    }

    private void draw() {
        var top = Balance.speeds(bench.design().vehicle(), sums()).top();
        ignition.filter(found -> !found.discharges())
                .ifPresent(found ->
                        plot.show(new Plots(bench.units()).rise(found, proposed, top)::marks));
    }

    private void fromShelf() {
        Optional.ofNullable(shelf.getValue())
                .flatMap(each -> each)
                .ifPresent(entry -> {
                    var kind = (IgnitionCoil) entry.kind();
                    ohms.setText(UserUnits.plain(kind.primary().value()));
                    henries.setText(UserUnits.plain(MILLI * kind.inductance().value()));
                    judge();
                });
    }

    private IgnitionCoil typed() {
        return new IgnitionCoil(new Ohms(number(ohms)), new Henries(number(henries) / MILLI));
    }

    /** Does something with the ignition that is there; what cannot be is said. */
    private void with(Trouble said, Consumer<Ignition> action) {
        attempt(said, "spark.refused", () -> ignition.ifPresent(action));
    }

    private void judge() {
        if (ohms.getText().isBlank() || henries.getText().isBlank()) {
            return;
        }
        with(
                trouble,
                found -> {
                    var coil = found.behindItsBallast(typed(), count.getValue());
                    proposed = Optional.of(coil);
                    verdict.setText(
                            new SparkWords(bench.units())
                                    .judged(found.against(coil, found.running())));
                    draw();
                });
    }

    private void putCoil() {
        with(
                trouble,
                found ->
                        put(
                                new OtherCoil(bench.design(), found).put(typed(), count.getValue()),
                                "spark.put.refused"));
    }

    private void put(Optional<Edit> edit, String refused) {
        bench.perform(edit.orElseThrow(() -> new IllegalArgumentException(Words.of(refused))));
    }

    private void weigh() {
        with(
                weighed,
                found -> {
                    var working =
                            new SparkWords(bench.units()).ballast(found, new Amps(number(wanted)));
                    ballast.setText(
                            working.result().value() > 0
                                    ? working(working)
                                    : Words.of("spark.ballast.none"));
                });
    }

    private void putBallast() {
        weigh();
        with(
                weighed,
                found -> {
                    var needed = found.primary().ballast(found.running(), new Amps(number(wanted)));
                    if (needed.value() > 0) {
                        put(
                                new OtherCoil(bench.design(), found)
                                        .ballast(Words.of("spark.ballast.name"), needed),
                                "spark.ballast.refused");
                    }
                });
    }
}
