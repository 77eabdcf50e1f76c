package aficion.desktop.power;

import aficion.charge.Balance;
import aficion.desktop.drawing.MarksPane;
import aficion.desktop.screen.Papers;
import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.files.PartsBook;
import aficion.files.sheet.FullSizeFiles;
import aficion.files.sheet.PaperFormat;
import aficion.files.sheet.ShapeFiles;
import aficion.ignite.Ignition;
import aficion.ignite.OtherCoil;
import aficion.ignite.Primary;
import aficion.job.Cap;
import aficion.job.Damper;
import aficion.job.LoadKind.IgnitionCoil;
import aficion.job.edit.Edit;
import aficion.job.edit.WorkEdit.Asked;
import aficion.plot.CapPicture;
import aficion.quantity.Amps;
import aficion.quantity.Henries;
import aficion.quantity.Ohms;
import aficion.quantity.UserUnits;
import aficion.words.Plots;
import aficion.words.SparkWords;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.collections.FXCollections;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The coil over speed and another held against it, its ballast, the cap, marks, static timing. */
final class SparkPage extends SumPage {
    private static final double MILLI = 1000;
    private static final double CAP = 176;
    private static final double PLOT = 190;

    private final Papers papers;
    private final MarksPane plot = new MarksPane("spark-plot");
    private final VBox now = new VBox(2);
    private final ComboBox<Optional<PartsBook.Entry>> shelf;
    private final TextField ohms = field("spark-ohms", "spark.ohms", 5, this::judge);
    private final TextField henries = field("spark-henries", "spark.henries", 5, this::judge);
    private final ComboBox<Integer> count =
            Choices.of(List.of(1, 2), each -> each + " " + Words.of("spark.count"));
    private final Label verdict = Texts.wrapped("", "strong");
    private final Trouble trouble = new Trouble();
    private final TextField wanted = field("spark-wanted", "spark.ballast.amps", 6, this::weigh);
    private final Label ballast = Texts.wrapped("");
    private final Trouble weighed = new Trouble();
    private final TextField order = field("cap-order", "spark.cap.order", 10, this::cap);
    private final ComboBox<Boolean> clockwise =
            Choices.of(
                    List.of(true, false),
                    each -> Words.of(each ? "spark.cap.clockwise" : "spark.cap.anticlockwise"));
    private final TextField first = field("cap-first", "spark.cap.first", 4, this::cap);
    private final MarksPane right = new MarksPane("cap-right");
    private final MarksPane half = new MarksPane("cap-half");
    private final Label towers = Texts.wrapped("", "strong");
    private final Trouble capped = new Trouble();
    private final TextField diameter =
            field("marks-diameter", "spark.marks.diameter", 7, this::marks);
    private final TextField degrees = field("marks-degrees", "spark.marks.degrees", 9, this::marks);
    private final VBox marks = new VBox(2);
    private final Trouble marked = new Trouble();
    private final VBox coil;
    private Optional<Primary> proposed = Optional.empty();

