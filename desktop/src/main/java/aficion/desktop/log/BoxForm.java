package aficion.desktop.log;

import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.desktop.workbench.Workbench;
import aficion.files.CsvFile;
import aficion.files.ProbeList;
import aficion.job.FoundBox;
import aficion.job.FoundBox.Seat;
import aficion.job.edit.WorkEdit;
import aficion.words.Words;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/**
 * Fuse boxes, plugs and posts as they were found: a line for each way or stud, its number, what
 * sits there and its colour, separated by commas; a list may be read from a file.
 */
final class BoxForm extends VBox {
    private final Workbench bench;
    private final Surroundings with;
    private final ComboBox<Optional<FoundBox>> all;
    private final TextField name = new TextField();
    private final ComboBox<FoundBox.Sort> sort =
            Choices.of(List.of(FoundBox.Sort.values()), each -> Words.of("box", each));
    private final TextArea ways = new TextArea();
    private final Trouble trouble = new Trouble();

    BoxForm(Surroundings with) {
        super(7);
        this.with = with;
        this.bench = with.bench();
        setId("boxes");
        all =
                Choices.of(
                        new ArrayList<>(List.of(Optional.<FoundBox>empty())),
                        each -> each.map(FoundBox::name).orElse(Words.of("box.other")));
        all.setId("box-all");
        all.setOnAction(_ -> Optional.ofNullable(all.getValue()).ifPresent(this::show));
        name.setId("box-name");
        name.setPromptText(Words.of("box.name"));
        sort.setId("box-sort");
        ways.setId("box-ways");
        ways.setPromptText(Words.of("box.ways"));
        ways.setPrefRowCount(5);
        var note = Texts.button(Words.of("box.note"), "outline-button", this::note);
        note.setId("box-note");
        var read = Texts.button(Words.of("box.read"), "plain-button", this::read);
        read.setId("box-read");
        var forget = Texts.button(Words.of("unused.forget"), "plain-button", this::forget);
        forget.setId("box-forget");
        getChildren()
                .addAll(
                        Texts.caption(Words.of("box.head")),
                        all,
                        new FlowPane(6, 6, name, sort),
                        ways,
                        new FlowPane(6, 6, note, read, forget),
                        trouble);
    }

    private void show(Optional<FoundBox> box) {
        name.setText(box.map(FoundBox::name).orElse(""));
        box.map(FoundBox::sort).ifPresent(sort::setValue);
        ways.setText(box.map(BoxForm::lines).orElse(""));
    }

    private static String lines(FoundBox box) {
        return box.seats().stream().map(BoxForm::line).collect(Collectors.joining("\n"));
    }

    /** A line of it, without what is not said at its end. */
    private static String line(Seat seat) {
        var cells =
                List.of(
                        seat.way(),
                        seat.what(),
                        seat.colour(),
                        seat.alias().orElse(""),
                        seat.fed().map(fed -> fed.name().toLowerCase(Locale.ROOT)).orElse(""),
                        seat.proves().map(proves -> proves ? "proves" : "silent").orElse(""));
        return String.join(", ", cells).replaceFirst("[, ]+$", "");
    }

    void refresh() {
        var boxes = bench.job().work().survey().boxes();
        var chosen = Optional.ofNullable(all.getValue()).flatMap(each -> each);
        var items = new ArrayList<Optional<FoundBox>>();
        items.add(Optional.empty());
        boxes.forEach(box -> items.add(Optional.of(box)));
        if (!items.equals(List.copyOf(all.getItems()))) {
            all.getItems().setAll(items);
            all.setValue(
                    items.stream()
                            .filter(each ->
                                    each.map(FoundBox::name).equals(chosen.map(FoundBox::name)))
                            .findFirst()
                            .orElse(Optional.empty()));
        }
    }

    private void note() {
        try {
            var box = new FoundBox(name.getText().strip(), sort.getValue(), seats());
            trouble.say("");
            bench.perform(new WorkEdit.NoteSurvey(WorkEdit.About.BOX, survey -> survey.with(box)));
            all.setValue(Optional.of(box));
        } catch (IllegalArgumentException e) {
            trouble.say(Words.of("box.refused", e.getMessage()));
        }
    }

    /** A line a way; a line without a number is counted. */
    private List<Seat> seats() {
        var lines = ways.getText().lines().filter(line -> !line.isBlank()).toList();
        return IntStream.range(0, lines.size())
                .mapToObj(i -> {
                    var cells = lines.get(i).split("[,;\t]", -1);
                    boolean numbered = cells.length > 1;
                    return new Seat(
                            numbered ? cells[0].strip() : String.valueOf(i + 1),
                            (numbered ? cells[1] : cells[0]).strip(),
                            cell(cells, 2),
                            Optional.of(cell(cells, 3)).filter(text -> !text.isEmpty()),
                            fed(cell(cells, 4)),
                            proves(cell(cells, 5)));
                })
                .toList();
    }

    private static String cell(String[] cells, int at) {
        return cells.length > at ? cells[at].strip() : "";
    }

    private static Optional<FoundBox.Fed> fed(String text) {
        return switch (text.toLowerCase(Locale.ROOT)) {
            case "" -> Optional.empty();
            case "live" -> Optional.of(FoundBox.Fed.LIVE);
            case "earth", "ground" -> Optional.of(FoundBox.Fed.EARTH);
            default -> throw new IllegalArgumentException(Words.of("box.fed.refused", text));
        };
    }

    private static Optional<Boolean> proves(String text) {
        return switch (text.toLowerCase(Locale.ROOT)) {
            case "" -> Optional.empty();
            case "proves", "yes" -> Optional.of(true);
            case "silent", "no" -> Optional.of(false);
            default -> throw new IllegalArgumentException(Words.of("box.proves.refused", text));
        };
    }

    private void read() {
        with.papers()
                .chooseList()
                .ifPresent(path -> {
                    try {
                        var plug = ProbeList.plug(CsvFile.read(path));
                        ways.setText(
                                plug.stream().map(BoxForm::line).collect(Collectors.joining("\n")));
                        sort.setValue(FoundBox.Sort.PLUG);
                        trouble.say("");
                    } catch (IllegalArgumentException | IOException e) {
                        trouble.say(Words.of("cli.list", path.getFileName(), e.getMessage()));
                    }
                });
    }

    private void forget() {
        Optional.ofNullable(all.getValue())
                .flatMap(each -> each)
                .ifPresent(box ->
                        bench.perform(
                                new WorkEdit.NoteSurvey(
                                        WorkEdit.About.BOX, survey -> survey.without(box))));
    }
}
