package aficion.desktop.power;

import aficion.charge.AnotherSource.Candidate;
import aficion.convert.Conversion;
import aficion.convert.Conversion.Action;
import aficion.convert.Conversion.PartChange;
import aficion.convert.Currents;
import aficion.desktop.screen.Papers;
import aficion.desktop.screen.Surroundings;
import aficion.desktop.theme.Choices;
import aficion.desktop.theme.Tables;
import aficion.desktop.theme.Texts;
import aficion.desktop.theme.Trouble;
import aficion.files.Candidates;
import aficion.job.Design;
import aficion.job.PartId;
import aficion.job.Vehicle.Pole;
import aficion.job.edit.Noted;
import aficion.quantity.Quantity;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import aficion.words.ConvertWords;
import aficion.words.PowerWords;
import aficion.words.Speech;
import aficion.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.collections.FXCollections;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TableView;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * The job at other volts, with the other pole earthed, with another source: every part judged on a
 * copy, its currents before and after, the order of the work; one step to take it.
 */
final class ConvertPage extends SumPage {
    private static final int STEPS = 5;

    private final Papers papers;
    private final ComboBox<Integer> volts = Choices.of(List.of(6, 12, 24), each -> each + " V");
    private final ComboBox<Pole> pole =
            Choices.of(List.of(Pole.values()), each -> Words.of("pole", each));
    private final ComboBox<Optional<Candidate>> source =
            Choices.of(
                    List.of(Optional.<Candidate>empty()),
                    each ->
                            each.map(Candidate::kind)
                                    .map(new PowerWords(UserUnits.METRIC)::brief)
                                    .orElse(Words.of("convert.source.stays")));
    private final TableView<PartChange> table = new TableView<>();
    private final Label says = Texts.label("", "quiet");
    private final Trouble trouble = new Trouble();
    private final Button take;
    private Optional<Made> made = Optional.empty();

    /** A conversion with what flows before and after. */
    private record Made(Design before, Conversion conversion, Map<PartId, Currents> currents) {}

    ConvertPage(Surroundings with) {
        super(with.bench(), "convert");
        papers = with.papers();
        volts.setId("convert-volts");
        pole.setId("convert-pole");
        source.setId("convert-source");
        says.setId("convert-says");
        table.setId("convert-table");
        Tables.dress(table, Words.of("convert.none"));
        Tables.column(table, Words.of("convert.column.part"), this::name);
        Tables.column(
                table,
                Words.of("convert.column.action"),
                each -> Words.of("convert", each.action()));
        Tables.column(table, Words.of("convert.column.why"), this::why);
        Tables.column(table, Words.of("convert.column.amps"), this::amps);
        Tables.column(table, Words.of("convert.column.lost"), this::lost);
        Tables.widths(table, 130, 100, 250, 110, 110);
        VBox.setVgrow(table, Priority.ALWAYS);
        take = button("convert-take", "convert.take", "main-button", this::take);
        getChildren()
                .addAll(
                        row(
                                Texts.label(Words.of("convert.volts")),
                                volts,
                                Texts.label(Words.of("convert.pole")),
                                pole,
                                Texts.label(Words.of("convert.source")),
                                source),
                        row(
                                button("convert-go", "convert.go", "outline-button", this::find),
                                take,
                                says),
                        trouble,
                        table);
    }

    @Override
    void work() {
        made = Optional.empty();
        var vehicle = bench.design().vehicle();
        volts.setValue((int) Math.round(vehicle.system().value()));
        pole.setValue(vehicle.earthed());
        bench.ask().prepare(design -> Candidates.of(design, papers.shelf()), this::fill);
        table.getItems().clear();
        take.setDisable(true);
        says.setText(Words.of("convert.hint"));
        beside();
    }

    private void fill(List<Candidate> candidates) {
        var sources = new ArrayList<Optional<Candidate>>();
        sources.add(Optional.empty());
        candidates.forEach(each -> sources.add(Optional.of(each)));
        source.setItems(FXCollections.observableArrayList(sources));
        source.setValue(Optional.empty());
    }

    private void find() {
        var system = new Volts(volts.getValue());
        var earthed = pole.getValue();
        var other = source.getValue();
        trouble.say("");
        says.setText(Words.of("convert.busy"));
        bench.ask()
                .prepare(
                        design -> found(design, system, earthed, other),
                        found -> {
                            if (found.made().isPresent()) {
                                show(found.made().get());
                            } else {
                                says.setText(Words.of("convert.hint"));
                                trouble.say(Words.of("convert.refused", found.why()));
                            }
                        });
    }

