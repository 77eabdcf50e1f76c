package aficion.desktop.plan;

import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Texts;
import aficion.job.Vehicle;
import aficion.quantity.Volts;
import aficion.words.Words;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyProperty;
import javafx.collections.FXCollections;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** What has to be known of a vehicle: its name, year and kind, its volts, its earthed pole. */
final class VehicleForm extends VBox {
    private static final int OLDEST = 1885;
    private static final int NEWEST = 2100;

    private final TextField name = new TextField();
    private final TextField year = new TextField("1960");
    private final ComboBox<Optional<Vehicle.Sort>> sort =
            wide(
                    Choices.of(
                            Arrays.stream(Vehicle.Sort.values()).map(Optional::of).toList(),
                            each ->
                                    each.map(found -> Words.of("newJob.sort", found))
                                            .orElseGet(() -> Words.of("newJob.sort.unsaid"))));
    private final ComboBox<Double> volts =
            wide(Choices.of(List.of(6.0, 12.0, 24.0), each -> Words.of("newJob.volts", each)));
    private final ComboBox<Vehicle.Pole> pole =
            wide(Choices.of(List.of(Vehicle.Pole.values()), each -> Words.of("newJob.pole", each)));
    private final Label trouble = Texts.wrapped("", "danger-text");

    /**
     * @param id what the names of its fields begin with
     */
    VehicleForm(String id) {
        super(10);
        name.setId(id + "-name");
        year.setId(id + "-year");
        sort.setId(id + "-sort");
        volts.setId(id + "-volts");
        pole.setId(id + "-pole");
        trouble.setId(id + "-trouble");
        volts.getSelectionModel().select(12.0);
        getChildren()
                .addAll(
                        asked("newJob.name", name),
                        asked("newJob.year", year),
                        asked("newJob.sort", sort),
                        asked("newJob.volts.ask", volts),
                        asked("newJob.pole", pole));
    }

    static <T> ComboBox<T> wide(ComboBox<T> box) {
        box.setMaxWidth(Double.MAX_VALUE);
        return box;
    }

    /** A question above what answers it. */
    static VBox asked(String key, Node field) {
        field.setAccessibleText(Words.of(key));
        return new VBox(3, Texts.label(Words.of(key), "figure-name"), field);
    }

    /** Says what a vehicle is; a kind that has not been said stays unsaid until it is chosen. */
    void show(Vehicle vehicle) {
        name.setText(vehicle.name());
        year.setText(String.valueOf(vehicle.year()));
        if (vehicle.sort().isEmpty()) {
            sort.setItems(
                    FXCollections.observableList(
                            Stream.concat(Stream.of(vehicle.sort()), sort.getItems().stream())
                                    .toList()));
        }
        sort.setValue(vehicle.sort());
        volts.setValue(vehicle.system().value());
        pole.setValue(vehicle.earthed());
    }

    /** Puts the keyboard where writing begins. */
    void ready() {
        name.requestFocus();
    }

    ReadOnlyProperty<Optional<Vehicle.Sort>> sort() {
        return sort.valueProperty();
    }

    /** Where it is said what is missing, or why something did not go in. */
    Label trouble() {
        return trouble;
    }

    /**
     * The vehicle; empty, with the keyboard where it is to be put right, when something is amiss.
     */
    Optional<Vehicle> vehicle() {
        if (name.getText().isBlank()) {
            return refused(Words.of("newJob.noName"), name);
        }
        var built = built();
        if (built.isEmpty()) {
            return refused(Words.of("newJob.noYear", OLDEST, NEWEST), year);
        }
        trouble.setText("");
        return Optional.of(
                new Vehicle(
                        name.getText().strip(),
                        built.getAsInt(),
                        new Volts(volts.getValue()),
                        pole.getValue(),
                        sort.getValue()));
    }

    private Optional<Vehicle> refused(String why, TextField field) {
        trouble.setText(why);
        field.requestFocus();
        return Optional.empty();
    }

    private OptionalInt built() {
        try {
            int written = Integer.parseInt(year.getText().strip());
            return written >= OLDEST && written <= NEWEST
                    ? OptionalInt.of(written)
                    : OptionalInt.empty();
        } catch (NumberFormatException noNumber) {
            return OptionalInt.empty();
        }
    }
}
