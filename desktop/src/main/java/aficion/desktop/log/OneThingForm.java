package aficion.desktop.log;

import aficion.catalogue.WireSize;
import aficion.change.OneThing;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Fields;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.desktop.workbench.Workbench;
import aficion.job.BenchRun;
import aficion.job.Vehicle;
import aficion.quantity.Amps;
import aficion.quantity.Metres;
import aficion.quantity.Volts;
import aficion.quantity.Watts;
import aficion.words.Words;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** Change one thing: what there is around one lamp circuit, and the job that comes of it. */
final class OneThingForm extends VBox {
    private static final int THIS_LONG_AGO = 1965;
    private static final int ROWS = 6;

    private final Workbench bench;
    private final GridPane grid = new GridPane(14, 8);
    private final TextField vehicle = field("vehicle", 18);
    private final ComboBox<Double> volts =
            Choices.of(List.of(12.0, 6.0, 24.0), each -> Words.of("one.volts", Math.round(each)));
    private final ComboBox<Vehicle.Pole> earthed =
            Choices.of(List.of(Vehicle.Pole.values()), each -> Words.of("pole", each));
    private final TextField circuit = field("circuit", 18);
    private final TextField fuse = field("fuse", 6);
    private final TextField rating = field("rating", 6);
    private final TextField lamps = field("lamps", 4);
    private final TextField watts = field("watts", 6);
    private final TextField lead = field("lead", 6);
    private final TextField toSwitch = field("toSwitch", 6);
    private final TextField toLamp = field("toLamp", 6);
    private final Trouble trouble = new Trouble();
    private int row;

    OneThingForm(Workbench bench) {
        super(12);
        this.bench = bench;
        setId("one");
        volts.setId("one-volts");
        earthed.setId("one-earthed");
        add("vehicle", vehicle, "");
        add("system", volts, "");
        add("earthed", earthed, "");
        add("circuit", circuit, Words.of("one.circuit.usual"));
        add("fuse", fuse, "15");
        add("rating", rating, "10");
        add("lamps", lamps, "2");
        add("watts", watts, "60");
        add("lead", lead, "1.5");
        add("toSwitch", toSwitch, "1.2");
        add("toLamp", toLamp, "2.5");
        var make = Texts.button(Words.of("one.make"), "main-button", this::make);
        make.setId("one-make");
        getChildren().addAll(Texts.wrapped(Words.of("one.how"), "quiet"), grid, trouble, make);
        grid.setAlignment(Pos.TOP_LEFT);
    }

    private TextField field(String key, int wide) {
        return Fields.of("one-" + key, Words.of("one." + key), wide, this::make);
    }

    private void add(String key, Node node, String usual) {
        var name = Texts.label(Words.of("one." + key), "figure-name");
        int column = 2 * (row / ROWS);
        grid.add(name, column, row % ROWS);
        grid.add(node, column + 1, row % ROWS);
        row++;
        if (node instanceof TextField field) {
            field.setText(usual);
        }
    }

    @Override
    public void requestFocus() {
        vehicle.requestFocus();
    }

    private void make() {
        if (bench.isUnsaved()) {
            trouble.say(Words.of("one.unsaved"));
            return;
        }
        try {
            var name = vehicle.getText().strip();
            var thing =
                    new OneThing(
                            new Vehicle(
                                    name.isEmpty() ? Words.of("one.vehicle.usual") : name,
                                    THIS_LONG_AGO,
                                    new Volts(volts.getValue()),
                                    earthed.getValue()),
                            circuit.getText().strip(),
                            fuse.getText().isBlank()
                                    ? Optional.empty()
                                    : Optional.of(new Amps(number(fuse))),
                            new Amps(number(rating)),
                            (int) Math.round(number(lamps)),
                            new Watts(number(watts)),
                            size(),
                            length(toSwitch),
                            length(toLamp));
            var job = thing.job();
            trouble.say("");
            bench.take(job);
            bench.setting().set(BenchRun.Setting.PROOF);
        } catch (IllegalArgumentException e) {
            trouble.say(Words.of("one.refused", e.getMessage()));
        }
    }

    private static double number(TextField field) {
        return ProbePage.number(field, field.getPromptText());
    }

    private Metres length(TextField field) {
        return bench.units()
                .parseLength(field.getText().strip())
                .orElseThrow(() ->
                        new IllegalArgumentException(
                                Words.of(
                                        "identify.number",
                                        field.getPromptText(),
                                        field.getText())));
    }

    private WireSize size() {
        var text = lead.getText().strip();
        return WireSize.parseLoosely(text)
                .orElseThrow(
                        () -> new IllegalArgumentException(Words.of("kit.size.refused", text)));
    }
}