    SparkPage(Surroundings with) {
        super(with.bench(), "spark");
        papers = with.papers();
        shelf =
                Choices.of(
                        List.of(Optional.<PartsBook.Entry>empty()),
                        each ->
                                each.map(PartsBook.Entry::name)
                                        .orElse(Words.of("spark.shelf.typed")));
        shelf.setId("spark-shelf");
        count.setId("spark-count");
        count.setValue(1);
        clockwise.setId("cap-turns");
        clockwise.setValue(true);
        verdict.setId("spark-verdict");
        ballast.setId("spark-ballast");
        towers.setId("cap-towers");
        marks.setId("marks-said");
        now.setId("spark-now");
        shelf.setOnAction(_ -> fromShelf());
        count.setOnAction(_ -> judge());
        plot.setMinHeight(PLOT);
        plot.setPrefHeight(PLOT);
        for (var each : List.of(right, half)) {
            each.setMinSize(CAP, CAP);
            each.setPrefSize(CAP, CAP);
            each.setMaxSize(CAP, CAP);
        }
        coil =
                card(
                        "spark.title",
                        now,
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
        var caps =
                new HBox(
                        24,
                        new VBox(4, Texts.label(Words.of("spark.cap.right"), "quiet"), right),
                        new VBox(4, Texts.label(Words.of("spark.cap.half"), "danger-text"), half));
        var cap =
                card(
                        "spark.cap",
                        row(
                                order,
                                clockwise,
                                first,
                                button("cap-note", "spark.cap.note", "outline-button", this::cap)),
                        capped,
                        towers,
                        caps);
        var set =
                card(
                        "spark.marks",
                        row(
                                diameter,
                                degrees,
                                button(
                                        "marks-note",
                                        "spark.marks.note",
                                        "outline-button",
                                        this::marks),
                                button("marks-tape", "spark.tape", "plain-button", this::tape)),
                        marked,
                        marks);
        getChildren().add(scroll(coil, cap, set));
    }

    private Optional<Ignition> ignition() {
        return Ignition.of(bench.design());
    }

    @Override
    void work() {
        var words = new SparkWords(bench.units());
        var found = ignition();
        now.getChildren()
                .setAll(
                        found.map(each -> lines(words.now(each)))
                                .orElse(lines(List.of(Words.of("spark.none")))));
        boolean rises = found.isPresent() && !found.get().discharges();
        for (var each : coil.getChildren()) {
            if (each != now) {
                each.setDisable(!rises);
            }
        }
        plot.setVisible(rises);
        plot.setManaged(rises);
        var kept = shelf.getValue();
        var coils = new ArrayList<Optional<PartsBook.Entry>>();
        coils.add(Optional.empty());
        papers.shelf().stream()
                .filter(entry -> entry.kind() instanceof IgnitionCoil)
                .forEach(entry -> coils.add(Optional.of(entry)));
        shelf.setItems(FXCollections.observableArrayList(coils));
        shelf.setValue(kept == null ? Optional.empty() : kept);
        sums().cap()
                .ifPresent(cap -> {
                    put(order, () -> order(cap));
                    put(first, () -> String.valueOf(cap.first()));
                    clockwise.setValue(cap.clockwise());
                });
        sums().damper()
                .ifPresent(damper -> {
                    put(diameter, () -> millimetres(damper.diameter()));
                    put(
                            degrees,
                            () ->
                                    damper.degrees().stream()
                                            .map(UserUnits::plain)
                                            .collect(Collectors.joining(", ")));
                });
        draw();
        showCap();
        marks.getChildren()
                .setAll(
                        sums().damper()
                                .map(damper -> lines(words.marks(damper)))
                                .orElse(List.of()));
        beside(found);
    }

    private void draw() {
        var top = Balance.speeds(bench.design().vehicle(), sums()).top();
        ignition()
                .filter(found -> !found.discharges())
                .ifPresent(found ->
                        plot.show(new Plots(bench.units()).rise(found, proposed, top)::marks));
    }

    private void showCap() {
        var cap = sums().cap();
        towers.setText(cap.map(new SparkWords(bench.units())::cap).orElse(""));
        for (var each : List.of(right, half)) {
            each.setVisible(cap.isPresent());
        }
        cap.ifPresent(each -> {
            right.show((wide, high) -> CapPicture.of(each, Math.min(wide, high), false));
            half.show((wide, high) -> CapPicture.of(each, Math.min(wide, high), true));
        });
    }

    private static String order(Cap cap) {
        return cap.order().stream().map(String::valueOf).collect(Collectors.joining("-"));
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

    private void judge() {
        if (ohms.getText().isBlank() || henries.getText().isBlank()) {
            return;
        }
        attempt(
                trouble,
                "spark.refused",
                () ->
                        ignition()
                                .ifPresent(found -> {
                                    var kind = typed();
                                    var coil =
                                            new Primary(
                                                    kind.primary(),
                                                    kind.inductance(),
                                                    count.getValue(),
                                                    found.primary().ballast());
                                    proposed = Optional.of(coil);
                                    var judged = found.against(coil, found.running());
                                    verdict.setText(new SparkWords(bench.units()).judged(judged));
                                    draw();
                                }));
    }

    private void putCoil() {
        attempt(
                trouble,
                "spark.refused",
                () -> {
                    var kind = typed();
                    int coils = count.getValue();
                    var edit =
                            ignition()
                                    .flatMap(found ->
                                            new OtherCoil(bench.design(), found).put(kind, coils));
                    perform(edit, trouble, "spark.put.refused");
                });
    }

    private void perform(Optional<? extends Edit> edit, Trouble said, String refused) {
        if (edit.isPresent()) {
            bench.perform(edit.get());
            proposed = Optional.empty();
            draw();
        } else {
            throw new IllegalArgumentException(Words.of(refused));
        }
    }

    private void weigh() {
        attempt(
                weighed,
                "spark.refused",
                () ->
                        ignition()
                                .ifPresent(found -> {
                                    var working =
                                            new SparkWords(bench.units())
                                                    .ballast(found, new Amps(number(wanted)));
                                    ballast.setText(
                                            working.result().value() > 0
                                                    ? working(working)
                                                    : Words.of("spark.ballast.none"));
                                }));
    }

    private void putBallast() {
        weigh();
        attempt(
                weighed,
                "spark.refused",
                () ->
                        ignition()
                                .ifPresent(found -> {
                                    var needed =
                                            found.primary()
                                                    .ballast(
                                                            found.running(),
                                                            new Amps(number(wanted)));
                                    if (needed.value() > 0) {
                                        perform(
                                                new OtherCoil(bench.design(), found)
                                                        .ballast(
                                                                Words.of("spark.ballast.name"),
                                                                needed),
                                                weighed,
                                                "spark.ballast.refused");
                                    }
                                }));
    }

    private void cap() {
        setDown(
                Asked.CAP,
                capped,
                "spark.cap.refused",
                sums ->
                        sums.with(
                                new Cap(
                                        numbers(order.getText(), "spark.cap.form").stream()
                                                .map(each -> (int) Math.round(each))
                                                .toList(),
                                        clockwise.getValue(),
                                        first.getText().isBlank() ? 1 : (int) number(first))));
    }

    private static List<Double> numbers(String text, String form) {
        return Arrays.stream(text.strip().split("\\s*[-,;]\\s*|\\s+"))
                .map(each ->
                        UserUnits.parseNumber(each)
                                .orElseThrow(() -> new IllegalArgumentException(Words.of(form))))
                .toList();
    }

    private void marks() {
        setDown(
                Asked.MARKS,
                marked,
                "spark.marks.refused",
                sums ->
                        sums.with(
                                new Damper(
                                        millimetres(diameter),
                                        Arrays.stream(
                                                        degrees.getText()
                                                                .strip()
                                                                .split("\\s*[,;]\\s*|\\s+"))
                                                .map(each ->
                                                        UserUnits.parseNumber(each)
                                                                .orElseThrow(() ->
                                                                        new IllegalArgumentException(
                                                                                Words.of(
                                                                                        "spark.marks.form"))))
                                                .toList())));
    }

    private void tape() {
        sums().damper()
                .ifPresent(damper -> {
                    var units = bench.units();
                    papers.show(
                            "tape.pdf",
                            true,
                            design ->
                                    FullSizeFiles.Kind.TILES.of(
                                            ShapeFiles.tape(design, damper, units).files(),
                                            PaperFormat.A4));
                });
    }

    private void beside(Optional<Ignition> found) {
        beside.getChildren()
                .setAll(Texts.wrapped(Words.of("spark.timing"), "inspector-title"), Texts.rule());
        int number = 1;
        for (var step : SparkWords.timing(found)) {
            beside.getChildren().add(Texts.wrapped(number++ + "  " + step));
        }
    }
}