    /** What was made, or why nothing could be. */
    private record Outcome(Optional<Made> made, String why) {}

    private Outcome found(Design design, Volts system, Pole earthed, Optional<Candidate> other) {
        try {
            var conversion =
                    Conversion.of(design, system, earthed, other.map(each -> at(each, system)));
            return new Outcome(
                    Optional.of(
                            new Made(design, conversion, Currents.of(design, conversion.design()))),
                    "");
        } catch (IllegalArgumentException e) {
            return new Outcome(Optional.empty(), String.valueOf(e.getMessage()));
        }
    }

    /** A source of the shelf made for other volts than those of the vehicle as it is. */
    private Candidate at(Candidate candidate, Volts system) {
        return Candidates.made(candidate, bench.design().vehicle(), system);
    }

    private void show(Made found) {
        made = Optional.of(found);
        var conversion = found.conversion();
        table.getItems().setAll(conversion.changes());
        long stay =
                conversion.changes().stream().filter(each -> each.action() == Action.STAYS).count();
        says.setText(
                Words.of(
                        "convert.sum",
                        stay,
                        conversion.changes().size() - stay,
                        conversion.besides().size()));
        take.setDisable(false);
        beside();
    }

    private void take() {
        made.ifPresent(found ->
                bench.perform(
                        new Noted(
                                found.conversion().edit(),
                                List.of(
                                        AnotherSourceBox.asFound(
                                                bench.job().work(), found.before())))));
    }

    private String name(PartChange change) {
        return change.part()
                + " "
                + made.flatMap(found -> found.before().find(change.part()))
                        .map(part -> part.name())
                        .orElse("");
    }

    private String why(PartChange change) {
        return made.map(found -> new ConvertWords(found.conversion().design()).reason(change))
                .orElse("");
    }

    private String amps(PartChange change) {
        return figures(change, true);
    }

    private String lost(PartChange change) {
        return figures(change, false);
    }

    private String figures(PartChange change, boolean amps) {
        return made.map(found -> found.currents().get(change.part()))
                .map(found ->
                        amps
                                ? arrow(found.before(), found.after())
                                : arrow(found.lostBefore(), found.lostAfter()))
                .orElse("");
    }

    private String arrow(Quantity before, Quantity after) {
        return Words.of("convert.arrow", print(before), print(after));
    }

    private void beside() {
        beside.getChildren()
                .setAll(
                        Texts.wrapped(Words.of("sums.tab.convert"), "inspector-title"),
                        Texts.wrapped(Words.of("convert.caution"), "log-caution"));
        made.ifPresent(found -> {
            var conversion = found.conversion();
            var words = new ConvertWords(conversion.design());
            var speech = new Speech(conversion.design(), bench.units());
            beside.getChildren().addAll(Texts.rule(), Texts.caption(Words.of("convert.left")));
            if (conversion.left().isEmpty()) {
                beside.getChildren().add(Texts.wrapped(Words.of("convert.left.none"), "good-text"));
            }
            conversion
                    .left()
                    .forEach(finding ->
                            beside.getChildren()
                                    .add(
                                            Texts.wrapped(
                                                    speech.title(finding)
                                                            + " "
                                                            + speech.reason(finding),
                                                    "danger-text")));
            if (!conversion.besides().isEmpty()) {
                beside.getChildren()
                        .addAll(Texts.rule(), Texts.caption(Words.of("convert.besides.title")));
                conversion
                        .besides()
                        .forEach(change ->
                                beside.getChildren().add(Texts.wrapped(words.besides(change))));
            }
            beside.getChildren().add(Texts.wrapped(Words.of("convert.fuses"), "quiet"));
        });
        var vehicle =
                made.map(found -> found.conversion().design().vehicle())
                        .orElse(bench.design().vehicle());
        beside.getChildren().addAll(Texts.rule(), Texts.caption(Words.of("convert.order")));
        for (int i = 1; i <= STEPS; i++) {
            beside.getChildren()
                    .add(
                            Texts.wrapped(
                                    i
                                            + "  "
                                            + Words.of(
                                                    "convert.order." + i,
                                                    print(vehicle.rested()),
                                                    print(vehicle.running()))));
        }
    }
}
